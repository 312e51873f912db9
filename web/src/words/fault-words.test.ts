import type { Fault, NextReading } from '@frank-gauge/core/inference';
import { describe, expect, it } from 'vitest';
import {
  anyOf,
  faultAmount,
  faultName,
  howToConfirm,
  instructionOf,
  nameOfPlace,
} from './fault-words';

const names = {
  run: (id: string) => `run ${id}`,
  meter: (id: string) => `meter ${id}`,
  drop: (node: string) => `drop ${node}`,
  next: (id: string) => (id === 'last' ? null : 'the main'),
};
type Candidate = NextReading['candidate'];
const asked = (
  kind: Candidate['kind'],
  at: Candidate['measurand']['at'],
  gates: readonly string[] = [],
  shows: Candidate['measurand']['shows'] = 'flow',
) => ({
  candidate: {
    kind,
    measurand: { at, shows },
    gates: new Set(gates),
    gatesKey: '',
    meter: 'm',
    cost: 1,
  },
});

describe('what to do for a reading', () => {
  it('names the gates and the place', () => {
    expect(
      instructionOf(
        asked('drop, another gate open too', { kind: 'port', node: 'p' }, ['a', 'b']),
        names,
      ),
    ).toBe('Open the gates of run a and run b and shut all others. Read the air at drop p.');
    expect(instructionOf(asked('drop, own gate', { kind: 'port', node: 'p' }, ['a']), names)).toBe(
      'Open the gate of run a and shut all others. Read the air at drop p.',
    );
    const inRun = (run: string, along: number, gates: readonly string[] = []) =>
      instructionOf(asked('duct, all gates shut', { kind: 'run', run, along }, gates), names);
    expect(inRun('x', 0)).toBe(
      'Shut every gate and leave the blower on. Read the air speed inside run x, just behind the joint where it begins.',
    );
    expect(inRun('x', 2, ['far'])).toBe(
      'Shut the gate at every machine and leave the blower on; of the gates in the mains, leave run far open. Read the air speed inside run x, just before it joins the main.',
    );
    expect(
      instructionOf(
        asked('duct, a drop open', { kind: 'run', run: 'x', along: 2 }, ['far', 'own']),
        names,
      ),
    ).toBe(
      'Open the gates of run far and run own and shut all others. Read the air speed inside run x, just before it joins the main.',
    );
    expect(inRun('last', 2)).toContain('just before the collector.');
    const tap = { kind: 'collector', tap: 'filter' } as const;
    expect(instructionOf(asked('tap', tap, [], 'pressure'), names)).toBe(
      'Shut every gate and leave the blower on. Read the static pressure across the filter.',
    );
    const inlet = { kind: 'collector', tap: 'separator inlet' } as const;
    expect(instructionOf(asked('blower, all gates shut', inlet), names)).toBe(
      'Shut every gate and leave the blower on. Read the airflow at the collector’s inlet.',
    );
    expect(nameOfPlace(tap, names)).toBe('Across the filter');
    expect(nameOfPlace({ kind: 'run', run: 'x', along: 0 }, names)).toBe('run x, beginning');
  });
});

describe('what a fault is called', () => {
  const amount = (fault: Fault, value: number, low: number, high: number) =>
    faultAmount({ fault, amount: value, low, high }, 'us');

  it('says how much of it there is, in its own measure', () => {
    // 1 in² is 6.4516e-4 m².
    const area = 6.4516e-4;
    expect(amount({ kind: 'opening', run: 'r' }, 4 * area, 2 * area, 6 * area)).toBe(
      'about 4 in² (2 in² to 6 in²)',
    );
    expect(amount({ kind: 'gate not open', run: 'r' }, 0.4, 0.3, 0.5)).toMatch(
      /^about 40.% \(30.% to 50.%\) open$/,
    );
    expect(amount({ kind: 'meter', meter: 'm', way: 'more' }, 1.1, 1.1, 1.1)).toMatch(
      /^about 10.%$/,
    );
    expect(amount({ kind: 'filter' }, 2, 1.5, 3)).toMatch(/^about 2\.0.times/);
  });

  it('has words for every kind, and what would settle it', () => {
    const kinds: readonly Fault[] = [
      ...(['opening', 'clog', 'gate not open', 'gate not shut'] as const).map((kind) => ({
        kind,
        run: 'r',
      })),
      ...(['filter', 'separator', 'blower', 'leakage'] as const).map((kind) => ({ kind })),
      { kind: 'meter', meter: 'm', way: 'more' },
      { kind: 'meter', meter: 'm', way: 'less' },
    ];
    expect(new Set(kinds.map(faultName)).size).toBe(kinds.length);
    for (const fault of kinds) expect(howToConfirm(fault)).toMatch(/\.$/);
  });

  it('lists names as a sentence does', () => {
    expect(anyOf(['a'])).toBe('a');
    expect(anyOf(['a', 'b', 'c'])).toBe('a, b or c');
  });
});
