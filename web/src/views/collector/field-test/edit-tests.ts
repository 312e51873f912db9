import { filterOf } from '@frank-gauge/core/analysis';
import type { Shop } from '@frank-gauge/core/design';
import type { FieldTest } from '@frank-gauge/core/journal';
import { airAtSite } from '@frank-gauge/core/quantity';
import { curvePoints, type FieldTestFit, loadingOf } from '@frank-gauge/core/reading';
import { nanoid } from 'nanoid';
import { toast } from 'sonner';
import { edit, record } from '@/storage/session';
import { undoAction } from '../../frame/undo-aloud';

type Step = FieldTest['steps'][number];

/** What hand-held meters usually may be off by. */
const USUAL_UNCERTAINTIES = { flow: 0.04, pressure: 0.02 } as const;

const newStep = (): Step => ({ id: nanoid(10), flow: 0, inlet: 0, outlet: null, ahead: null });

/** A new test with one step, the blocked inlet, in the shop's own air and at the wheel's speed. */
export function startTest({ shop: { site }, collector }: Shop): void {
  const { density } = airAtSite(site);
  const { speed, wheelDiameter } = collector.blower;
  record('start a field test', ({ fieldTests }) => {
    fieldTests.push({
      id: nanoid(10),
      at: new Date().toISOString(),
      density,
      speed,
      wheelDiameter,
      tapDiameter: collector.separator.inletDiameter,
      flowUncertainty: USUAL_UNCERTAINTIES.flow,
      pressureUncertainty: USUAL_UNCERTAINTIES.pressure,
      steps: [newStep()],
    });
  });
}

/** Edits one field of a test; quick edits of it are one step to undo. */
export const editTest = (
  { id }: FieldTest,
  field: string,
  change: (own: FieldTest) => void,
): void =>
  record(
    field,
    ({ fieldTests }) => {
      const own = fieldTests.find((test) => test.id === id);
      if (own) change(own);
    },
    { merge: `test ${id} ${field}` },
  );

export const addStep = (test: FieldTest): void =>
  record('add an opening', ({ fieldTests }) => {
    fieldTests.find(({ id }) => id === test.id)?.steps.push(newStep());
  });

export const removeStep = (test: FieldTest, step: string): void =>
  record('remove an opening', ({ fieldTests }) => {
    const own = fieldTests.find(({ id }) => id === test.id);
    if (own) own.steps = own.steps.filter(({ id }) => id !== step);
  });

export function dropTest(test: FieldTest): void {
  record('remove a field test', (journal) => {
    journal.fieldTests = journal.fieldTests.filter(({ id }) => id !== test.id);
  });
  toast('Removed the test', { action: undoAction() });
}

/** Puts the fitted curve in the blower, as it was tested. */
export function adoptCurve(test: FieldTest, { curve }: FieldTestFit): void {
  if (!curve.ok) return;
  const points = curvePoints(curve);
  edit('blower curve', ({ collector: { blower } }) => {
    const { density, speed, wheelDiameter } = test;
    blower.curve = points;
    blower.measured = { density, speed, wheelDiameter };
  });
}

/** Believes the filter as loaded as the test found it. */
export function adoptLoading(test: FieldTest, { exhaust }: FieldTestFit): void {
  if (!exhaust) return;
  edit('filter loading', ({ collector, condition }) => {
    const filter = filterOf(collector);
    if (!filter) return;
    const value = Math.min(100, loadingOf(filter, exhaust.value));
    condition.filterLoading = { value, origin: { kind: 'fitted', on: test.at } };
  });
}

/** Believes the separator to take what the test found. */
export function adoptCoefficient(test: FieldTest, { separator }: FieldTestFit): void {
  if (!separator) return;
  edit('velocity heads', ({ collector }) => {
    Object.assign(collector.separator, {
      lossCoefficient: Math.min(100, Math.max(0, separator.value)),
      proportions: null,
      origin: { kind: 'fitted', on: test.at },
    });
  });
}
