/** Shops and meters that stand in for real ones. */

export { type Chance, chanceOf } from '../src/simulate/chance';
