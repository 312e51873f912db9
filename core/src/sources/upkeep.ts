import { USUAL_UPKEEP } from '../design/usual-upkeep';
import { type CoefficientGroup, plain } from '../quantity/coefficient';
import { WOOD_DENSITY } from '../upkeep/bin-life';
import { BIN_SPREAD, CAKE_SPREAD } from '../upkeep/due';
import { SCATTER } from '../upkeep/interval';

/** What days are forecast by. */
export const upkeep = (): CoefficientGroup[] => [
  {
    title: 'Upkeep',
    about:
      'how full a bin is when it is emptied, and how far a forecast may be off before anything was emptied or cleaned; what is logged corrects it',
    source: 'common practice, no source; spreads are estimates',
    coefficients: [
      { name: 'Density of dry wood', value: WOOD_DENSITY, kind: 'density', origin: 'estimate' },
      plain('Bulking factor: loose chips over solid wood', USUAL_UPKEEP.bulking, 'estimate'),
      plain('Share of the bin at which it is emptied', USUAL_UPKEEP.fullAt, 'estimate'),
      plain('Spread of a bin’s forecast, of ln', BIN_SPREAD, 'estimate'),
      plain('Spread of a filter’s forecast by its cake, of ln', CAKE_SPREAD, 'estimate'),
      plain('Scatter between intervals of one shop, of ln', SCATTER, 'estimate'),
    ],
  },
];
