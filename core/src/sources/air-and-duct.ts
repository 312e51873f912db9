import { STANDARD_DENSITY } from '../air/air-at-site';
import { WALL_MATERIALS } from '../duct/collapse';
import { HOSE_COMPRESSIONS, HOSES, hoseMultiplier } from '../duct/hose';
import { LEAKAGE_CLASSES, ORIFICE, SEAM_EXPONENT, SLIP_JOINT_GAP } from '../duct/leakage';
import { PIPES } from '../duct/pipes';
import { POWER_FITS } from '../duct/power-fit';
import { type CoefficientGroup, FROM_MEMORY, plain } from '../quantity/coefficient';
import { toSI } from '../quantity/units';

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
    about:
      'ribbed shop hose agrees with the handbook’s power fit for flexible duct; building flex of fabric and wire is rougher, about 3 mm',
    source: 'modeling defaults, to be replaced by your own readings',
    coefficients: Object.values(HOSES).map(({ name, roughness, origin }) => ({
      name,
      value: roughness,
      kind: 'roughness',
      origin,
    })),
  },
  {
    title: 'Hose that is not stretched out',
    about: `its friction is multiplied by 1 + 0.58·r·e^(−0.126·D), r the compression in percent, D in inches; beyond ${100 * HOSE_COMPRESSIONS.most} % the factor stays the same. Measured on building flex of 6 to 16 in.: an estimate for stiff shop hose and for 4 in.`,
    source: `ASHRAE Fundamentals, duct design, after Abushakra et al. 2004 (${FROM_MEMORY})`,
    coefficients: [4, 6, 8].map((inches) =>
      plain(
        `Compressed by 10 %, ${inches} in.`,
        hoseMultiplier(0.1, toSI(inches, 'in')),
        'estimate',
      ),
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
    source: `SMACNA leakage classes 3, 6, 12, 24 and 48 (${FROM_MEMORY}); what stands between them modeling defaults`,
    coefficients: Object.values(LEAKAGE_CLASSES).map(({ leakageClass, origin }) =>
      plain(`Class ${leakageClass}`, leakageClass, origin),
    ),
  },
  {
    title: 'Openings',
    about: 'Q = c·A·√(2ΔP/ρ): holes, gaps around joints, and between blower and filter',
    source: `orifice equation, sharp edge (${FROM_MEMORY})`,
    coefficients: [
      plain('Discharge coefficient', ORIFICE, 'standard'),
      {
        name: 'Slip joint, not taped, gap all around',
        value: SLIP_JOINT_GAP,
        kind: 'roughness',
        origin: 'estimate',
      },
    ],
  },
  {
    title: 'Walls under suction',
    about:
      'a pipe collapses at 2E/(1 − ν²)·(t/D)³, a round drum by Windenburg and Trilling, a flat side bends by Roark; Young’s modulus in GPa',
    source: `PVC of 400,000 psi, ASTM D1784; steel and aluminum standard texts (${FROM_MEMORY}); others modeling defaults`,
    coefficients: Object.entries(WALL_MATERIALS).map(([id, { name, modulus }]) =>
      plain(
        name,
        modulus / 1e9,
        id === 'plasticPipe' || id === 'steel' || id === 'aluminium' ? 'standard' : 'estimate',
      ),
    ),
  },
];
