import { eachOf, type Json, within } from '../document/json-walk';
import type { Migration } from './migration';

/** Shares a bin gets by kind of separator, as they were believed when version 2 began. */
const CAUGHT: Readonly<Record<string, number>> = {
  none: 0,
  cyclone: 0.97,
  baffle: 0.92,
  lid: 0.88,
};

const exhaust = ({ kind, ...rest }: Json): Json =>
  kind === 'filter'
    ? { kind, filter: { ...rest, grade: null } }
    : { kind, ...rest, length: 0, pipe: 'galvanised', end: 'open', heating: null };

const run = (before: Json): Json => ({
  ...eachOf(before, 'fittings', (fitting) =>
    fitting.kind === 'elbow' ? { ...fitting, after: null } : fitting,
  ),
  joints: null,
});

/** Candidates, schools of friction and of gates, proportions, ways out, joints and the pressure side. */
export const fromVersion1: Migration = {
  from: 1,
  what: 'candidates, friction and gate rules, cyclone proportions, dust, ways out of the blower, joints, leaks behind the blower',
  migrate: (document) => {
    let next = within({ ...document, candidates: [] }, 'shop', (shop) =>
      within(shop, 'rules', (rules) => ({ ...rules, friction: 'darcy', gates: { kind: 'one' } })),
    );
    next = within(next, 'collector', (before) => {
      let collector = within(before, 'separator', (separator) => ({
        ...separator,
        origin: { kind: 'assumed' },
        proportions: null,
        caught: CAUGHT[String(separator.kind)] ?? 0,
      }));
      collector = within(collector, 'blower', (blower) => ({ ...blower, inletElbow: null }));
      collector = within(collector, 'exhaust', exhaust);
      return { ...collector, dust: { rate: 5e-4, median: 150e-6, spread: 3 } };
    });
    next = within(next, 'ducts', (ducts) => eachOf(ducts, 'runs', run));
    return within(next, 'condition', (condition) => ({
      ...within(condition, 'sealing', (sealing) => ({ exponent: 0.65, ...sealing })),
      joints: { usual: 0, runs: [] },
      pressureSide: { area: 0, origin: { kind: 'assumed' } },
    }));
  },
};
