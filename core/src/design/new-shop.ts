import { toSI } from '../quantity/units';
import { FORMAT, type Shop, VERSION } from './schema';
import { usualAdvice } from './usual-advice';
import { usualAssembly } from './usual-assembly';
import { usualBuild } from './usual-build';
import { usualUpkeep } from './usual-upkeep';

/** Vinyl tape, m: common practice, no source. */
const USUAL_TAPE = 0.18e-3;

/** What a new shop's collector starts from; the caller knows how to estimate its curve. */
export type StartingCurve = Shop['collector']['blower']['curve'];

/**
 * A shop with nothing in it but a small two-stage collector to begin with: a 2 hp blower with an
 * estimated `curve`, a cyclone and a spun-bond cartridge. Sea level, 70 °F, one gate at a time.
 */
export function newShop(
  id: string,
  name: string,
  units: Shop['shop']['units'],
  curve: StartingCurve,
): Shop {
  const wheelDiameter = toSI(12, 'in');
  const speed = toSI(3450, 'rpm');
  return {
    format: FORMAT,
    version: VERSION,
    id,
    shop: {
      name,
      note: '',
      units,
      site: { elevation: 0, temperature: toSI(70, 'f'), humidity: 0.5 },
      rules: {
        junctions: 'momentum',
        friction: 'darcy',
        gates: { kind: 'one' },
        carryingVelocity: toSI(3500, 'fpm'),
        settlingVelocity: toSI(2800, 'fpm'),
        bleeds: [],
      },
      money: { currency: units === 'us' ? '$' : '€' },
    },
    room: {
      outline: [],
      ceilingHeight: null,
      walls: [],
      doors: [],
      windows: [],
      posts: [],
      boardLength: units === 'us' ? toSI(8, 'ft') : 2.4,
    },
    machines: [],
    collector: {
      separator: {
        kind: 'cyclone',
        inletDiameter: units === 'us' ? toSI(6, 'in') : toSI(150, 'mm'),
        lossCoefficient: 3,
        origin: { kind: 'assumed' },
        proportions: null,
        caught: 0.97,
      },
      blower: {
        name: '2 hp, 12-in. wheel (estimate)',
        curve,
        measured: { density: 1.2014, speed, wheelDiameter },
        speed,
        wheelDiameter,
        efficiency: 0.5,
        motor: { power: toSI(2, 'hp'), voltage: 230, plateCurrent: null, startRatio: null },
        breaker: 20,
        trip: 'unknown',
        plug: null,
        inletElbow: null,
      },
      exhaust: {
        kind: 'filter',
        filter: {
          name: 'Spun-bond cartridge',
          area: toSI(110, 'ft2'),
          permeability: toSI(10, 'perm_fpm'),
          seasoned: 1,
          grade: null,
        },
      },
      dust: { rate: toSI(4, 'lbh'), median: 150e-6, spread: 3 },
      assembly: usualAssembly(true),
      place: null,
      turn: 0,
      inlet: { side: 'left', height: null },
    },
    candidates: [],
    ducts: {
      nodes: [{ id: 'inlet', kind: { kind: 'inlet' }, at: null, style: {} }],
      runs: [],
      measuredEnds: [],
      stock: { tape: USUAL_TAPE, bands: [] },
    },
    condition: {
      filterLoading: { value: 1, origin: { kind: 'assumed' } },
      sealing: { exponent: 0.65, usual: 9, runs: [] },
      joints: { usual: 0, runs: [] },
      pressureSide: { area: 0, origin: { kind: 'assumed' } },
      holes: [],
      estimates: [],
    },
    advice: usualAdvice(),
    build: usualBuild(),
    upkeep: usualUpkeep(),
    setAside: [],
  };
}
