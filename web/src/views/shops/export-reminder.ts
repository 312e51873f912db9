import { differenceInDays, formatDistance } from 'date-fns';
import type { SummaryRow } from '@/storage/rows';

/** So much work of which no file was ever saved is worth a word, in edits. */
const MUCH_WORK = 20;
/** A file older than this is worth a word if the shop has changed since, days. */
const LONG_AGO = 30;

/** What the list says of a shop that has not been saved as a file for long; null where there is no need. */
export function exportReminder(
  { exported, revision }: Pick<SummaryRow, 'exported' | 'revision'>,
  now: Date,
): string | null {
  if (!exported) {
    return revision < MUCH_WORK
      ? null
      : 'Never exported. A file keeps it safe outside this browser.';
  }
  const isOld = differenceInDays(now, exported.at) >= LONG_AGO;
  if (!isOld || exported.revision === revision) return null;
  return `Last exported ${formatDistance(exported.at, now, { addSuffix: true })}, and changed since.`;
}
