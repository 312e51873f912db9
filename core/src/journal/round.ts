import { z } from 'zod';
import { id, name, note, when } from '../document/atoms';
import { recordType } from './record-type';

/** A visit with the meter: readings taken one after another, the shop as it was then. */
export const roundType = recordType(
  20_000,
  z.strictObject({ id, at: when, by: name.default(''), note: note.default('') }),
);

export type Round = z.infer<typeof roundType.schema>;
