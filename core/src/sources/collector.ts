import { DUE_SHARE, LATEST_DUE } from '../analysis/due-loading';
import { SAFE_DEPRESSION, SPECIFIC_HEAT } from '../collector/air-outdoors';
import { CAKE_RESISTANCE, CAKE_STAYS } from '../collector/cake';
import {
  CYCLONE_FAMILIES,
  cycloneOf,
  DUSTS,
  inletCoefficient,
  WOOD_DENSITY,
} from '../collector/cyclone';
import { FALL_EXPONENT, SHUT_OFF_COEFFICIENT } from '../collector/estimated-curve';
import { MEDIA } from '../collector/filter';
import { GRADE_BANDS, GRADES } from '../collector/filter-grade';
import {
  BREAKER_MARGIN,
  CONDUCTOR_MARGIN,
  FULL_LOAD_AT_115,
  MOTOR_YIELD,
  NO_LOAD_SHARE,
} from '../collector/motor';
import { SEPARATORS } from '../collector/separator';
import { IDLE_SHARE } from '../collector/shaft-power';
import { type CoefficientGroup, FROM_MEMORY, plain } from '../quantity/coefficient';

/** Blower, motor, separator, filter, and what leaves with the air. */
export const collector = (): CoefficientGroup[] => [
  {
    title: 'Blower, where nothing is published',
    about:
      'shut-off over ρ·u², u the rim speed; falling as 1 − (Q/Qmax) to a power. Air is taken as incompressible, which is off by 2 to 3 % at 10 in. w.g.',
    source: 'modeling defaults, until two field tests or a published curve replace them',
    coefficients: [
      plain('Shut-off coefficient', SHUT_OFF_COEFFICIENT, 'estimate'),
      plain('Exponent of the fall', FALL_EXPONENT, 'estimate'),
      {
        name: 'Shaft power without flow, of that at best',
        value: IDLE_SHARE,
        kind: 'ratio',
        origin: 'estimate',
      },
    ],
  },
  {
    title: 'Motors, full load at 115 V',
    about: `as they stand for 110–120 V, half for 220–240 V; conductors carry ${CONDUCTOR_MARGIN * 100} % (430.22), an inverse-time breaker is rated up to ${BREAKER_MARGIN * 100} % (430.52). Where American rules do not hold, a motor draws its power over its voltage and its yield, and its circuit carries just that`,
    source: `NEC table 430.248, 430.22 and 430.52 (${FROM_MEMORY}); others modeling defaults`,
    coefficients: [
      ...FULL_LOAD_AT_115.filter(([hp]) => hp > 0).map(([hp, current]) => ({
        name: `${hp} hp`,
        value: current,
        kind: 'current' as const,
        origin: 'standard' as const,
      })),
      {
        name: 'Yield elsewhere: efficiency × power factor',
        value: MOTOR_YIELD,
        kind: 'ratio',
        origin: 'estimate',
      },
      {
        name: 'Unloaded, of full load',
        value: NO_LOAD_SHARE,
        kind: 'ratio',
        origin: 'estimate',
      },
    ],
  },
  {
    title: 'Separators',
    about:
      'velocity heads of the inlet, and the separation efficiency while the bin is not overfull',
    source:
      'modeling defaults that agree with what shops measured, to be fitted to your own readings; shares caught common practice',
    coefficients: Object.values(SEPARATORS)
      .filter(({ lossCoefficient }) => lossCoefficient > 0)
      .flatMap(({ name, lossCoefficient, caught, origin }) => [
        plain(name, lossCoefficient, origin),
        {
          name: `${name}, separation efficiency`,
          value: caught,
          kind: 'ratio' as const,
          origin: 'practice' as const,
        },
      ]),
  },
  {
    title: 'Cyclones by proportions',
    about:
      'velocity heads of the rectangular inlet, 16·a·b/De²; cut size √(9μb/2πNV(ρp − ρ)), catch 1/(1 + (d50/d)²)',
    source: `Shepherd and Lapple; Lapple (${FROM_MEMORY})`,
    coefficients: [
      ...Object.entries(CYCLONE_FAMILIES).map(([id, { name }]) =>
        plain(
          name,
          inletCoefficient(cycloneOf(id as keyof typeof CYCLONE_FAMILIES, 1)),
          'standard',
        ),
      ),
      { name: 'Wood, with its pores', value: WOOD_DENSITY, kind: 'density', origin: 'estimate' },
    ],
  },
  {
    title: 'Dust',
    about: 'median size by mass, log-normal about it',
    source: 'modeling defaults',
    coefficients: Object.values(DUSTS).map(({ name, median }) => ({
      name,
      value: median,
      kind: 'dustSize',
      origin: 'estimate',
    })),
  },
  {
    title: 'Filter media',
    about:
      'permeability: flow per area at 125 Pa, by ASTM D737, in use and in its pleats; cloth is seasoned to three times its clean loss as soon as it has run, and cleaning does not undo that',
    source: 'modeling defaults, until a manometer replaces them',
    coefficients: Object.values(MEDIA).map(({ name, permeability }) => ({
      name,
      value: permeability,
      kind: 'permeability',
      origin: 'estimate',
    })),
  },
  {
    title: 'Face velocities',
    about: 'above which each media is called small for its flow',
    source: 'common practice, no source',
    coefficients: Object.values(MEDIA).map(({ name, comfortable }) => ({
      name,
      value: comfortable,
      kind: 'faceVelocity',
      origin: 'practice',
    })),
  },
  {
    title: 'Filter grades',
    about: 'least share caught of each band of sizes',
    source: `ASHRAE 52.2-2017, minimum efficiencies (${FROM_MEMORY})`,
    coefficients: Object.entries(GRADES).flatMap(([grade, bands]) =>
      bands.flatMap((share, i) =>
        share === null
          ? []
          : [
              {
                name: `MERV ${grade}, ${GRADE_BANDS[i] ?? ''}`,
                value: share,
                kind: 'ratio' as const,
                origin: 'standard' as const,
              },
            ],
      ),
    ),
  },
  {
    title: 'Dust cake',
    about: 'loss in proportion to face velocity and to mass per area',
    source: 'modeling defaults, until a manometer replaces them; when it is due common practice',
    coefficients: [
      plain('Resistance, 10⁴ Pa per m/s and kg/m²', CAKE_RESISTANCE / 1e4, 'estimate'),
      {
        name: 'Dust that stays on the filter',
        value: CAKE_STAYS,
        kind: 'ratio',
        origin: 'estimate',
      },
      {
        name: 'Due when it takes so much of the air',
        value: DUE_SHARE,
        kind: 'ratio',
        origin: 'practice',
      },
      plain('Due at the latest at a loading of', LATEST_DUE, 'practice'),
    ],
  },
  {
    title: 'Air sent outdoors',
    about: 'heat lost ρ·c·Q·ΔT; way in by the orifice equation',
    source: `specific heat ASHRAE Fundamentals (${FROM_MEMORY}); depression common practice`,
    coefficients: [
      plain('Specific heat of air, J/(kg·K)', SPECIFIC_HEAT, 'standard'),
      {
        name: 'Building drawn down by no more than',
        value: SAFE_DEPRESSION,
        kind: 'pressure',
        origin: 'practice',
      },
    ],
  },
];
