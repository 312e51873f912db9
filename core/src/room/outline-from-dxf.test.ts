import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { outlineFromDxf } from './outline-from-dxf';
import type { Spot } from './plane';
import { floorArea } from './room-outline';

type Pair = readonly [code: number, value: string | number];

/** A drawing as the format writes it: a code, then what it says, a line each. */
const written = (...pairs: readonly Pair[]) =>
  pairs.map(([code, value]) => `${code}\n${value}`).join('\n');

/** A drawing of these entities; its unit as the format numbers them (6: metres), or none. */
const drawing = (entities: readonly Pair[], unit: number | null = 6) =>
  written(
    [0, 'SECTION'],
    [2, 'HEADER'],
    ...(unit === null
      ? []
      : ([
          [9, '$INSUNITS'],
          [70, unit],
        ] as const)),
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...entities,
    [0, 'ENDSEC'],
    [0, 'EOF'],
  );

const line = (from: Spot, to: Spot): Pair[] => [
  [0, 'LINE'],
  [10, from.x],
  [20, from.y],
  [11, to.x],
  [21, to.y],
];
const ringOfLines = (corners: readonly Spot[]) =>
  corners.flatMap((from, i) => line(from, corners[(i + 1) % corners.length] ?? from));
const light = (corners: readonly Spot[], isClosed = true): Pair[] => [
  [0, 'LWPOLYLINE'],
  [90, corners.length],
  [70, isClosed ? 1 : 0],
  ...corners.flatMap(({ x, y }): Pair[] => [
    [10, x],
    [20, y],
  ]),
];
const old = (corners: readonly Spot[], hasEnd = true): Pair[] => [
  [0, 'POLYLINE'],
  [66, 1],
  [70, 1],
  ...corners.flatMap(({ x, y }): Pair[] => [
    [0, 'VERTEX'],
    [10, x],
    [20, y],
  ]),
  ...(hasEnd ? ([[0, 'SEQEND']] as const) : []),
];

const at = (x: number, y: number): Spot => ({ x, y });
const [A, B, C, D] = [at(2, 1), at(8, 1), at(8, 5), at(2, 5)];
const ROOM = [A, B, C, D];

const areaOf = (text: string) => {
  const read = outlineFromDxf(text);
  return read.ok ? floorArea(read.outline) : read.reason;
};

describe('a room from a drawing', () => {
  it.each<[string, Pair[]]>([
    ['a light polyline', light(ROOM)],
    ['one whose last corner is its first again', light([...ROOM, A], false)],
    ['a polyline of vertices', old(ROOM)],
    ['a polyline whose end mark is left out', old(ROOM, false)],
    ['lines that meet', ringOfLines(ROOM)],
    [
      'lines in any order, drawn either way',
      [line(C, B), line(D, A), line(A, B), line(D, C)].flat(),
    ],
    ['lines that meet within 5 mm', ringOfLines([A, B, C, at(2.003, 5.002)])],
  ])('is read from %s', (_, entities) => {
    const read = outlineFromDxf(drawing(entities));
    expect(read).toMatchObject({ ok: true, note: '' });
    if (!read.ok) return;
    expect(floorArea(read.outline)).toBeCloseTo(24, 1);
    expect(Math.min(...read.outline.map(({ x }) => x))).toBe(0);
    expect(Math.min(...read.outline.map(({ y }) => y))).toBe(0);
    expect(read.outline).toHaveLength(4);
  });

  it('is the largest of what closes, in the unit the drawing states', () => {
    const small = ringOfLines([at(0, 0), at(1, 0), at(1, 1)]);
    expect(areaOf(drawing([...small, ...light(ROOM)]))).toBeCloseTo(24, 9);
    expect(areaOf(drawing(light(ROOM.map(({ x, y }) => at(x * 1000, y * 1000))), 4))).toBeCloseTo(
      24,
      6,
    );
    expect(areaOf(drawing(light(ROOM), 2))).toBeCloseTo(24 * 0.3048 ** 2, 9);
    const unstated = outlineFromDxf(
      drawing(light(ROOM.map(({ x, y }) => at(x * 1000, y * 1000))), null),
    );
    expect(unstated).toMatchObject({ ok: true, note: 'It states no unit: taken for millimetres.' });
  });

  it.each<[string, string, RegExp]>([
    ['no drawing', 'a letter', /not a DXF drawing, or there is nothing in it/],
    ['nothing', '', /not a DXF drawing, or there is nothing in it/],
    [
      'a drawing that ends early',
      drawing(light(ROOM)).slice(0, 60),
      /not a DXF drawing, or there is nothing in it/,
    ],
    [
      'lines that do not close',
      drawing([...line(A, B), ...line(B, C)]),
      /Nothing in this drawing closes/,
    ],
    ['a polyline with nothing in it', drawing([[0, 'POLYLINE']]), /Nothing in this drawing closes/],
    [
      'one that stands before something else',
      drawing([[0, 'POLYLINE'], ...line(A, B)]),
      /Nothing in this drawing closes/,
    ],
    [
      'corners that are nowhere',
      drawing(light([A, B, at(Number.NaN, 3), D])),
      /Nothing in this drawing closes/,
    ],
    [
      'corners beyond counting',
      drawing(light([A, B, at(1e300, 1e300), at(-1e300, 1e300)])),
      /across/,
    ],
    ['a doll’s house', drawing(light(ROOM), 5), /across: look at the drawing’s units/],
    [
      'too many corners',
      drawing(
        light(
          Array.from({ length: 300 }, (_, i) => at(5 * Math.cos(i / 48), 5 * Math.sin(i / 48))),
        ),
      ),
      /300 corners; 200 are the most/,
    ],
  ])('is not read from %s', (_, text, reason) => {
    expect(areaOf(text)).toMatch(reason);
  });

  it('is found among twenty thousand loose lines about as soon as among none', () => {
    const loose = Array.from({ length: 20_000 }, (_, i) =>
      line(at(i, 20), at(i + 0.5, 20.5)),
    ).flat();
    const star = Array.from({ length: 20_000 }, (_, i) =>
      line(at(0, 0), at(Math.cos(i), Math.sin(i))),
    ).flat();
    for (const many of [loose, star]) {
      const text = drawing([...many, ...ringOfLines(ROOM)]);
      const began = performance.now();
      expect(areaOf(text)).toBeCloseTo(24, 9);
      // It took 24 s when each line was held against each other one; the bound leaves room for a busy machine.
      expect(performance.now() - began).toBeLessThan(4000);
    }
  });

  it('whatever is damaged in a drawing, it is read or refused, and never held up', () => {
    // The package speaks of corners that belong to nothing.
    vi.spyOn(console, 'error').mockImplementation(() => {});
    const whole = drawing([...light(ROOM), ...old(ROOM), ...ringOfLines(ROOM)]).split('\n');
    const damage = fc.record({
      at: fc.nat(whole.length - 1),
      kind: fc.constantFrom('left out', 'twice', 'cut', 'nonsense', 'swapped'),
      text: fc.constantFrom(
        '0',
        '-1',
        'NaN',
        '1e999',
        'VERTEX',
        'SEQEND',
        'POLYLINE',
        'ENDSEC',
        'EOF',
        '',
      ),
    });
    fc.assert(
      fc.property(fc.array(damage, { minLength: 1, maxLength: 3 }), (damages) => {
        const lines = [...whole];
        for (const each of damages) {
          if (each.kind === 'left out') lines.splice(each.at, 1);
          else if (each.kind === 'twice') lines.splice(each.at, 0, lines[each.at] ?? '');
          else if (each.kind === 'cut') lines.length = Math.min(lines.length, each.at);
          else if (each.kind === 'nonsense') lines[each.at] = each.text;
          else lines.splice(each.at, 2, ...lines.slice(each.at, each.at + 2).toReversed());
        }
        const began = performance.now();
        const read = outlineFromDxf(lines.join('\n'));
        expect(performance.now() - began).toBeLessThan(1000);
        if (read.ok) expect(read.outline.every(({ x, y }) => Number.isFinite(x + y))).toBe(true);
        else expect(read.reason).not.toBe('');
      }),
      { numRuns: 1000 },
    );
  });
});
