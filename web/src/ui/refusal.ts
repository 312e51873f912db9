'use client';

import { createContext, useContext } from 'react';

/** Does what a field does with what was typed; answers why it could not be taken, null where it was. */
export type Adopt = (act: () => void) => string | null;

/** How a field's change is adopted where nothing can refuse it. */
const adoptAll: Adopt = (act) => {
  act();
  return null;
};

/** How what is typed in fields is taken: whoever keeps it may refuse it, and the field then says why. */
export const AdoptContext = createContext<Adopt>(adoptAll);

export const useAdopt = (): Adopt => useContext(AdoptContext);
