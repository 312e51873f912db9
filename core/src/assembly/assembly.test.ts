import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import type { CollectorParts } from '../design/edit-candidates';
import { shopSchema } from '../design/schema';
import { usualAssembly } from '../design/usual-assembly';
import { toSI } from '../quantity/units';
import { assemblyConflicts, type ConflictKind } from './assembly-conflicts';
import { assemblyMasses, binVolume, LIFT_BY_ONE, liftBy } from './assembly-masses';
import { boxAround } from './box-around';
import { bracketLoad, GRAVITY, lateral, withdrawal } from './bracket';
import type { AssemblyPart, Elevation } from './elevation';
import { standAssembly } from './stand-assembly';
import { sizesOf } from './usual-sizes';

const inch = (value: number) => toSI(value, 'in');

/**
 * A two-stage stack whose every size is typed, in inches: bin 28 on 2 of castors, lid 1½ with a lip
 * of 1, cyclone 36, coupling 6, blower 18 across, 5 wide with 10 of motor; a 24-in. canister over a
 * 12-in. bin.
 */
function typed(change: (parts: CollectorParts) => void = () => {}): CollectorParts {
  const { separator, blower, exhaust } = copyOf(threeBranchShop()).collector;
  const assembly = usualAssembly(true);
  Object.assign(separator, { kind: 'cyclone', lossCoefficient: 5, inletDiameter: inch(6) });
  Object.assign(assembly.bin, { diameter: inch(20), height: inch(28), raised: inch(2), weight: 5 });
  assembly.lid = { thickness: inch(1.5), lip: inch(1) };
  assembly.separator = { diameter: inch(16), height: inch(36), weight: 9, hungAt: null };
  assembly.coupling = { kind: 'hose', length: inch(6) };
  assembly.blower = { housing: inch(18), width: inch(5), motorLength: inch(10), weight: 26 };
  assembly.filter = { diameter: inch(18), height: inch(24), weight: 8, hungAt: null };
  assembly.filterBin = { kind: 'bin', height: inch(12) };
  assembly.people = 4;
  const filter = { name: '', area: 10, permeability: 0.1, seasoned: 1, grade: null };
  const parts: CollectorParts = {
    separator,
    blower,
    exhaust: exhaust.kind === 'filter' ? exhaust : { kind: 'filter', filter },
    assembly,
  };
  change(parts);
  return parts;
}

const CEILING = inch(96);

const kinds = (parts: CollectorParts, ceiling: number | null = CEILING): ConflictKind[] =>
  assemblyConflicts(parts, standAssembly(parts, ceiling)).map(({ kind }) => kind);

const conflict = (parts: CollectorParts, kind: ConflictKind, ceiling: number | null = CEILING) =>
  assemblyConflicts(parts, standAssembly(parts, ceiling)).find((each) => each.kind === kind);

function place(elevation: Elevation, part: AssemblyPart) {
  const found = elevation.placed.find((each) => each.part === part);
  if (!found) throw new Error(`no ${part}`);
  return found;
}

describe('a stack', () => {
  it('adds up, worked by hand: 2 + 28 + 1½ + 36 + 6 + 5 + 10 = 88½ in.', () => {
    const elevation = standAssembly(typed(), CEILING);
    expect(elevation.height).toBeCloseTo(inch(88.5), 9);
    expect(place(elevation, 'lid').z1).toBeCloseTo(inch(31.5), 9);
    expect(place(elevation, 'separator').z1).toBeCloseTo(inch(67.5), 9);
    expect(place(elevation, 'blower').z0).toBeCloseTo(inch(73.5), 9);
    expect(place(elevation, 'motor').z1).toBeCloseTo(inch(88.5), 9);
    // Canister over its own bin with a ring between, 60 mm.
    expect(place(elevation, 'filter').z0).toBeCloseTo(inch(12) + 0.06, 9);
    expect(kinds(typed())).toEqual([]);
  });

  it('is as wide as what stands side by side, and as deep as its widest part', () => {
    const elevation = standAssembly(
      typed(({ assembly }) => {
        assembly.transition.length = inch(12);
      }),
      CEILING,
    );
    const { width, depth } = elevation.floor;
    // Half a lid (bin and 20 mm each side) left of the middle; bin, transition, canister right of it.
    expect(width).toBeCloseTo(inch(20) + 0.02 + inch(12) + inch(18), 9);
    expect(depth).toBeCloseTo(inch(20), 9);
  });

  it('says by how much it goes through the ceiling, and what is left to lift', () => {
    const over = conflict(typed(), 'over the ceiling', inch(87));
    expect(over?.short).toBeCloseTo(inch(1.5), 9);
    expect(over?.part).toBe('motor');
    const lift = conflict(typed(), 'no room to lift', inch(89));
    expect(lift?.short).toBeCloseTo(inch(0.5), 9);
    expect(kinds(typed(), inch(89.5))).toEqual([]);
    expect(kinds(typed(), null)).toEqual([]);
  });

  it('a shorter bin makes it fit', () => {
    const parts = typed();
    expect(kinds(parts, inch(87))).toContain('over the ceiling');
    parts.assembly.bin.height = inch(24);
    expect(kinds(parts, inch(87))).toEqual([]);
  });

  it('hung, takes a bin that reaches the lid, and no taller one', () => {
    const hung = (bin: number, travel: number) =>
      typed(({ assembly }) => {
        assembly.separator.hungAt = inch(31);
        assembly.bin.height = inch(bin);
        assembly.emptying = { kind: 'lower', travel: inch(travel) };
      });
    expect(kinds(hung(28, 1))).toEqual([]);
    expect(conflict(hung(30, 1), 'bin too tall')?.short).toBeCloseTo(inch(2), 9);
    expect(conflict(hung(26, 1), 'bin short of the lid')?.short).toBeCloseTo(inch(2), 9);
    expect(conflict(hung(28.5, 0.5), 'bin stays caught')?.short).toBeCloseTo(inch(0.5), 9);
  });

  it('cannot be lowered from under what stands on it, nor lifted off where it hangs', () => {
    expect(
      kinds(
        typed(({ assembly }) => {
          assembly.emptying = { kind: 'lower', travel: inch(1.5) };
        }),
      ),
    ).toContain('nothing holds the separator');
    expect(
      kinds(
        typed(({ assembly }) => {
          assembly.separator.hungAt = inch(30);
        }),
      ),
    ).toEqual(['hangs, cannot be lifted']);
  });

  it('weighs what has to be lifted against the people there', () => {
    expect(assemblyMasses(typed()).offBin).toBe(9 + 26);
    const alone = typed(({ assembly }) => {
      assembly.people = 1;
    });
    expect(conflict(alone, 'heavy lift off the bin')?.short).toBeCloseTo(35 - LIFT_BY_ONE, 9);
    expect(conflict(alone, 'heavy blower')?.short).toBeCloseTo(3, 9);
    const two = typed(({ assembly }) => {
      assembly.people = 2;
    });
    expect(conflict(two, 'heavy lift off the bin')?.short).toBeCloseTo(35 - liftBy(2), 9);
  });

  // UK HSE L23 on team lifting: two lift two thirds of their sum, three half of it (from memory).
  it('two people do not lift twice what one does, and more people never less', () => {
    expect(liftBy(1)).toBe(LIFT_BY_ONE);
    expect(liftBy(2)).toBeCloseTo((2 * LIFT_BY_ONE * 2) / 3, 9);
    expect(liftBy(3)).toBeCloseTo((3 * LIFT_BY_ONE) / 2, 9);
    for (let people = 1; people < 6; people++) {
      expect(liftBy(people + 1)).toBeGreaterThan(liftBy(people));
    }
  });

  it('a full 28-gal drum, worked by hand: π/4·0.508²·0.711 m³ at 130 kg/m³, and its own 5 kg', () => {
    expect(binVolume(typed())).toBeCloseTo(0.14415, 4);
    expect(assemblyMasses(typed()).fullBin).toBeCloseTo(5 + 130 * 0.14415, 2);
  });

  it('on the wall: lifting under a rigid coupling is refused, a hose long enough is not', () => {
    const wall = (kind: 'rigid' | 'hose', length: number) =>
      typed(({ assembly }) => {
        assembly.mount = { kind: 'wall', height: inch(80) };
        assembly.coupling = { kind, length: inch(length) };
      });
    expect(kinds(wall('rigid', 60))).toEqual(['coupling holds']);
    expect(kinds(wall('hose', 60))).toEqual([]);
    // From the separator's outlet (0, 67.5) to the inlet, 12½ up and 10 + 4 in. of air aside.
    const { joints } = standAssembly(wall('hose', 10), CEILING);
    const aside = inch(10) + 0.1;
    const straight = Math.hypot(aside, inch(12.5));
    expect(joints[0]?.needed).toBeCloseTo(1.1 * straight, 6);
    expect(conflict(wall('hose', 10), 'coupling too short')?.short).toBeCloseTo(
      1.1 * straight - inch(10),
      6,
    );
    expect(standAssembly(wall('rigid', 60), CEILING).joints[0]?.needed).toBeCloseTo(
      aside + inch(12.5),
      6,
    );
  });

  it('in the attic or the next room it takes no height here', () => {
    const attic = typed(({ assembly }) => {
      assembly.mount = { kind: 'attic' };
      assembly.coupling.length = inch(80);
    });
    const elevation = standAssembly(attic, CEILING);
    expect(elevation.height).toBeCloseTo(inch(67.5), 9);
    expect(place(elevation, 'blower').isElsewhere).toBe(true);
    expect(place(elevation, 'blower').z0).toBeGreaterThan(CEILING);
    expect(kinds(attic)).toEqual([]);
    const next = typed(({ assembly }) => {
      assembly.mount = { kind: 'nextRoom', height: inch(72) };
      assembly.coupling.length = inch(80);
    });
    const beyond = standAssembly(next, CEILING);
    expect(place(beyond, 'blower').x0).toBeGreaterThan(beyond.partitionX ?? Infinity);
    expect(beyond.floor.width).toBeCloseTo(inch(20) + 0.04, 9);
  });

  it('out of the wall it has a duct through it, and no filter to place', () => {
    const out = typed((parts) => {
      parts.exhaust = {
        kind: 'outdoors',
        diameter: inch(8),
        length: 2,
        pipe: 'galvanised',
        lossCoefficient: 0.3,
        end: 'flap',
        heating: null,
        makeUp: null,
      };
    });
    const elevation = standAssembly(out, CEILING);
    expect(elevation.filterX).toBeNull();
    const way = elevation.joints.find(({ part }) => part === 'transition');
    expect(way?.diameter).toBeCloseTo(inch(8), 9);
    expect(way?.points.at(-1)?.x).toBeGreaterThan(elevation.outsideX ?? Infinity);
    for (const { x1 } of elevation.placed) expect(x1).toBeLessThan(elevation.outsideX ?? 0);
    expect(standAssembly(typed(), CEILING).outsideX).toBeNull();
    // On the wall its outlet goes up an 8-in. duct's width, and half the duct stands over that.
    out.assembly.mount = { kind: 'wall', height: inch(80) };
    out.assembly.coupling.length = 3;
    expect(conflict(out, 'pipe over the ceiling')?.short).toBeCloseTo(inch(80 + 9 + 8 + 4 - 96), 9);
    out.assembly.mount.height = inch(70);
    expect(kinds(out)).toEqual([]);
  });

  it('one stage stands on its cart', () => {
    const one = typed(({ separator, assembly }) => {
      separator.kind = 'none';
      assembly.mount = { kind: 'cart', height: inch(5) };
    });
    const elevation = standAssembly(one, CEILING);
    expect(elevation.separatorX).toBeNull();
    expect(place(elevation, 'blower').z0).toBeCloseTo(inch(5), 9);
    expect(place(elevation, 'filterBin').z0).toBeCloseTo(inch(5), 9);
    expect(elevation.height).toBeCloseTo(inch(5 + 12 + 24) + 0.06, 9);
    expect(kinds(one)).toEqual([]);
    one.assembly.mount = { kind: 'onSeparator' };
    expect(kinds(one)).toEqual(['nothing to stand on']);
  });

  it('names what else cannot be: wheel, filter bin, a blower as large as the room', () => {
    const wheel = typed(({ assembly, blower }) => {
      assembly.blower.housing = inch(12);
      blower.wheelDiameter = inch(14);
    });
    expect(conflict(wheel, 'wheel in its housing')?.short).toBeCloseTo(inch(2), 9);
    const hung = typed(({ assembly }) => {
      assembly.filter.hungAt = inch(10);
    });
    expect(conflict(hung, 'filter bin too tall')?.short).toBeCloseTo(inch(2), 9);
    const large = typed(({ assembly }) => {
      assembly.mount = { kind: 'wall', height: inch(40) };
      assembly.blower.housing = inch(100);
    });
    expect(conflict(large, 'larger than the room')?.short).toBeCloseTo(inch(4), 9);
  });

  it('an enclosure has to hold blower and filter with air around them', () => {
    const boxed = (height: number) =>
      typed((parts) => {
        parts.assembly.mount = { kind: 'cart', height: 0 };
        parts.separator.kind = 'none';
        parts.exhaust = {
          kind: 'enclosure',
          filter: { name: '', area: 10, permeability: 0.1, seasoned: 1, grade: null },
          returnFilter: { area: 0.3, velocity: 1.5, pressure: 60 },
          box: { length: 2, width: 1, height, surfaceMass: 11, absorption: 0.5 },
        };
      });
    const high = inch(12 + 24) + 0.06;
    expect(kinds(boxed(high + 0.11))).toEqual([]);
    expect(conflict(boxed(high), 'box too small')?.short).toBeCloseTo(0.1, 9);
  });

  it('a box built around what stands holds it, with air to spare', () => {
    for (const mount of [
      { kind: 'cart', height: 0.1 },
      { kind: 'wall', height: 1.6 },
    ] as const) {
      const parts = typed(({ assembly }) => {
        assembly.mount = mount;
        assembly.coupling.length = 3;
      });
      const box = boxAround(parts);
      parts.exhaust = {
        kind: 'enclosure',
        filter: { name: '', area: 10, permeability: 0.1, seasoned: 1, grade: null },
        returnFilter: { area: 0.3, velocity: 1.5, pressure: 60 },
        box: { ...box },
      };
      expect(kinds(parts)).not.toContain('box too small');
    }
  });

  it('cautions of drums under suction, and of chips through the wheel', () => {
    const drum = typed(({ assembly }) => {
      Object.assign(assembly.bin, { shape: 'square', isLined: true });
    });
    expect(kinds(drum)).toEqual(['flat sides', 'liner sucked up']);
    drum.assembly.order = 'pushed';
    drum.assembly.mount = { kind: 'cart', height: 0 };
    drum.assembly.coupling.length = 3;
    expect(kinds(drum)).toEqual(['chips pass the wheel']);
  });

  it('what is not typed is as such parts usually are, and larger with the machine', () => {
    const open = typed(({ assembly }) => {
      Object.assign(assembly, usualAssembly(true));
    });
    const small = sizesOf(open);
    expect(small.blower.housing).toBeGreaterThan(open.blower.wheelDiameter);
    open.blower.motor.power *= 2;
    expect(sizesOf(open).blower.weight).toBeGreaterThan(small.blower.weight);
    if (open.exhaust.kind === 'filter') open.exhaust.filter.area *= 2;
    expect(sizesOf(open).filter.height).toBeCloseTo(2 * small.filter.height, 9);
  });

  it('never fails, whatever it is told', () => {
    const shop = threeBranchShop();
    const size = fc.option(fc.double({ min: 0.01, max: 5, noNaN: true }));
    const any = fc.record({
      order: fc.constantFrom('pulled' as const, 'pushed' as const, 'cleanSide' as const),
      kind: fc.constantFrom('none' as const, 'cyclone' as const, 'baffle' as const, 'lid' as const),
      mount: fc.constantFrom(
        { kind: 'onSeparator' } as const,
        { kind: 'wall', height: 1.5 } as const,
        { kind: 'cart', height: 0.2 } as const,
        { kind: 'attic' } as const,
        { kind: 'nextRoom', height: 2 } as const,
      ),
      bin: size,
      housing: size,
      hungAt: size,
      ceiling: size,
    });
    fc.assert(
      fc.property(any, ({ order, kind, mount, bin, housing, hungAt, ceiling }) => {
        const parts = typed(({ assembly, separator }) => {
          separator.kind = kind;
          Object.assign(assembly, { order, mount });
          assembly.bin.height = bin;
          assembly.blower.housing = housing;
          assembly.separator.hungAt = hungAt;
        });
        const elevation = standAssembly(parts, ceiling);
        for (const { x0, x1, z0, z1 } of elevation.placed) {
          expect([x0, x1, z0, z1].every(Number.isFinite)).toBe(true);
          expect(x1).toBeGreaterThanOrEqual(x0);
        }
        for (const { short } of assemblyConflicts(parts, elevation)) {
          if (short !== null) expect(short).toBeGreaterThan(0);
        }
        const collector = { ...shop.collector, ...parts };
        expect(shopSchema.safeParse({ ...shop, collector }).success).toBe(true);
      }),
      { numRuns: 200 },
    );
  });
});

describe('a wall bracket', () => {
  const cleat = {
    length: inch(24),
    studSpacing: inch(16),
    screws: 4,
    screwDiameter: inch(0.25),
    screwDepth: inch(2),
    rise: inch(12),
  };

  // NDS reference withdrawal of a ¼-in. lag in spruce-pine-fir (G 0.42): 173 lb an inch, from memory.
  it('draws out at the code’s value for each inch of thread', () => {
    expect(withdrawal(inch(0.25), inch(1)) / (toSI(1, 'lb') * GRAVITY)).toBeCloseTo(173, 0);
  });

  // NDS yield mode IV with root diameter and steel as the thicker screws have them (from memory).
  it('across its thread a thicker screw bears more, but by less than its section', () => {
    const times = (diameter: number) => lateral(inch(diameter)) / lateral(inch(0.25));
    expect(times(0.3125)).toBeCloseTo(1.25 ** 1.75 * Math.sqrt(60 / 70), 6);
    expect(times(0.375)).toBeCloseTo(1.5 ** 1.75 * Math.sqrt(45 / 70), 6);
    for (const diameter of [0.3125, 0.375, 0.5]) {
      expect(times(diameter)).toBeGreaterThan(1);
      expect(times(diameter)).toBeLessThan((diameter / 0.25) ** 2);
    }
  });

  it('worked by hand: twice 26 kg, 9 in. out on a rise of 12', () => {
    const load = bracketLoad(cleat, 26, inch(9));
    expect(load.weight).toBeCloseTo(2 * 26 * GRAVITY, 9);
    expect(load.pull).toBeCloseTo((2 * 26 * GRAVITY * 9) / 12, 9);
    expect(load.pullBorne).toBeCloseTo(2 * withdrawal(inch(0.25), inch(2)), 9);
    expect(load.weightBorne).toBeCloseTo(4 * lateral(inch(0.25)), 9);
    expect(load.lengthWanted).toBeCloseTo(inch(17.5), 9);
  });

  it('short thread and a short cleat are named', () => {
    const hung = typed(({ assembly }) => {
      assembly.mount = { kind: 'wall', height: inch(80) };
      assembly.coupling.length = 3;
      assembly.cleat = { ...cleat, length: inch(12), screwDepth: inch(0.1), rise: inch(4) };
    });
    expect(kinds(hung)).toEqual(['screws draw out', 'cleat too short']);
    expect(conflict(hung, 'cleat too short')?.short).toBeCloseTo(inch(5.5), 9);
  });
});
