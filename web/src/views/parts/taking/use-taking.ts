'use client';

import { gatesOfDrop, gatesOpenNow } from '@frank-gauge/core/analysis';
import type { DuctTree, Run } from '@frank-gauge/core/design';
import {
  type Instrument,
  isOfFlow,
  type Reading,
  recordWith,
  type TestPoint,
} from '@frank-gauge/core/journal';
import { UNITS, type UnitId } from '@frank-gauge/core/quantity';
import {
  type ExpectedReading,
  measuredBy,
  measuredValue,
  type Suspicion,
  shownFor,
  suspicionsOf,
  USUAL_ACCURACY,
} from '@frank-gauge/core/reading';
import { useDuctTree, useUnits } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { SHOWN_BY, usualQuantity } from '@/words/measuring-words';
import { useReadShop } from '../stand-ins/use-hidden';
import { useSwitches } from '../stand-ins/use-switches';
import { type DraftReading, repeatsOf } from './draft-reading';
import { bareUnit, type ReadRepeat, readRepeat } from './read-repeat';
import { useCircumstances } from './use-circumstances';
import { useExpected } from './use-expected';
import { useLastInstrument } from './use-last-instrument';
import { DIAMETER_OF_NO_DUCT, insideOf, type Place } from './use-places';

/** A reading but for when it is logged. */
export type ReadingFields = Omit<Reading, 'id' | 'at' | 'struckOut'>;

/** A reading while it is taken, with all that follows from what was typed. */
export interface Taking {
  readonly instrument: Instrument;
  /** What the meter could show, and what it is taken to. */
  readonly shows: readonly Reading['quantity'][];
  readonly quantity: Reading['quantity'];
  /** Unit of a number without one. */
  readonly bare: UnitId;
  readonly diameter: number;
  readonly reads: readonly ReadRepeat[];
  readonly isTraverse: boolean;
  /** All that it needs is typed. */
  readonly isWhole: boolean;
  /** What is typed can be read. */
  readonly isReadable: boolean;
  readonly fields: ReadingFields;
  readonly expected: ExpectedReading | null;
  /** What the meter would show of that, SI; null: not known. */
  readonly expectedShown: number | null;
  /** What a simulated meter is at: the same in the shop’s hidden condition, SI; null: not known. */
  readonly trueShown: number | null;
  readonly suspicions: readonly Suspicion[];
}

/** What a shop’s first reading is taken with, until its meter is described. */
export const firstMeter = () =>
  recordWith('instruments', { id: 'meter', name: 'Meter', kind: 'vane', accuracy: USUAL_ACCURACY });

/**
 * What follows from a draft at a place.
 * @param gates runs whose gates stand open, where that is not the draft's to say
 * @param round the round it belongs to, by whose air it is corrected
 */
export function useTaking(
  draft: DraftReading,
  { drop, point }: Place,
  gates: readonly string[] | null = null,
  round: string | null = null,
): Taking {
  const system = useUnits();
  const tree = useDuctTree();
  const instruments = useJournal((journal) => journal.instruments);
  const last = useLastInstrument(point.id);
  const circumstances = useCircumstances();
  const byId = (id: string | null) => instruments.find((each) => each.id === id);
  // A drop is read with what shows the air, a tap with what shows pressure, if there is one.
  const fitting = instruments.find((each) => isOfFlow(usualQuantity(each)) === (drop !== null));
  const instrument =
    byId(draft.instrument) ?? byId(last) ?? fitting ?? instruments[0] ?? firstMeter();
  const canShow = SHOWN_BY[instrument.kind];
  const quantity =
    draft.quantity && canShow.includes(draft.quantity) ? draft.quantity : usualQuantity(instrument);
  const diameter = draft.diameter ?? insideOf({ point, drop }) ?? DIAMETER_OF_NO_DUCT;
  const readAs = { quantity, system, instrument };
  const bare = bareUnit(readAs);
  const isTraverse = draft.spot === 'traverse' && isOfFlow(quantity);
  const repeats = repeatsOf(isTraverse ? draft : { ...draft, spot: 'point' });
  const reads = repeats.map((repeat) => readRepeat(repeat, readAs));
  const taken = reads.flatMap((read) => (read.ok && read.taken ? [read.taken] : []));
  const isWhole = isTraverse ? taken.length === reads.length : taken.length > 0;
  const isReadable = reads.every(({ ok }) => ok);
  const simulated = useSwitches();
  const switches = instrument.isSimulated ? simulated : null;
  const assumed = gates ?? (draft.gates === 'own' && drop ? gatesOfDrop(drop) : gatesOpenNow(tree));
  // Simulated gates say themselves whether they are open; a real meter is at real ones.
  const openGates = [...(switches?.gates.open ?? assumed)];
  const read = reads.flatMap((one) => (one.ok && one.taken ? [one.unit] : []))[0];
  const fields: ReadingFields = {
    testPoint: point.id,
    instrument: instrument.id,
    round,
    method: quantity === 'number' ? 'relative' : draft.method,
    quantity,
    spot: isOfFlow(quantity) ? draft.spot : 'point',
    traverse: isTraverse ? draft.traverse : null,
    diameter,
    taken,
    unit: UNITS[read ?? bare].symbol,
    hold: draft.hold,
    presetDiameter: quantity === 'flow' ? instrument.presetDiameter : null,
    openGates,
    isSimulated: instrument.isSimulated,
    note: draft.note,
  };
  const believed = useReadShop(false);
  const real = useReadShop(instrument.isSimulated);
  const shows = measuredBy(quantity);
  const measurand = shows && { at: point.at, shows };
  const expected = useExpected(believed, measurand, openGates);
  const truth = useExpected(real, instrument.isSimulated ? measurand : null, openGates);
  const by = circumstances(fields);
  const at = new Date().toISOString();
  const shownOf = (value: ExpectedReading | null) =>
    value && (isOfFlow(quantity) ? shownFor(value.value, { ...fields, at }, by) : value.value);
  const expectedShown = shownOf(expected);
  const trueShown = shownOf(truth);
  const pipe = pipeAt(tree, point.at);
  const suspicions: readonly Suspicion[] =
    isWhole && isReadable
      ? suspicionsOf(fields, {
          measured: measuredValue({ ...fields, at }, by),
          expected,
          rangeEnd: instrument.range.to,
          pipe: pipe ? { id: pipe.pipe, diameter: pipe.diameter } : null,
        })
      : [];
  return {
    instrument,
    shows: canShow,
    quantity,
    bare,
    diameter,
    reads,
    isTraverse,
    isWhole,
    isReadable,
    fields,
    expected,
    expectedShown,
    trueShown,
    suspicions,
  };
}

/** The run whose pipe a meter at a test point is in; none at the collector and in the room. */
function pipeAt(
  { drops, upstreamFirst }: Pick<DuctTree, 'drops' | 'upstreamFirst'>,
  at: TestPoint['at'],
): Run | undefined {
  if (at.kind === 'port') return drops.find(({ id }) => id === at.node)?.path[0];
  return at.kind === 'run' ? upstreamFirst.find(({ id }) => id === at.run) : undefined;
}
