import type { Instrument } from '@frank-gauge/core/journal';
import { record } from '@/storage/session';

/** Instruments as a recipe changes them. */
type Changing = { -readonly [K in keyof Instrument]: Instrument[K] };

/** Changes one meter, by a recipe; quick changes of one field are one step of undo. */
export function editInstrument(
  { id, name }: Instrument,
  field: string,
  change: (own: Changing) => void,
): void {
  record(
    `${field} of ${name}`,
    ({ instruments }) => {
      const own = instruments.find((each) => each.id === id);
      if (own) change(own);
    },
    { merge: `instrument ${id} ${field}` },
  );
}
