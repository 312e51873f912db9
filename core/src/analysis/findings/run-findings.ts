import type { Run } from '../../design/schema';
import { HOSE_COMPRESSIONS } from '../../duct/hose';
import { POWER_FIT_VELOCITIES } from '../../duct/power-fit';
import { BRANCH_ANGLES } from '../../fittings/branch-entry';
import { CLEAR_DIAMETERS } from '../../fittings/close-elbows';
import { joinAngle, joinClamped } from '../../fittings/joins/joins';
import { fittingClamped, isBend, straightBehind } from '../../fittings/kinds/fitting-kinds';
import type { ShopSolution } from '../../network/solve-shop';
import { type ClampedValue, clampedValue } from '../../quantity/valid-range';
import { narrowestWithin } from './carrying-size';
import type { Finding } from './finding';
import { LIMITS } from './limits';

/** What is to be said of one run while air moves in it: speed, leaks, fittings beyond their tables. */
export function runFindings(run: Run, solution: ShopSolution): Finding[] {
  const where = { kind: 'run', run: run.id } as const;
  const segments = solution.airIn.get(run.id) ?? [];
  const velocity = segments.at(-1)?.velocity ?? 0;
  const found: Finding[] = [];

  const limit = LIMITS.fastDuct.value;
  if (velocity > limit) {
    const diameter = narrowestWithin(run.pipe, segments.at(-1)?.flowOut ?? 0, limit);
    found.push({
      kind: 'fast duct',
      severity: 'note',
      where,
      numbers: { velocity, limit },
      remedy: diameter === null ? null : { kind: 'wider', run: run.id, diameter },
    });
  }
  const leak = segments.reduce((sum, segment) => sum + segment.leak, 0);
  const share = solution.blower.flow > 0 ? leak / solution.blower.flow : 0;
  if (share > LIMITS.leakyRun.value) {
    const numbers = { leak, share };
    const remedy = { kind: 'seal' } as const;
    found.push({ kind: 'leak-prone', severity: 'caution', where, numbers, remedy });
  }
  const angle = joinAngle(run.joins);
  if (run.joins.kind === 'symmetric' && run.joins.angle >= LIMITS.headOn.value) {
    const loss = segments.at(-1)?.parts.find(({ kind }) => kind === 'branch')?.loss ?? 0;
    const numbers = { angle: run.joins.angle, loss };
    const remedy = { kind: 'sweep both legs' } as const;
    found.push({ kind: 'head-on tee', severity: 'caution', where, numbers, remedy });
  }
  if (angle !== null && angle > BRANCH_ANGLES.most + 1e-9) {
    found.push({
      kind: 'against the flow',
      severity: 'caution',
      where,
      numbers: { angle, taken: BRANCH_ANGLES.most },
      remedy: { kind: 'turn with the flow' },
    });
  }
  return [...found, ...closeElbows(run, solution), ...clampedIn(run, velocity, solution)];
}

/** Elbows of a run nearer than five diameters to the next, in it or in the run it leads straight into. */
function closeElbows({ id, to, diameter, fittings }: Run, { tree }: ShopSolution): Finding[] {
  const wanted = CLEAR_DIAMETERS * diameter;
  const isAlone = tree.into.get(to)?.length === 1;
  const beyond = isAlone ? tree.outOf.get(to)?.fittings[0] : undefined;
  return fittings.flatMap((fitting, i): Finding[] => {
    const next = fittings[i + 1] ?? beyond;
    const straight = straightBehind(fitting);
    if (straight === null || straight >= wanted || !next || !isBend(next)) return [];
    return [
      {
        kind: 'close elbows',
        severity: 'note',
        where: { kind: 'run', run: id },
        numbers: { straight, wanted },
        remedy: null,
      },
    ];
  });
}

/** Values of a run that lie outside what their formulas were made for, with what was taken instead. */
function clampedIn(run: Run, velocity: number, { network }: ShopSolution): Finding[] {
  const clamped = run.fittings.flatMap((fitting) => [...fittingClamped(fitting)]);
  if (run.hose) clamped.push(...asList(clampedValue(HOSE_COMPRESSIONS, run.hose.compression)));
  clamped.push(...joinClamped(run.joins));
  const isFit = network.segments.some(
    (segment) =>
      segment.run === run.id && segment.parts.some(({ friction }) => friction?.law === 'power'),
  );
  if (isFit) clamped.push(...asList(clampedValue(POWER_FIT_VELOCITIES, velocity)));
  return clamped.map((value) => ({
    kind: 'outside its range',
    severity: 'note',
    where: { kind: 'run', run: run.id },
    numbers: { given: value.given, used: value.used },
    clamped: value,
    remedy: null,
  }));
}

const asList = (clamped: ClampedValue | null): ClampedValue[] =>
  clamped === null ? [] : [clamped];
