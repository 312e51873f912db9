import type { z } from 'zod';

/** What is wrong with a document, and where: `path` in dots, '' for the whole. */
export interface Fault {
  readonly path: string;
  readonly message: string;
}

/** No more faults than this are listed, of however many. */
export const MOST_FAULTS = 20;

export const dotted = (path: readonly PropertyKey[]): string => path.map(String).join('.');

/** What a schema finds wrong, as far as it is listed; `under`: where what it checked stands. */
export const faultsOf = (error: z.core.$ZodError, under: readonly PropertyKey[] = []): Fault[] =>
  error.issues.slice(0, MOST_FAULTS).map(({ path, message }) => ({
    path: dotted([...under, ...path]),
    message: message.charAt(0).toLowerCase() + message.slice(1),
  }));
