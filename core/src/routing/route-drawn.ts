import type { NewId } from '../design/edit-ducts';
import type { Shop } from '../design/schema';
import type { Spot } from '../room/plane';
import { ductLines, pipePoints } from './duct-lines';
import { inletMouth, nodePlaces, portMouth } from './places';
import { type DuctEnd, type RoutedDuct, rejoin, routeDuct, runFromPort } from './route-duct';
import { nearestOn, ONE_SPOT, type Point3, tidy } from './space';
import { aheadOf, type OntoMain, ontoMain, riseFrom, turnedWithFlow } from './usual-route';

/**
 * Leads a duct along the points someone drew from one end to the other, with what they leave to the
 * program: the hose and riser at a port, a riser where the other end hangs at another height (ahead of
 * the collector, some straight duct away from it), and a wye turned with the flow where it would meet a main squarely. A port that has its duct already is
 * routed anew. `foot`: where its riser stands, where that is not as usual.
 */
export function routeDrawn(
  shop: Shop,
  from: DuctEnd,
  to: DuctEnd,
  clicked: readonly Point3[],
  newId: NewId,
  foot?: Spot,
): RoutedDuct {
  const isForward = from.kind === 'port' || from.kind === 'free';
  const [source, target] = isForward ? [from, to] : [to, from];
  if (target.kind === 'port' || target.kind === 'free') {
    return { ok: false, why: 'no way to the blower' };
  }
  const points = isForward ? [...clicked] : clicked.toReversed();
  const end = endOf(shop, target);
  if (!end) return { ok: false, why: 'not placed' };

  const start = source.kind === 'free' ? [source.at] : [];
  const mouth = source.kind === 'port' ? mouthOf(shop, source) : null;
  if (source.kind === 'port' && !mouth) return { ok: false, why: 'not placed' };
  const usual = mouth ? riseFrom(mouth, points[0]?.z ?? end.at.z, shop.shop.units) : [];
  const rise = foot ? usual.map(({ z }) => ({ x: foot.x, y: foot.y, z })) : usual;
  const route = [...start, ...rise, ...points];
  const last = route.at(-1);
  const isLevel = !last || Math.abs(last.z - end.at.z) < ONE_SPOT;
  const level = isLevel
    ? []
    : end.ahead
      ? [{ ...end.ahead, z: last.z }, end.ahead]
      : [{ ...last, z: end.at.z }];
  const whole = tidy([...route, ...level, end.at]);
  const diameter = mouth?.diameter ?? shop.collector.separator.inletDiameter;
  const turned = end.main ? turnedWithFlow(whole, end.main, diameter) : whole;
  const between = turned.slice(start.length, -1);
  const at = turned.at(-1) ?? end.at;
  const goal: DuctEnd = target.kind === 'run' ? { ...target, at } : target;

  const own = source.kind === 'port' ? runFromPort(shop, source.machine, source.port) : undefined;
  if (own) return rejoin(shop, own.id, goal, between, newId);
  return routeDuct(shop, source, goal, { between, hasHose: source.kind === 'port' }, newId);
}

function mouthOf(shop: Shop, source: Extract<DuctEnd, { kind: 'port' }>) {
  const machine = shop.machines.find(({ id }) => id === source.machine);
  const port = machine?.ports.find(({ id }) => id === source.port);
  const mouth = machine && port ? portMouth(machine, port) : null;
  return mouth && port ? { ...mouth, diameter: port.diameter } : null;
}

/** Where a target is; of a run, its spot nearest by, and the run as a main there. */
function endOf(
  shop: Shop,
  target: Extract<DuctEnd, { kind: 'inlet' | 'node' | 'run' }>,
): {
  readonly at: Point3;
  readonly main: OntoMain | null;
  /** Where a duct from another height comes down or up to an inlet: its straight piece ahead. */
  readonly ahead?: Point3;
} | null {
  switch (target.kind) {
    case 'inlet': {
      const mouth = inletMouth(shop);
      return mouth && { at: mouth.at, main: null, ahead: aheadOf(shop, mouth) };
    }
    case 'node': {
      const at = nodePlaces(shop).get(target.node);
      return at ? { at, main: null } : null;
    }
    case 'run': {
      const line = ductLines(shop).lines.get(target.run);
      const near = line ? nearestOn(pipePoints(line), target.at) : null;
      return line && near ? { at: near.point, main: ontoMain(line, near) } : null;
    }
  }
}
