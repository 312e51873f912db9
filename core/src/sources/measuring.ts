import {
  PROFILE_UNCERTAINTY,
  SOMEWHERE,
  STRAIGHT_ENOUGH,
  STRAIGHT_UNCERTAINTY,
} from '../measuring/centre-to-mean';
import { HEAD_SOLIDITY, OF_MAXIMUM, USUAL_ACCURACY } from '../measuring/corrections';
import { UNREPEATED } from '../measuring/repeats';
import { LOG_LINEAR, SWIRL_UNCERTAINTY, TRAVERSE_UNCERTAINTY } from '../measuring/traverse';
import {
  type Coefficient,
  type CoefficientGroup,
  FROM_MEMORY,
  plain,
} from '../quantity/coefficient';
import { PLACING } from '../reading/compare-sides';

const share = (name: string, value: number): Coefficient => ({
  name,
  value,
  kind: 'fineRatio',
  origin: 'estimate',
});

/** What brings a meter's number to the airflow, and how far each step may be off. */
export const measuring = (): CoefficientGroup[] => [
  {
    title: 'Traverse, log-linear',
    about:
      'where the velocity is read on a diameter, as shares of it from one wall; the plain mean of the points is the mean across the pipe',
    source: `ISO 3966, log-linear method for round pipes (${FROM_MEMORY})`,
    coefficients: ([6, 8, 10] as const).flatMap((points) =>
      LOG_LINEAR[points].map((at, i) => plain(`${points} points, no. ${i + 1}`, at, 'standard')),
    ),
  },
  {
    title: 'From the meter to the airflow',
    about:
      'what each step may be off by, 95 times in 100; the mean over the center velocity is 1/(1 + 1.33·√f), the turbulent pipe profile',
    source:
      'modeling defaults, until a calibration says more; straight pipe ahead common practice, no source',
    coefficients: [
      share('A meter nobody described', USUAL_ACCURACY),
      share('A value nobody repeated', UNREPEATED),
      share('Profile, no straight pipe ahead', PROFILE_UNCERTAINTY),
      share('Profile, straight pipe ahead', STRAIGHT_UNCERTAINTY),
      {
        ...plain('Straight pipe ahead that is enough, diameters', STRAIGHT_ENOUGH, 'practice'),
      },
      plain('One point somewhere, mean over read', SOMEWHERE.factor, 'estimate'),
      share('One point somewhere', SOMEWHERE.uncertainty),
      share('Traverse, one diameter', TRAVERSE_UNCERTAINTY[1]),
      share('Traverse, two diameters', TRAVERSE_UNCERTAINTY[2]),
      share('Traverse, no straight pipe ahead', SWIRL_UNCERTAINTY),
      plain('Vane head, share of its circle that is closed', HEAD_SOLIDITY, 'estimate'),
      plain('Mean over the maximum held', OF_MAXIMUM.factor, 'estimate'),
      share('Maximum held', OF_MAXIMUM.uncertainty),
      share('Holding the meter there anew, by hand', PLACING.byHand),
      share('Holding the meter there anew, by a jig', PLACING.byJig),
    ],
  },
];
