import type { Shop } from '../../design/schema';
import type { View } from '../../network/assemble/setting';
import type { DropAir, GateRule } from '../judge-drops';
import { collectorFindings } from './collector-findings';
import { dropFindings } from './drop-findings';
import type { Finding, Severity } from './finding';
import { runFindings } from './run-findings';

const ORDER: Readonly<Record<Severity, number>> = { serious: 0, caution: 1, note: 2 };

/**
 * What is to be said of a drop, the runs on its way, and the collector while it draws: what is
 * serious first, else in the order the air meets it. Nothing of a drop that is shut.
 */
export function findings(shop: Shop, air: DropAir, view: View, rule: GateRule): Finding[] {
  if (air.standing === 'shut') return [];
  return [
    ...dropFindings(shop, air, view, rule),
    ...air.drop.path.flatMap((run) => runFindings(run, air.solution)),
    ...collectorFindings(shop, air.solution, view),
  ].sort((a, b) => ORDER[a.severity] - ORDER[b.severity]);
}
