import { type Conflict, GRAVITY, type StackPart } from '@frank-gauge/core/assembly';
import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import { tapeLength } from './tape-length';

export interface ConflictMessage {
  readonly title: string;
  readonly text: string;
}

export const STACK_PARTS: Record<StackPart | 'cleat', string> = {
  bin: 'Bin',
  lid: 'Lid',
  separator: 'Separator',
  coupling: 'Coupling',
  blower: 'Blower',
  motor: 'Motor',
  transition: 'Transition',
  filter: 'Filter',
  filterBin: 'Filter’s bin',
  cart: 'Cart',
  box: 'Enclosure',
  cleat: 'Bracket',
};

/** By how much a conflict is short, in its own unit; '' where no number is. */
export function shortBy({ short, of }: Conflict, system: UnitSystem): string {
  if (short === null) return '';
  if (of === 'length') return tapeLength(short, system);
  return formatShort(of === 'force' ? short / GRAVITY : short, 'mass', system);
}

/** What does not fit, in sentences: what, by how much, and what to do. */
export function conflictMessage(conflict: Conflict, system: UnitSystem): ConflictMessage {
  const { title, text } = words(conflict, system);
  // A unit that ends in a full stop ends the sentence with it.
  return { title: title.replace('..', '.'), text: text.replaceAll('..', '.') };
}

function words(conflict: Conflict, system: UnitSystem): ConflictMessage {
  const by = shortBy(conflict, system);
  const part = STACK_PARTS[conflict.part].toLowerCase();
  const length = (value: number) => tapeLength(value, system);
  const mass = (value: number) => formatShort(value, 'mass', system);
  const force = (value: number) => formatShort(value / GRAVITY, 'mass', system);
  const { wanted, has } = conflict;
  switch (conflict.kind) {
    case 'over the ceiling':
      return {
        title: `The ${part} goes ${by} through the ceiling.`,
        text: `It reaches ${length(wanted)} and the ceiling is at ${length(has)}. A lower bin, a shorter coupling, or the blower on the wall beside it.`,
      };
    case 'larger than the room':
      return {
        title: 'The blower alone is higher than the room.',
        text: `It takes ${length(wanted)}, ${by} more than there is. Check its size and the ceiling’s height.`,
      };
    case 'filter over the ceiling':
      return {
        title: `The filter goes ${by} through the ceiling.`,
        text: `It reaches ${length(wanted)}. Hang it lower, over a lower bin.`,
      };
    case 'pipe over the ceiling':
      return {
        title: `The ${part}, as it is drawn, goes ${by} through the ceiling.`,
        text: `It reaches ${length(wanted)}. Lead it lower, or turn the outlet.`,
      };
    case 'bin too tall':
      return {
        title: `The bin is ${by} too tall for its place.`,
        text: `It reaches ${length(wanted)}, and the lid hangs at ${length(has)}: it cannot be rolled in. A lower bin, lower castors, or the lid hung higher.`,
      };
    case 'bin short of the lid':
      return {
        title: `The bin stops ${by} below the lid.`,
        text: 'Air drawn in there carries the dust up again. Raise the bin, or hang the lid lower.',
      };
    case 'bin stays caught':
      return {
        title: `The bin stays caught by its rim, ${by} short.`,
        text: `The lid reaches ${length(wanted)} over it and the lift drops it ${length(has)}. More travel, or a shallower lip with a gasket.`,
      };
    case 'no room to lift':
      return {
        title: `There is no room to lift it off the bin: ${by} short.`,
        text: `The lid’s lip wants ${length(wanted)}, and ${length(has)} are left under the ceiling. Hang the separator and lower the bin instead, or use a lower bin.`,
      };
    case 'coupling holds':
      return {
        title: 'The rigid coupling holds the separator down.',
        text: 'What stands on the bin cannot be lifted off it. A short hose there, or lower the bin.',
      };
    case 'nothing holds the separator':
      return {
        title: 'Nothing holds the separator when the bin goes down.',
        text: 'It stands on the bin. Hang its lid from the wall or a stand, and say at what height.',
      };
    case 'hangs, cannot be lifted':
      return {
        title: 'The separator hangs fixed and cannot be lifted off.',
        text: 'Lower the bin from under it: a wedge, a foot lever or a cam.',
      };
    case 'nothing to stand on':
      return {
        title: 'The blower has no separator to stand on.',
        text: 'In this order it needs a wall, a cart or a place of its own.',
      };
    case 'coupling too short':
      return {
        title: `The coupling is ${by} too short.`,
        text: `From one to the other are ${length(wanted)}; it has ${length(has)}.`,
      };
    case 'filter bin too tall':
      return {
        title: `The filter’s bin is ${by} too tall.`,
        text: `It takes ${length(wanted)}, and the filter hangs at ${length(has)}.`,
      };
    case 'wheel in its housing':
      return {
        title: `The wheel is ${by} larger than its housing.`,
        text: `${length(wanted)} cannot turn in ${length(has)}. One of the two is wrong.`,
      };
    case 'heavy lift off the bin':
      return {
        title: `${mass(wanted)} have to be lifted to empty the bin.`,
        text: `For the people there ${mass(has)} are the most, close to the body (NIOSH). Hang the separator and lower the bin, or get help.`,
      };
    case 'heavy blower':
      return {
        title: `The blower weighs ${mass(wanted)}.`,
        text: `For the people there ${mass(has)} are the most, and less over one’s head. Two people, or a lift; the motor off first.`,
      };
    case 'cleat too short':
      return {
        title: `The cleat is ${by} too short to meet two studs.`,
        text: `It wants ${length(wanted)}; it has ${length(has)}.`,
      };
    case 'screws draw out':
      return {
        title: 'The upper screws can draw out.',
        text: `${force(wanted)} pull on them, shaking counted twice; they bear about ${force(has)} in softwood studs. More thread, thicker or more screws, or a higher bracket.`,
      };
    case 'screws shear':
      return {
        title: 'The screws are thin for this weight.',
        text: `${force(wanted)} hang on them, shaking counted twice; they bear about ${force(has)}. More or thicker ones.`,
      };
    case 'box too small':
      return {
        title: `The enclosure is ${by} too small.`,
        text: `With air around what stands in it, it wants ${length(wanted)} where it has ${length(has)}.`,
      };
    case 'chips pass the wheel':
      return {
        title: 'All chips pass the wheel.',
        text: 'In this order the blower comes first: it has to be one made to carry material. A screw or an offcut strikes sparks in it, and what leaks behind it blows dust out.',
      };
    case 'flat sides':
      return {
        title: 'A bin with flat sides can be sucked in.',
        text: 'With all gates shut the blower’s whole suction lies on it; “Under suction” lists what such a bin stands. Use a round drum, stiffen the sides, or fit a relief valve in the duct.',
      };
    case 'liner sucked up':
      return {
        title: 'A liner is sucked up into the separator.',
        text: 'Hold it down by a ring or a frame, and let air under it, or it sticks when pulled out.',
      };
  }
}
