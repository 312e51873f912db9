import { ELBOW_STYLE_IDS } from '../catalogue/ids';
import { HOSE_COMPRESSIONS } from '../duct/hose';
import { POWER_FIT_VELOCITIES } from '../duct/power-fit';
import { BRANCH_ANGLES, BRANCH_ENTRY } from '../fittings/branch-entry';
import {
  CLEAR_DIAMETERS,
  CLOSE_ELBOW_EXTRA,
  INLET_DISTANCES,
  INLET_SYSTEM_EFFECT,
} from '../fittings/close-elbows';
import { wyeCoefficients } from '../fittings/converging-junction';
import { ELBOW_ANGLES, ELBOW_STYLES, elbowRadii } from '../fittings/elbow';
import { ELBOW_DIAMETERS, HOSE_LENGTHS } from '../fittings/equivalent-feet';
import { CLOSED_GATE_GAP, GATE_OPENINGS, OPEN_GATE_LOSS } from '../fittings/gate';
import { ENTRIES, HOOD_TAPERS, TAPER_ANGLES } from '../fittings/hood';
import { changeOfDiameterLoss, REDUCER_ANGLES } from '../fittings/reducer';
import { DUCT_ENDS, WEATHER_CAP, WEATHER_CAP_HEIGHTS } from '../fittings/weather-cap';
import { type CoefficientGroup, FROM_MEMORY, plain } from '../quantity/coefficient';
import type { Origin } from '../quantity/origin';
import type { ValidRange } from '../quantity/valid-range';

const radians = (degrees: number) => (degrees * Math.PI) / 180;

const marked =
  (origin: Origin) =>
  (range: ValidRange): ValidRange & { readonly origin: Origin } => ({ ...range, origin });

/** Ranges of published tables; and ours, where a formula is taken further than anyone has measured. */
const RANGES = [
  ...ELBOW_STYLE_IDS.map((style) => {
    const range = elbowRadii(style);
    const { name, origin } = ELBOW_STYLES[style];
    return marked(origin)({ ...range, what: `${range.what}, ${name.toLowerCase()}` });
  }),
  ...[
    BRANCH_ANGLES,
    TAPER_ANGLES,
    WEATHER_CAP_HEIGHTS,
    HOSE_COMPRESSIONS,
    POWER_FIT_VELOCITIES,
  ].map(marked('standard')),
  ...[ELBOW_ANGLES, REDUCER_ANGLES, GATE_OPENINGS, INLET_DISTANCES].map(marked('estimate')),
];

/** Elbows, junctions, changes of diameter, gates, ways in and out. */
export const fittings = (): CoefficientGroup[] => [
  {
    title: 'Ranges',
    about:
      'what each table and formula was made for; outside, its nearer end is used, and a finding says so (powers go on as powers do)',
    source: `the tables’ own ends (${FROM_MEMORY}); those marked estimate are ours`,
    coefficients: RANGES.flatMap(({ what, kind, least, most, origin }) => [
      { name: `${what}, from`, value: least, kind, origin },
      { name: `${what}, to`, value: most, kind, origin },
    ]),
  },
  {
    title: 'Elbows, 90°',
    about:
      'on velocity pressure, by radius over diameter, its ends held beyond; other angles in proportion, mitered ones by Weisbach and drain elbows between the two',
    source: `ACGIH Industrial Ventilation, elbow table (${FROM_MEMORY})`,
    coefficients: Object.values(ELBOW_STYLES).flatMap(({ name, at, origin }) =>
      at.map(([ratio, loss]) => plain(`${name}, R/D ${ratio}`, loss, origin)),
    ),
  },
  {
    title: 'Elbows close together',
    about: `nearer than ${CLEAR_DIAMETERS} diameters, fading evenly`,
    source: 'modeling default, to be replaced by your own readings',
    coefficients: [
      {
        name: 'More lost, right behind another',
        value: CLOSE_ELBOW_EXTRA,
        kind: 'ratio',
        origin: 'estimate',
      },
    ],
  },
  {
    title: 'Elbow at the blower’s inlet',
    about: 'beyond its own loss, on the inlet’s velocity pressure, by straight diameters between',
    source: `AMCA 201, system effect (${FROM_MEMORY}); past five diameters ours`,
    coefficients: Object.entries(INLET_SYSTEM_EFFECT).flatMap(([style, at]) =>
      at
        .filter(([, loss]) => loss > 0)
        .map(([diameters, loss]) =>
          plain(`${style === 'mitred' ? 'Mitered' : 'Radiused'}, ${diameters} D`, loss, 'standard'),
        ),
    ),
  },
  {
    title: 'Wye by momentum, 45°',
    about:
      'on the combined leg’s velocity pressure, branch as wide as the main, by the branch’s share of the air; negative: it is drawn along. 15° to 90°, beyond that a tee, whose straight leg loses 1.55q − q²; A changes evenly between area ratios of 0.3 and 0.4 instead of stepping at 0.35',
    source: `Idelchik, converging wyes (${FROM_MEMORY})`,
    coefficients: [0, 0.25, 0.5, 0.75, 1].flatMap((share) => {
      const { branch, straight } = wyeCoefficients(1, radians(45), share);
      return [
        plain(`Share ${share}, branch`, branch, 'standard'),
        plain(`Share ${share}, straight`, straight, 'standard'),
      ];
    }),
  },
  {
    title: 'Branch entry, fixed coefficients',
    about:
      'on the branch’s velocity pressure, by angle, taken as a loss of total pressure, so that air slowing down in a wider main gives its velocity pressure back. The handbook’s own procedure balances static pressure and counts no such regain: a 4-in. branch alone into a 6-in. main then costs 1.1 of the branch’s velocity pressure, and here 0.28',
    source: `ACGIH Industrial Ventilation, branch entries (${FROM_MEMORY}); beyond 90° ours`,
    coefficients: BRANCH_ENTRY.filter(([degrees]) => degrees > 0).map(([degrees, loss]) =>
      plain(`${degrees}°`, loss, degrees > 90 ? 'estimate' : 'standard'),
    ),
  },
  {
    title: 'Changes of diameter, one size to twice it',
    about: 'on the narrow end’s velocity pressure, by included angle, never more than abrupt',
    source: `Borda–Carnot; Crane TP-410 (${FROM_MEMORY})`,
    coefficients: [15, 30, 60, 180].flatMap((degrees) => [
      plain(
        `Wider, ${degrees === 180 ? 'abrupt' : `${degrees}°`}`,
        changeOfDiameterLoss(1, 2, radians(degrees)),
        'standard',
      ),
      plain(
        `Narrower, ${degrees === 180 ? 'abrupt' : `${degrees}°`}`,
        changeOfDiameterLoss(2, 1, radians(degrees)),
        'standard',
      ),
    ]),
  },
  {
    title: 'Equivalent feet',
    about: 'the small-shop rule: fittings and hose as straight pipe',
    source: 'common practice, no source',
    coefficients: [
      plain('90° elbow or tee, in diameters', ELBOW_DIAMETERS, 'practice'),
      plain('Hose, times its length', HOSE_LENGTHS, 'practice'),
    ],
  },
  {
    title: 'Ways in',
    about: 'on the port’s velocity pressure',
    source: `ACGIH Industrial Ventilation, hood entries (${FROM_MEMORY})`,
    coefficients: Object.values(ENTRIES).map(({ name, loss, origin }) => plain(name, loss, origin)),
  },
  {
    title: 'Tapered hoods',
    about: 'on the duct’s velocity pressure, by included angle, 15° to 180°',
    source: `ACGIH Industrial Ventilation, hood loss by included angle (${FROM_MEMORY})`,
    coefficients: Object.entries(HOOD_TAPERS).flatMap(([shape, at]) =>
      at.map(([degrees, loss]) =>
        plain(`${shape === 'round' ? 'Round' : 'Square'}, ${degrees}°`, loss, 'standard'),
      ),
    ),
  },
  {
    title: 'Gates',
    about: 'a sharp opening between its two ends',
    source: 'modeling default, to be replaced by your own readings',
    coefficients: [
      plain('Fully open, on velocity pressure', OPEN_GATE_LOSS, 'estimate'),
      {
        name: 'Gap of a shut one, of its area',
        value: CLOSED_GATE_GAP,
        kind: 'fineRatio',
        origin: 'estimate',
      },
    ],
  },
  {
    title: 'Ends outdoors',
    about:
      'beyond the one velocity pressure that every open end loses, on the duct’s; caps by clear height in diameters',
    source: `ACGIH Industrial Ventilation, weather caps (${FROM_MEMORY}); flap and louvre ours`,
    coefficients: [
      ...WEATHER_CAP.map(([height, loss]) => plain(`Cap, ${height} D clear`, loss, 'standard')),
      ...Object.values(DUCT_ENDS)
        .filter(({ origin }) => origin === 'estimate')
        .map(({ name, loss, origin }) => plain(name, loss, origin)),
    ],
  },
];
