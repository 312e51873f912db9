import { AMOUNTS, type Fault, withFault } from './faults';
import { Solutions } from './predictor';

/** ln of a fault's amount is moved by so much for derivatives by it. */
const STEP = 0.15;

/** One standard deviation of a fault's amount before any reading, in ln: it is log-uniform. */
export const amountSigma = ({ kind }: Fault): number =>
  Math.abs(Math.log(AMOUNTS[kind].to / AMOUNTS[kind].from)) / Math.sqrt(12);

/** A shop with more of a fault, to be held against it: by how much more, in ln. */
export function movedBy(fault: Fault, amount: number, base: Solutions) {
  const by = STEP * Math.sign(Math.log(AMOUNTS[fault.kind].to / AMOUNTS[fault.kind].from));
  const solutions = new Solutions(withFault(base.believed, fault, amount * Math.exp(by)), base);
  return { by, solutions };
}
