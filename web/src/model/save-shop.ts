'use client';

import { emptyJournal, withDiff } from '@frank-gauge/core/journal';
import { toast } from 'sonner';
import { database } from '@/storage/database';
import { readRecords } from '@/storage/journal-tables';
import { saveBlob } from '@/storage/save-file';
import { shopSession } from '@/storage/session';
import { type FileForm, fileName, jsonFile } from '@/storage/shop-file';
import { noteExported } from '@/storage/shop-list';
import { engine } from './engine';

/**
 * Saves a shop as a file: what is stored of it, read and put together by the engine; where storage refuses
 * the last edits, what this page holds.
 */
export async function saveShop(id: string, form: FileForm): Promise<void> {
  const unstored = await shopSession.settled();
  const state = shopSession.state.getState();
  if (unstored && state.status === 'open' && state.id === id) {
    const stored = await readRecords(database(), id, 'readings').catch(() => null);
    const journal = { ...emptyJournal(), ...state.journal };
    const readings = withDiff({ readings: stored ?? [] }, unstored);
    saveBlob(`${fileName(state.shop)}.json`, jsonFile(state.shop, { ...journal, ...readings }));
    if (!stored && state.readings > readings.readings.length) {
      toast(
        'The file lacks readings: those stored earlier cannot be read now. They are still in the ' +
          'browser; save the shop again once its storage works.',
        { duration: Number.POSITIVE_INFINITY },
      );
    }
    return;
  }
  const { outcome } = engine.ask('export', (remote) => remote.exportShop(id, form));
  const saved = await outcome;
  if (saved.kind === 'answered' && saved.answer) {
    saveBlob(saved.answer.name, saved.answer.content);
    // What cannot be noted is reminded of once more.
    await noteExported(id, new Date()).catch(() => undefined);
  } else if (saved.kind !== 'superseded') {
    toast('The shop could not be written to a file. Nothing of it was changed; try again.');
  }
}

/** Kinds of files that browsers share; the text of a shop's file is the same in each. */
const SHARED_AS = [
  { ending: '.json', type: 'application/json' },
  { ending: '.txt', type: 'text/plain' },
] as const;

/** A shop as a file that this browser would share; null where it shares no files, or cannot write this one. */
export async function shopToShare(id: string): Promise<File | null> {
  if (typeof navigator.canShare !== 'function') return null;
  await shopSession.settled();
  const made = await engine.ask('export to share', (remote) => remote.exportShop(id, 'json'))
    .outcome;
  if (made.kind !== 'answered' || !made.answer) return null;
  const { name, content } = made.answer;
  const files = SHARED_AS.map(
    ({ ending, type }) => new File([content], name.replace(/\.json$/, ending), { type }),
  );
  return files.find((file) => navigator.canShare({ files: [file] })) ?? null;
}
