import type { TemplateFault } from '@frank-gauge/core/build';
import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import { oneStop } from './one-stop';

/** Why sizes make no template, and the number that would do: to the last place, for what is typed has to keep to it. */
export function templateFaultWords(fault: TemplateFault, system: UnitSystem): string {
  return oneStop(words(fault, (length) => formatShort(length, 'diameter', system)));
}

function words(fault: TemplateFault, say: (length: number) => string): string {
  switch (fault.kind) {
    case 'no size':
      return 'It needs a size larger than 0.';
    case 'larger than its drum':
      return `The pipe is larger than what it goes into. It can be at most ${say(fault.most)}.`;
    case 'wall thicker than the drum':
      return `The wall is thicker than the drum. It has to be less than ${say(fault.most)}.`;
    case 'beside the wall':
      return `So far off the middle, the pipe passes beside the wall. The offset can be at most ${say(fault.most)}.`;
    case 'angle out of range':
      return 'The angle has to lie between 20° and 90°.';
    case 'turn out of range':
      return 'An elbow turns by more than 0° and no more than 180°.';
    case 'pieces out of range':
      return `An elbow is made of 2 to ${fault.most} pieces.`;
    case 'cuts too flat':
      return `For so sharp a turn the cuts are too slanted. Use at least ${fault.least} pieces.`;
    case 'throat without length':
      return `The bend is tighter than its own pipe, so its throat has no length. Use a radius of more than ${say(fault.over)}.`;
    case 'count out of range':
      return `There are 0 to ${fault.most} small holes.`;
    case 'meet the large hole':
      return `The small holes would meet the large one. Use a circle of at least ${say(fault.least)}.`;
    case 'meet each other':
      return `The small holes would meet each other. Use at most ${fault.most}.`;
    case 'lid falls in':
      return `The lid is no larger than the drum, so it falls in. Make it more than ${say(fault.over)}.`;
    case 'holes meet':
      return fault.most === null
        ? 'The two holes meet, and no smaller elbow would do. Use a larger drum, or two smaller elbows.'
        : `The two holes meet, or nearly. Use at most ${say(fault.most)}, or a larger drum.`;
  }
}
