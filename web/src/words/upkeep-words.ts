import { DAY } from '@frank-gauge/core/design';
import { isEmptying } from '@frank-gauge/core/journal';
import {
  type CareWorth,
  type CleaningsLeft,
  type Due,
  type DueBy,
  type DueKind,
  EVENT_OF,
} from '@frank-gauge/core/upkeep';
import { format } from 'date-fns';

/** What is to be done. */
export const DUE_NAMES: Readonly<Record<DueKind, string>> = {
  bin: 'Empty the bin',
  'filter bin': 'Empty the bag or bin below the filter',
  filter: 'Clean the filter',
  reseal: 'Seal the joints of what was changed',
  round: 'Read every drop with the meter',
  checks: 'Look over belts and gaskets',
};

/** How it is done. */
export const DUE_HOW: Readonly<Record<DueKind, string>> = {
  bin: 'Wear a respirator. A bin that is full backs up into the separator and the filter. Keep flames and hot ash away from dust.',
  'filter bin':
    'Wear a respirator: this is the finest dust there is. Let it settle after the blower has stopped.',
  filter:
    'Blow it out gently from the clean side, with a respirator on, the collector’s own port open and the blower running; outdoors, if it comes off easily. Never beat pleats.',
  reseal: 'Tape them as they were, and go over them with smoke or a hand.',
  round: 'With the same meter at the same test points, so that readings compare.',
  checks:
    'Unplug first. Gaskets of bin, lid and filter; a belt, if the blower has one; clamps of the hoses.',
};

const BY: Readonly<Record<DueBy, string>> = {
  history: 'by how often it was done before',
  model: 'an estimate, by what the machines make',
  'model and history': 'by what the machines make, corrected by how often it was done before',
  'model and bin':
    'by what the machines make, corrected by how often the separator’s bin was emptied',
  pressure: 'by the pressure across it, read at one flow',
  calendar: 'by the calendar',
};

/** Nobody plans by the day so far ahead, s. */
const FAR = 2 * 365 * DAY;

const day = (at: number) => format(at, 'MMM d, yyyy');

/** When it is due, and by what that is known. */
export function dueWords({ kind, at, last, range, by, lasts }: Due, now: number): string {
  if (kind === 'reseal' && at !== null) return `The ducts were changed on ${day(at)}.`;
  if (at === null) {
    if (lasts !== null) {
      return `Lasts about ${daysWords(lasts)}, ${BY[by]}. Press Done today when you do it: the day it is due is counted from there.`;
    }
    return last === null
      ? 'Not known yet. Say below how much the blower runs, or press Done today each time.'
      : `Last done on ${day(last)}. Say below how much the blower runs, or press Done today once more: then there is an interval.`;
  }
  if (last === null && by === 'calendar') return 'Nobody has logged that it was ever done.';
  const since = last === null ? '' : `Last done on ${day(last)}. `;
  if (at - now > FAR * 1000) {
    const earliest = range ? `, ${earliestWords(range.from, at, now)}` : '';
    return `${since}Not due for about ${daysWords((at - now) / 1000)}${earliest}; ${BY[by]}.`;
  }
  const when = at <= now ? `Due since ${day(at)}` : `Due on ${day(at)}`;
  const between = range ? `, ${rangeWords(range, at, now)}` : '';
  return `${since}${when}${between}; ${BY[by]}.`;
}

/** When it may be due instead. A day that is past, or years ahead, is nothing to plan by. */
function rangeWords({ from, to }: NonNullable<Due['range']>, at: number, now: number): string {
  const earliest = earliestWords(from, at, now);
  if (to === null) return earliest;
  if (to - now > FAR * 1000) {
    return `${earliest}, perhaps not for ${daysWords((to - now) / 1000)}, 95 times in 100`;
  }
  return isPerhapsPast(from, at, now)
    ? `${earliest}, ${day(to)} at the latest, 95 times in 100`
    : `between ${day(from)} and ${day(to)}, 95 times in 100`;
}

const isPerhapsPast = (from: number, at: number, now: number) => from <= now && at > now;

const earliestWords = (from: number, at: number, now: number): string =>
  isPerhapsPast(from, at, now) ? 'perhaps already' : `${day(from)} at the earliest`;

/** A length of time to the accuracy that anyone cares for. */
function daysWords(seconds: number): string {
  const days = seconds / DAY;
  if (days < 14) return days < 1.5 ? 'a day' : `${Math.round(days)} days`;
  if (days < 75) return `${Math.round(days / 7)} weeks`;
  if (days < 700) return `${Math.round(days / 30.44)} months`;
  return `${Math.round(days / 365.25)} years`;
}

const percentOf = (ratio: number) =>
  `${ratio < 1 ? '−' : '+'}${Math.abs(Math.round((ratio - 1) * 100))} %`;

/** Share of the airflow that a full bin had cost, by what emptying it gave back; null: that was not read. */
function fullCost({ event, airflow, along }: CareWorth): number | null {
  const isRead = isEmptying(event.kind) && airflow?.isSignificant && airflow.ratio > 1;
  return isRead && along === 0 ? 1 - 1 / airflow.ratio : null;
}

/** What it cost the last time that bin was full. */
export function lastCostWords(kind: 'bin' | 'filter bin', worths: readonly CareWorth[]): string {
  for (const worth of worths) {
    if (worth.event.kind !== EVENT_OF[kind]) continue;
    const cost = fullCost(worth);
    if (cost === null) continue;
    return `Before it was emptied on ${day(Date.parse(worth.event.at))} it had cost ${Math.round(cost * 100)} % of the airflow.`;
  }
  return 'To find out what a full one costs, read a drop just before and just after you empty it.';
}

/** Where air may have gone between two readings with care of something in between. */
const lostMeanwhile = ({ kind }: CareWorth['event']): string =>
  isEmptying(kind)
    ? ' Emptying does not lose air: the filter loaded between these readings, or something opened. Leaks tells which.'
    : ' This should not lose air: look under Leaks for what else changed.';

/** What emptying or cleaning did to the airflow, and what the full bin had cost. */
export function broughtWords(worth: CareWorth): string {
  const { airflow, along } = worth;
  if (!airflow) return 'no drop was read on both sides of it, so the gain is not known.';
  const { ratio, low, high, isSignificant } = airflow;
  const range = `${percentOf(low)} to ${percentOf(high)}`;
  const others =
    along === 0
      ? ''
      : ` With it: ${along === 1 ? 'one other change' : `${along} other changes`} between the same readings.`;
  if (!isSignificant) return `no difference in airflow shown (${range}).${others}`;
  const lost = fullCost(worth);
  const cost =
    lost === null ? '' : ` The full bin had cost ${Math.round(lost * 100)} % of the airflow.`;
  const elsewhere = ratio < 1 ? lostMeanwhile(worth.event) : '';
  return `airflow ${percentOf(ratio)} (${range}).${cost}${elsewhere}${others}`;
}

/** How far cleaning still gets the filter. */
export function leftWords({ risen, worn }: CleaningsLeft): string {
  const times = `After its last cleaning the filter took ${risen.toFixed(1)} times the pressure it began with, at one flow.`;
  if (!worn) {
    return `${times} Read it after each cleaning: three of them say when cleaning no longer helps.`;
  }
  const latest =
    worn.to === null ? 'with no end that these readings show' : `${day(worn.to)} at the latest`;
  return `${times} Cleaned or not, it is at its due pressure about ${day(worn.at)} (${day(worn.from)} at the earliest, ${latest}): then a new one pays.`;
}
