import type { Candidate, Fault, NextReading, Place, SetAside } from '@frank-gauge/core/inference';
import { formatQuantity, type UnitSystem } from '@frank-gauge/core/quantity';
import { percent } from './percent';

/** What a suspected fault is called. */
export function faultName(fault: Fault): string {
  switch (fault.kind) {
    case 'opening':
      return 'an opening';
    case 'clog':
      return 'a clog';
    case 'gate not open':
      return 'a gate that does not open fully';
    case 'gate not shut':
      return 'a gate that does not close';
    case 'filter':
      return 'a filter more loaded than you believe';
    case 'separator':
      return 'a separator that takes more pressure than you believe';
    case 'blower':
      return 'a blower that gives less pressure than its curve';
    case 'leakage':
      return 'joints that leak more than you believe, all over the shop';
    case 'meter':
      return fault.way === 'more' ? 'a meter that reads high' : 'a meter that reads low';
  }
}

const times = (factor: number) => `${factor.toFixed(1)}\u00a0times`;

/** A probability in percent. */
export const percentOf = (share: number): string =>
  share > 0.99
    ? 'over 99\u00a0%'
    : share < 0.01
      ? 'under 1\u00a0%'
      : `${Math.round(100 * share)}\u00a0%`;

/** How much of it there is, and between what: “about 4 in² (2 to 6 in²)”. */
export function faultAmount(
  {
    fault,
    amount,
    low,
    high,
  }: {
    readonly fault: Fault;
    readonly amount: number;
    readonly low: number;
    readonly high: number;
  },
  system: UnitSystem,
): string {
  const between = (
    of: (value: number) => string,
    [a, b]: readonly [number, number] = [low, high],
  ) => (of(a) === of(b) ? `about ${of(amount)}` : `about ${of(amount)} (${of(a)} to ${of(b)})`);
  switch (fault.kind) {
    case 'opening':
      return between((area) => formatQuantity(area, 'smallArea', system).replace(/\.\d+/, ''));
    case 'clog':
      return between((loss) => `${loss.toFixed(1)} velocity pressures`);
    case 'gate not open':
    case 'gate not shut':
      return `${between(percent)} open`;
    case 'filter':
      return `${between(times)} as loaded`;
    case 'separator':
      return `${between(times)} its loss`;
    case 'blower':
      return `${between(percent)} of its pressure`;
    case 'leakage':
      return `${between(times)} as leaky`;
    case 'meter':
      return between((factor) => percent(factor - 1));
  }
}

/** What settles whether it is so. */
export function howToConfirm(fault: Fault): string {
  switch (fault.kind) {
    case 'opening':
      return 'Shut the gates with the blower on, and feel along the joints with a damp hand: air rushing in is heard and felt. Soap or a thread of smoke shows small openings.';
    case 'clog':
      return 'Lock the blower off, then look into the run from its gate: a board’s offcut or a nest of shavings sits at an elbow, in the hose or before a reducer.';
    case 'gate not open':
      return 'Open the gate all the way and look into the slot: chips packed at the end of the groove stop the blade short.';
    case 'gate not shut':
      return 'Shut the gate and hold a strip of paper at the machine’s hood: if it is drawn in, the gate does not close.';
    case 'filter':
      return 'Read the pressure across the filter, or clean it and read the same drop again.';
    case 'separator':
      return 'Check the bin’s level and lid, then read the pressure before and after the separator.';
    case 'blower':
      return 'Check that the impeller is clean and turns the right way, and the motor’s voltage; a field test shows its curve.';
    case 'leakage':
      return 'Shut every gate and read the airflow at the collector: what still flows leaks in.';
    case 'meter':
      return 'Read one drop with another meter, and check the unit and the pipe size the meter is set to.';
  }
}

const PARTS = {
  filter: 'the filter',
  separator: 'the separator',
  blower: 'the blower',
  leakage: 'joints all over the shop',
} as const;

/** What places are called: runs and meters by their own names. */
export interface PlaceNames {
  readonly run: (id: string) => string;
  readonly meter: (id: string) => string;
}

export function placeName(place: Place, names: PlaceNames): string {
  switch (place.kind) {
    case 'run':
      return names.run(place.run);
    case 'collector':
      return PARTS[place.part];
    case 'meter':
      return names.meter(place.meter);
  }
}

/** Why a reading is not weighed. */
export const SET_ASIDE_WORDS: Readonly<Record<SetAside, string>> = {
  'says nothing of the air': 'it says nothing of the airflow or a static pressure',
  'place unknown': 'its test point is gone, or in no duct',
  'struck out': 'it was struck out',
  'no value': 'it has no value: its repeats ran over both ends of the range, or showed nothing',
  'gate unknown': 'it names a gate that is not there any more',
  'contradicts another':
    'another reading at the same place with the same gates open is far from it: one of them is wrong',
};

const listed = (names: readonly string[], last: 'and' | 'or') =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} ${last} ${names.at(-1)}`;

/** Names of a few places in a sentence: “Planer drop, Far end or the filter”. */
export const anyOf = (names: readonly string[]): string => listed(names, 'or');

/** What a run's next one, a drop and everything else is called that a reading is taken at. */
export interface ReadingNames extends PlaceNames {
  readonly drop: (node: string) => string;
  /** The run a run leads into; null: it leads to the collector. */
  readonly next: (run: string) => string | null;
}

/** What the place of a next reading is called where it has no name yet. */
export function nameOfPlace(at: Candidate['measurand']['at'], names: ReadingNames): string {
  switch (at.kind) {
    case 'port':
      return names.drop(at.node);
    case 'run':
      return at.along === 0 ? `${names.run(at.run)}, beginning` : `${names.run(at.run)}, end`;
    case 'collector':
      return at.tap === 'filter' ? 'Across the filter' : 'Collector inlet';
    case 'place':
      return 'In the room';
  }
}

/** What to do for a next reading, step by step. */
export function instructionOf(
  { candidate: { kind, measurand, gates } }: Pick<NextReading, 'candidate'>,
  names: ReadingNames,
): string {
  const open = listed([...gates].map(names.run), 'and');
  const { at } = measurand;
  const only = `Open the ${gates.size === 1 ? 'gate' : 'gates'} of ${open} and shut all others.`;
  const shut =
    gates.size === 0
      ? 'Shut every gate and leave the blower on.'
      : `Shut the gate at every machine and leave the blower on; of the gates in the mains, leave ${open} open.`;
  if (at.kind === 'port') {
    return `${only} Read the air at ${names.drop(at.node)}.`;
  }
  if (at.kind === 'run') {
    const next = names.next(at.run);
    const where =
      at.along === 0
        ? 'just behind the joint where it begins'
        : next === null
          ? 'just before the collector'
          : `just before it joins ${next}`;
    return `${kind === 'duct, a drop open' ? only : shut} Read the air speed inside ${names.run(at.run)}, ${where}.`;
  }
  const tap =
    at.kind === 'collector' && at.tap === 'filter'
      ? 'across the filter'
      : 'at the collector’s inlet';
  if (kind === 'tap') {
    return `${gates.size > 0 ? only : shut} Read the static pressure ${tap}.`;
  }
  return `${shut} Read the airflow ${tap}.`;
}
