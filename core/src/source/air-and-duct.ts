import { STANDARD_DENSITY } from '../air/air-at-site';
import { HOSE_COMPRESSIONS, HOSES, hoseMultiplier } from '../duct/hose';
import { LEAKAGE_CLASSES, ORIFICE, SEAM_EXPONENT } from '../duct/leakage';
import { PIPES } from '../duct/pipes';
import { POWER_FITS } from '../duct/power-fit';
import { toSI } from '../quantity/units';
import { type CoefficientGroup, FROM_MEMORY, plain } from './coefficient';

/** Air, roughness, sizes, friction by fit, and leakage. */
export const airAndDuct = (): CoefficientGroup[] => [
  {
    title: 'Air',
    about:
      'moist air by its partial densities, thinner with altitude; viscosity by Sutherland, humidity left out',
    source: `ASHRAE Fundamentals, psychrometrics; ISO 2533; ACGIH (${FROM_MEMORY})`,
    coefficients: [
      { name: 'Standard air', value: STANDARD_DENSITY, kind: 'density', origin: 'standard' },
    ],
  },
  {
    title: 'Roughness of pipe',
    about: 'absolute, by Darcy–Weisbach and Colebrook–White',
    source: `ASHRAE Fundamentals, duct design, roughness table (${FROM_MEMORY})`,
    coefficients: Object.values(PIPES).map(({ name, roughness, origin }) => ({
      name,
      value: roughness,
      kind: 'roughness',
      origin,
    })),
  },
  {
    title: 'Roughness of hose, stretched',
    about: 'wire in fabric from the roughness table; smooth bore a modelling default',
    source: `ASHRAE Fundamentals, duct design, roughness table (${FROM_MEMORY})`,
    coefficients: Object.values(HOSES).map(({ name, roughness, origin }) => ({
      name,
      value: roughness,
      kind: 'roughness',
      origin,
    })),
  },
  {
    title: 'Hose bunched up',
    about: `friction is multiplied, in proportion and less when wider; beyond ${100 * HOSE_COMPRESSIONS.most} % that is held`,
    source: `Abushakra et al. 2004, form ${FROM_MEMORY}`,
    coefficients: [4, 6, 8].map((inches) =>
      plain(`By a tenth, ${inches} in.`, hoseMultiplier(0.1, toSI(inches, 'in')), 'standard'),
    ),
  },
  {
    title: 'True inside of pipe',
    about: 'plastic: outside less two walls; metal duct is named by its inside',
    source: `ASTM D2729, D3034 SDR 35, D1785 schedule 40, EN 1506 (${FROM_MEMORY}); ventilation walls 1.5 mm, ours`,
    coefficients: (
      ['drain', 'sewer', 'schedule40', 'ventilation', 'spiralMetric'] as const
    ).flatMap((id) => {
      const { name, sizes } = PIPES[id];
      return sizes.map(({ nominal, inside }) => ({
        name: `${name}, ${nominal}`,
        value: inside,
        kind: 'diameter' as const,
        origin: id === 'ventilation' ? ('estimate' as const) : ('standard' as const),
      }));
    }),
  },
  {
    title: 'Friction by power fit',
    about: 'a·V^b/Q^c velocity pressures a foot, V in fpm, Q in CFM; made for 2000 to 6000 fpm',
    source: `ACGIH Industrial Ventilation, after Loeffler 1980 (${FROM_MEMORY})`,
    coefficients: Object.values(POWER_FITS).flatMap(({ name, a, b, c }) => [
      plain(`${name}, a`, a, 'standard'),
      plain(`${name}, b`, b, 'standard'),
      plain(`${name}, c`, c, 'standard'),
    ]),
  },
  {
    title: 'Leakage of seams',
    about: `CFM per 100 ft² at 1 in. w.g., rising with pressure to the power ${SEAM_EXPONENT} unless told otherwise`,
    source: `SMACNA leakage classes (${FROM_MEMORY})`,
    coefficients: Object.entries(LEAKAGE_CLASSES).map(([name, value]) =>
      plain(`Class of joints ${name}`, value, 'standard'),
    ),
  },
  {
    title: 'Openings',
    about: 'Q = c·A·√(2ΔP/ρ): holes, gaps around joints, and between blower and filter',
    source: `orifice equation, sharp edge (${FROM_MEMORY})`,
    coefficients: [plain('Discharge coefficient', ORIFICE, 'standard')],
  },
];
