import { type AssemblyPart, type Conflict, GRAVITY } from '@frank-gauge/core/assembly';
import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import { oneStop } from './one-stop';
import { tapeLength } from './tape-length';

export interface ConflictMessage {
  readonly title: string;
  readonly text: string;
}

export const STACK_PARTS: Record<AssemblyPart | 'cleat', string> = {
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
  return { title: oneStop(title), text: oneStop(text) };
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
        title: `The ${part} is ${by} too tall for the ceiling.`,
        text: `Its top is at ${length(wanted)}; the ceiling is at ${length(has)}. Use a lower bin or a shorter coupling, or mount the blower on the wall beside it.`,
      };
    case 'larger than the room':
      return {
        title: 'The blower alone is taller than the room.',
        text: `It needs ${length(wanted)}, ${by} more than there is. Check its size and the ceiling height.`,
      };
    case 'filter over the ceiling':
      return {
        title: `The filter is ${by} too tall for the ceiling.`,
        text: `Its top is at ${length(wanted)}. Hang it lower, over a lower bin.`,
      };
    case 'pipe over the ceiling':
      return {
        title: `The ${part}, as drawn, passes ${by} through the ceiling.`,
        text: `Its top is at ${length(wanted)}. Route it lower, or rotate the outlet.`,
      };
    case 'bin too tall':
      return {
        title: `The bin is ${by} too tall for its place.`,
        text: `Its top is at ${length(wanted)} and the lid hangs at ${length(has)}, so it cannot be rolled in. Use a lower bin or casters, or hang the lid higher.`,
      };
    case 'bin short of the lid':
      return {
        title: `The bin stops ${by} below the lid.`,
        text: 'Air drawn in there carries the dust back up. Raise the bin, or hang the lid lower.',
      };
    case 'bin stays caught':
      return {
        title: `The bin does not clear the lid: ${by} short.`,
        text: `The lid’s lip is ${length(wanted)} deep and the bin lowers ${length(has)}. Use more travel, or a shallower lip with a gasket.`,
      };
    case 'no room to lift':
      return {
        title: `There is no room to lift the parts off the bin: ${by} short.`,
        text: `The lid’s lip needs ${length(wanted)}, and ${length(has)} is left below the ceiling. Hang the separator and lower the bin instead, or use a lower bin.`,
      };
    case 'coupling holds':
      return {
        title: 'The rigid coupling holds the separator down.',
        text: 'The parts on the bin cannot be lifted off. Use a short hose there, or lower the bin.',
      };
    case 'nothing holds the separator':
      return {
        title: 'Nothing holds the separator when the bin goes down.',
        text: 'It stands on the bin. Hang its lid from the wall or a stand, and enter that height.',
      };
    case 'hangs, cannot be lifted':
      return {
        title: 'The separator is hung and cannot be lifted off.',
        text: 'Lower the bin from under it with a wedge, a foot lever or a cam.',
      };
    case 'nothing to stand on':
      return {
        title: 'The blower has no separator to stand on.',
        text: 'In this order it needs a wall mount, a cart or a stand of its own.',
      };
    case 'coupling too short':
      return {
        title: `The coupling is ${by} too short.`,
        text: `The gap is ${length(wanted)}; the coupling is ${length(has)} long.`,
      };
    case 'filter bin too tall':
      return {
        title: `The filter’s bin is ${by} too tall.`,
        text: `It needs ${length(wanted)}, and the filter hangs at ${length(has)}.`,
      };
    case 'wheel in its housing':
      return {
        title: `The impeller is ${by} larger than its housing.`,
        text: `A ${length(wanted)} impeller cannot turn in a ${length(has)} housing. One of the two is wrong.`,
      };
    case 'heavy lift off the bin':
      return {
        title: `Emptying the bin means lifting ${mass(wanted)}.`,
        text: `The people available should lift ${mass(has)} at most, close to the body (NIOSH). Hang the separator and lower the bin, or get help.`,
      };
    case 'heavy blower':
      return {
        title: `The blower weighs ${mass(wanted)}.`,
        text: `The people available should lift ${mass(has)} at most, and less overhead. Get help or use a lift, and take the motor off first.`,
      };
    case 'cleat too short':
      return {
        title: `The cleat is ${by} too short to meet two studs.`,
        text: `It needs ${length(wanted)}; it has ${length(has)}.`,
      };
    case 'screws draw out':
      return {
        title: 'The upper screws can pull out.',
        text: `The pull on them is ${force(wanted)}, with vibration counted twice; in softwood studs they hold about ${force(has)}. Use longer, thicker or more screws, or a taller bracket.`,
      };
    case 'screws shear':
      return {
        title: 'The screws are too thin for this weight.',
        text: `They carry ${force(wanted)}, with vibration counted twice, and hold about ${force(has)}. Use more or thicker screws.`,
      };
    case 'box too small':
      return {
        title: `The enclosure is ${by} too small.`,
        text: `With clearance around the parts inside it needs ${length(wanted)}; it has ${length(has)}.`,
      };
    case 'chips pass the wheel':
      return {
        title: 'All chips pass through the impeller.',
        text: 'In this order the blower comes first and must be a material-handling type. A screw or an offcut can strike sparks in it, and leaks after it blow dust out.',
      };
    case 'flat sides':
      return {
        title: 'A flat-sided bin can be sucked in.',
        text: 'With all gates shut it bears the blower’s full suction; “Under suction” lists what such a bin withstands. Use a round drum, stiffen the sides, or fit a relief valve in the duct.',
      };
    case 'liner sucked up':
      return {
        title: 'A liner can be sucked up into the separator.',
        text: 'Hold it down with a ring or a frame, and let air under it so that it does not stick when pulled out.',
      };
  }
}
