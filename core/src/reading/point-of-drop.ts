import type { Drop } from '../design/topology';
import { recordWith } from '../journal/journal';
import type { TestPoint } from '../journal/test-point';

/** The longest a test point's name may be. */
const MOST_LETTERS = 200;

/**
 * The test point at a drop's port. It goes by its node's id, so that two tabs that both take the first
 * reading there make the same one.
 */
export const pointOfDrop = ({ id, name, port }: Drop): TestPoint =>
  recordWith('testPoints', {
    id,
    name: name.slice(0, MOST_LETTERS) || 'A drop',
    at: { kind: 'port', node: id },
    insideDiameter: port.diameter,
  });
