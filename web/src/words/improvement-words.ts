import type { Broken, Evaluation, Need, Work } from '@frank-gauge/core/advice';
import { PLUGS } from '@frank-gauge/core/collector';
import type { EventKind } from '@frank-gauge/core/journal';
import { formatQuantity, formatShort, fromSI, type UnitSystem } from '@frank-gauge/core/quantity';
import { percent } from './percent';
import { ROUTE_NAMES } from './route-words';

/** What runs, drops, blowers and candidates are called in the open shop. */
export interface WorkNames {
  readonly run: (id: string) => string;
  readonly drop: (id: string) => string;
  readonly machine: (id: string) => string;
  readonly candidate: (id: string) => string;
  readonly blower: (id: string) => string;
}

const pieces = (count: number, one: string, several: string) => (count === 1 ? one : several);

const SEPARATOR_WORDS: Readonly<Record<Extract<Work, { kind: 'separator' }>['to'], string>> = {
  none: 'Take the separator out',
  baffle: 'Put a slotted baffle ahead of the blower',
  lid: 'Put a separator lid ahead of the blower',
  cyclone: 'Put a cyclone ahead of the blower',
};

/** What to mind about some work, said wherever it is proposed; empty: nothing in particular. */
export function cautionOf({ kind }: Work): string {
  switch (kind) {
    case 'outdoors':
      return 'The air has to come back in from somewhere: drawn down, a building can pull flue gas back from a heater. Local codes decide what may be blown out.';
    case 'makeup air':
    case 'way back':
      return 'A building that is drawn down can pull flue gas back from a heater or stove: fit a carbon monoxide alarm. Local codes decide how air may come in.';
    case 'smaller impeller':
      return 'Unplug the collector first. Fit only a wheel that the maker lists for this housing.';
    case 'impeller':
    case 'faster':
      return 'A wheel too large for its housing or too fast for its make bursts: fit only what the maker lists. Unplug first.';
    case 'enclosure':
      return 'A motor in a box gets warm: leave it air, and keep dust out.';
    case 'saw guard':
      return 'Unplug the saw to fit it. It must not touch the blade at any height or tilt; follow the saw’s manual.';
    case 'own collector':
      return 'It needs its own outlet, and blows its fine dust into the room unless its filter holds it.';
    case 'plug':
      return 'Only an electrician should change a receptacle; local code decides which one.';
    case 'circuit':
    case 'other room':
    case 'move the collector':
      return 'Check that its circuit reaches there; only an electrician should move an outlet.';
    default:
      return '';
  }
}

/** What is to be done, as an instruction: “Seal all joints”. */
export function workName(work: Work, names: WorkNames, system: UnitSystem): string {
  const wide = (diameter: number) => formatShort(diameter, 'diameter', system);
  const rpm = (speed: number) =>
    `${Math.round(fromSI(speed, 'rpm')).toLocaleString('en-US')}\u00a0rpm`;
  // Of a whole layout, inches say nothing.
  const long = (length: number) =>
    system === 'us'
      ? `${Math.round(fromSI(length, 'ft'))}\u00a0ft`
      : `${Math.round(length)}\u00a0m`;
  switch (work.kind) {
    case 'clean the filter':
      return 'Clean the filter';
    case 'cartridge':
      return `Replace the filter with ${formatQuantity(work.area, 'area', system)} of cartridge`;
    case 'seal all joints':
      return `Seal all joints, about ${work.joints}`;
    case 'seal a run':
      return `Seal the joints of ${names.run(work.run)}`;
    case 'seal the opening':
      return `Close the opening in ${names.run(work.run)}`;
    case 'seal behind the blower':
      return 'Seal the leak between blower and filter';
    case 'stretch the hose':
      return `Pull the hose of ${names.run(work.run)} straight`;
    case 'pipe for hose':
      return `Replace the hose of ${names.run(work.run)} with pipe, except for the last ${formatShort(work.to, 'length', system)}`;
    case 'wider hose':
      return `Put a ${wide(work.to)} hose on ${names.run(work.run)} instead of ${wide(work.from)}`;
    case 'smooth hose':
      return `Put a smooth-bore hose on ${names.run(work.run)}`;
    case 'long-radius elbows':
      return `Use ${pieces(work.count, 'a long-radius elbow', 'long-radius elbows')} in ${names.run(work.run)}`;
    case 'pairs of 45s':
      return `Make ${pieces(work.count, 'the right angle', 'the right angles')} in ${names.run(work.run)} of two 45s`;
    case 'wye':
      return `Replace the tee of ${names.run(work.run)} with a 30° wye`;
    case 'sweep the legs':
      return `Replace the tee that ${names.run(work.run)} runs into head-on with a Y whose legs come in at 45°`;
    case 'straight at the inlet':
      return `Put ${formatShort(work.to, 'length', system)} of straight duct between the last elbow and the blower’s inlet, now ${formatShort(work.from, 'length', system)}`;
    case 'narrower run':
    case 'wider run':
      return `Make ${names.run(work.run)} ${wide(work.to)} instead of ${wide(work.from)}`;
    case 'wider way':
      return `Make everything from ${names.drop(work.drop)} to the collector at least ${wide(work.to)}, its port too`;
    case 'larger port':
      return `Give ${names.drop(work.drop)} a port of ${wide(work.to)}, and a hose as wide`;
    case 'wider mains':
      return `Make the mains at least ${wide(work.to)}`;
    case 'wider ducts':
      return `Make all ducts and ports at least ${wide(work.to)}`;
    case 'suggested sizes':
      return `Give ${pieces(work.runs.length, 'one run its', `${work.runs.length} runs their`)} suggested size: ${work.runs
        .slice(0, 3)
        .map(({ run, to }) => `${names.run(run)} ${wide(to)}`)
        .join(', ')}${work.runs.length > 3 ? ' and so on' : ''}`;
    case 'routed anew':
      return `Reroute the ducts: ${ROUTE_NAMES[work.style].toLowerCase()}, ${long(work.length.after)} of pipe and hose instead of ${long(work.length.before)}`;
    case 'move the collector':
      return `Move the collector to another wall and reroute the ducts: ${long(work.length.after)} of pipe and hose instead of ${long(work.length.before)}`;
    case 'bleed':
      return `Leave the gate of ${names.drop(work.open)} open too while ${names.drop(work.drop)} runs, so that the main keeps moving`;
    case 'no bleed':
      return `Keep the gate of ${names.drop(work.open)} shut while ${names.drop(work.drop)} runs`;
    case 'flange':
      return `Put a flange around the open pipe end at ${names.drop(work.drop)}`;
    case 'saw guard':
      return `Hang an overarm guard over ${names.machine(work.machine)}, on a ${wide(work.diameter)} branch of its drop`;
    case 'own collector':
      return `Give ${names.drop(work.drop)} a small collector of its own, ${names.blower(work.blower)}, and take its drop off the ducts; it draws about ${formatShort(work.flow, 'flow', system)} there`;
    case 'mend the gate':
      return `Mend the gate of ${names.run(work.run)} so that it opens fully`;
    case 'tight gate':
      return `Replace the leaking gate of ${names.run(work.run)}`;
    case 'add a gate':
      return `Add a gate to ${names.run(work.run)}`;
    case 'separator':
      return SEPARATOR_WORDS[work.to];
    case 'outdoors':
      return `Lead the air outdoors through a ${wide(work.diameter)} duct instead of the filter, with an opening of ${formatShort(work.opening, 'area', system)} that lets air back in`;
    case 'makeup air':
      return `Make an opening of ${formatShort(work.to, 'area', system)} that lets air back into the building, ${work.from === null ? 'if it has none yet' : `now ${formatShort(work.from, 'area', system)}`}`;
    case 'way back':
      return `Make the opening that the air comes back through ${formatShort(work.to, 'area', system)}${work.from === null ? '' : ` instead of ${formatShort(work.from, 'area', system)}`}`;
    case 'return filter':
      return `Give the enclosure a return filter of ${formatShort(work.to, 'area', system)} instead of ${formatShort(work.from, 'area', system)}`;
    case 'swap':
      return `Let ${names.machine(work.one)} and ${names.machine(work.other)} change places`;
    case 'enclosure':
      return 'Box the blower in, lined, with a return filter';
    case 'impeller':
    case 'smaller impeller':
      return `Fit a ${wide(work.to)} impeller instead of ${wide(work.from)}, if the maker lists one for this housing`;
    case 'other room':
      return 'Move blower and filter into the next room, with a way back for the air';
    case 'faster':
      return `Turn the impeller at ${rpm(work.to)} instead of ${rpm(work.from)}, if its maker allows it`;
    case 'circuit':
      return `Have an electrician put the collector on a circuit of ${work.rating} A`;
    case 'plug':
      return work.to === 'wired'
        ? 'Have an electrician wire the collector in without a plug'
        : `Have an electrician fit a plug and receptacle for ${PLUGS[work.to].name}`;
    case 'blower':
      return `Replace the blower with one of ${names.blower(work.to)}`;
    case 'candidate':
      return `Change to the collector “${names.candidate(work.candidate)}”`;
  }
}

/** What kind of change of the shop the work is, for its history. */
export function eventKindOf(work: Work): EventKind {
  switch (work.kind) {
    case 'clean the filter':
      return 'cleaned';
    case 'cartridge':
      return 'filter replaced';
    case 'seal all joints':
    case 'seal a run':
    case 'seal the opening':
    case 'seal behind the blower':
      return 'sealed';
    case 'pipe for hose':
    case 'stretch the hose':
      return 'hose shortened';
    case 'smooth hose':
    case 'wider hose':
    case 'long-radius elbows':
    case 'pairs of 45s':
    case 'wye':
    case 'sweep the legs':
    case 'straight at the inlet':
    case 'narrower run':
    case 'wider run':
    case 'wider way':
    case 'wider mains':
    case 'wider ducts':
    case 'larger port':
    case 'suggested sizes':
    case 'routed anew':
    case 'move the collector':
    case 'flange':
    case 'saw guard':
      return 'duct changed';
    case 'add a gate':
      return 'gate added';
    case 'blower':
    case 'candidate':
    case 'faster':
      return 'blower changed';
    case 'impeller':
    case 'smaller impeller':
      return 'impeller changed';
    case 'separator':
      return work.to === 'none' ? 'changed' : 'separator added';
    case 'outdoors':
    case 'enclosure':
    case 'swap':
    case 'other room':
    case 'makeup air':
    case 'way back':
    case 'return filter':
    case 'circuit':
    case 'plug':
    case 'bleed':
    case 'no bleed':
    case 'own collector':
    case 'mend the gate':
    case 'tight gate':
      return 'changed';
  }
}

/** Why the house's rules leave something out. */
export const BROKEN_WORDS: Readonly<Record<Broken, string>> = {
  'new circuit': 'it needs a new circuit',
  'new blower': 'it needs a new blower',
  'too high': 'it stands higher than you allow',
  'off its casters': 'the collector could not be rolled any more',
  'over its circuit': 'the motor would draw more than its circuit carries',
  'over its motor': 'the motor would be overloaded',
};

/** What of the finest dust comes back into the room, where that changes. */
export const finesText = (before: Fines, after: Fines): string =>
  Math.abs(after.fines - before.fines) < 0.02
    ? ''
    : `Of the finest dust, ${comesBack(after)} then comes back into the room, now ${comesBack(before)}. `;

type Safety = Pick<Evaluation, 'isDrawnDown' | 'isOverCircuit' | 'isOverloaded'>;

/** What becomes safe by it, or does not stay so, in sentences; empty: nothing changes. */
export function safetyText(before: Safety, after: Safety): string {
  const changed = (is: keyof Safety, better: string, worse: string) =>
    before[is] === after[is] ? '' : before[is] ? better : worse;
  return [
    changed(
      'isDrawnDown',
      'The air then has a way back in that keeps the shop from being drawn down. ',
      'But then the shop is drawn down further than a heater or stove bears. ',
    ),
    changed(
      'isOverCircuit',
      'Circuit and plug then carry the motor. ',
      'But circuit or plug then do not carry the motor. ',
    ),
    changed(
      'isOverloaded',
      'The motor is then no longer overloaded. ',
      'But the motor is then overloaded. ',
    ),
  ].join('');
}

type Fines = Pick<Evaluation, 'fines' | 'letBy'>;

const comesBack = ({ fines, letBy }: Fines): string =>
  fines === 0 ? 'none' : letBy === null ? 'an unknown share' : `up to ${percent(letBy)}`;

const NEED_WORDS: Readonly<Record<Need, string>> = {
  electrician: 'a licensed electrician',
  'second person': 'a second person to lift',
  'maker’s word': 'the maker’s word that it may be done',
  'sheet metal': 'some sheet-metal work',
};

/** What some work takes beside time and money, as a sentence; empty: nothing. */
export const needsText = (needs: readonly Need[]): string =>
  needs.length === 0 ? '' : `Takes ${needs.map((need) => NEED_WORDS[need]).join(' and ')}.`;

/** An amount of money, rounded as an estimate deserves. */
export const moneyText = (amount: number, currency: string): string =>
  `${currency}${currency.length > 1 ? '\u00a0' : ''}${Math.round(amount).toLocaleString('en-US')}`;

/** How long a filter runs until it is due, s: “12 h”. */
export const filterLifeText = (life: number): string =>
  `${Math.max(1, Math.round(life / 3600))}\u00a0h`;

/** An amount of heat, J: “340 kWh”. */
export const heatText = (heat: number): string =>
  `${Math.round(heat / 3.6e6).toLocaleString('en-US')}\u00a0kWh`;

/** Hours of work: “20 min”, “3 h”. */
export function hoursText(hours: number): string {
  if (hours < 0.95) return `${Math.max(5, 5 * Math.round(hours * 12))}\u00a0min`;
  return `${hours < 9.5 ? hours.toFixed(1).replace('.0', '') : Math.round(hours)}\u00a0h`;
}
