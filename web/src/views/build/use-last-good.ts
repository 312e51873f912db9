import { useState } from 'react';

/**
 * What was made of the last sizes that make something: so that a drawing stays while a size is wrong.
 * @param made null: these sizes make nothing
 * @param key the sizes: another one each time they change
 */
export function useLastGood<T>(made: T | null, key: string): T | null {
  const [last, setLast] = useState({ key, made });
  if (made !== null && last.key !== key) setLast({ key, made });
  return made ?? last.made;
}
