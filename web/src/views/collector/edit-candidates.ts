import {
  addCandidate,
  type Candidate,
  removeCandidate,
  type Shop,
  swapIn,
} from '@frank-gauge/core/design';
import { nanoid } from 'nanoid';
import { toast } from 'sonner';
import { choosePart } from '@/storage/choices';
import { edit } from '@/storage/session';
import { undoAction } from '../frame/undo-aloud';

const newId = () => nanoid(10);

/** A name no candidate has yet. */
function freeName({ candidates }: Shop, wanted: string): string {
  const taken = new Set(candidates.map(({ name }) => name));
  for (let number = 1; ; number++) {
    const name = number === 1 ? wanted : `${wanted} ${number}`;
    if (!taken.has(name)) return name;
  }
}

/** Adds a copy of the present collector, opened to be changed. */
export function tryAnother(shop: Shop): void {
  let added: string | null = null;
  edit('add a candidate', (draft) => {
    added = addCandidate(draft, freeName(draft, 'Another'), newId);
  });
  if (added) choosePart(shop.id, added);
}

export function dropCandidate({ id, name }: Candidate): void {
  edit(`remove ${name}`, (draft) => removeCandidate(draft, id));
  toast(`Removed ${name}`, { action: undoAction() });
}

/** Puts a candidate in the shop; what stood there becomes a candidate. */
export function build({ id, name }: Candidate): void {
  edit(`use ${name} in the shop`, (draft) =>
    swapIn(draft, id, freeName(draft, 'Previous collector')),
  );
  toast(`${name} is now the collector in the shop; the previous one is kept as a candidate`, {
    action: undoAction(),
  });
}

/** Edits one field of a candidate; quick edits of it are one step to undo. */
export const editCandidate = (
  { id }: Candidate,
  field: string,
  change: (own: Candidate) => void,
): void =>
  edit(
    field,
    (draft) => {
      const own = draft.candidates.find((candidate) => candidate.id === id);
      if (own) change(own);
    },
    { merge: `${id} ${field}` },
  );
