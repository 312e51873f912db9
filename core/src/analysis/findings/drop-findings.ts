import type { Shop } from '../../design/schema';
import type { View } from '../../network/assemble/setting';
import { dropFlow } from '../../network/drop-flow';
import { solveTree } from '../../network/solve-shop';
import { withRun } from '../../routing/arrange-ducts';
import { gatesWith } from '../gate-sets';
import type { DropAir, GateRule } from '../judge-drops';
import { type ProfileStep, pressureProfile } from '../pressure-profile';
import { widestCarrying } from './carrying-size';
import type { Finding, Remedy } from './finding';
import { LIMITS } from './limits';

/** A hose this little longer than it has to be is not worth cutting. */
const WORTH_CUTTING = 1.2;

/** What a drop itself lacks: flow, velocity to carry chips, a shorter hose; and the main it uses. */
export function dropFindings(shop: Shop, air: DropAir, view: View, rule: GateRule): Finding[] {
  const { drop, solution, flow, need } = air;
  const where = { kind: 'drop', drop: drop.id } as const;
  const [own] = drop.path;
  const found: Finding[] = [];
  const isShort = air.standing !== 'enough';
  const isLongHose = own?.hose != null && own.hose.length > LIMITS.longHose.value;
  // The shop solved once more: only where it has something to say.
  const cut = isShort || isLongHose ? shorterHose(shop, air, view, rule) : null;
  if (isShort) {
    const largest = largestLoss(air);
    const share = largest && solution.blower.rise > 0 ? largest.loss / solution.blower.rise : 0;
    const numbers = { short: -air.margin, flow, need, share };
    found.push({ kind: 'starved', severity: 'serious', where, numbers, largest, remedy: cut });
  }
  const { transport, main } = air;
  if (own && transport !== null && air.velocity < transport) {
    const diameter = widestCarrying(own.pipe, flow, transport);
    const isNarrower = diameter !== null && diameter < own.diameter;
    found.push({
      kind: 'slow drop',
      severity: 'caution',
      where,
      numbers: { velocity: air.velocity, wanted: transport },
      remedy: isNarrower ? { kind: 'narrower', run: own.id, diameter } : null,
    });
  }
  if (own?.hose && isLongHose) {
    const { length } = own.hose;
    const parts = solution.airIn.get(own.id)?.flatMap((segment) => segment.parts) ?? [];
    const hoseLoss = parts.reduce((sum, { kind, loss }) => (kind === 'hose' ? sum + loss : sum), 0);
    const numbers = { length, limit: LIMITS.longHose.value, loss: hoseLoss };
    // What cutting it wins is said once.
    const remedy = isShort ? null : cut;
    found.push({ kind: 'long hose', severity: 'caution', where, numbers, remedy });
  }
  if (main && main.transport !== null && main.velocity < main.transport) {
    const { run, velocity, transport: wanted } = main;
    found.push({
      kind: 'settling main',
      severity: 'caution',
      where: { kind: 'run', run },
      numbers: { velocity, wanted },
      remedy: { kind: 'open another gate' },
    });
  }
  return found;
}

function largestLoss({ solution, drop }: DropAir): ProfileStep | null {
  const steps = pressureProfile(solution, drop).filter(({ kind }) => kind !== 'blower');
  return steps.reduce<ProfileStep | null>(
    (most, next) => (most && most.loss >= next.loss ? most : next),
    null,
  );
}

/** What cutting the drop's hose to two feet wins: the shop solved again with it. */
function shorterHose(shop: Shop, air: DropAir, view: View, rule: GateRule): Remedy | null {
  const length = LIMITS.shortHose.value;
  const [own] = air.drop.path;
  if (!own?.hose || own.hose.length <= length * WORTH_CUTTING) return null;
  const hose = { ...own.hose, length };
  const changed = withRun(air.solution.tree, { ...own, hose });
  const openGates =
    rule === 'one' ? gatesWith([air.drop], air.solution.tree, shop.shop.rules) : undefined;
  const solved = solveTree(shop, changed, { view, openGates });
  if (solved.kind !== 'solved') return null;
  const gain = (dropFlow(solved, air.drop) ?? 0) - air.flow;
  return { kind: 'shorter hose', run: own.id, length, gain };
}
