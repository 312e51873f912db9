import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { calendarOf } from './calendar';

describe('a calendar', () => {
  it('read back by another library has each day, whole, with its words', () => {
    const text = calendarOf([
      {
        id: 'heron-slip bin',
        at: new Date(2026, 11, 31, 23, 30).getTime(),
        title: 'Empty the bin; wear a respirator',
        about: 'Between 20 December and 12 January.\nAn estimate, from what you plane off.',
      },
      {
        id: 'heron-slip round',
        at: new Date(2028, 1, 29, 0, 5).getTime(),
        title: 'Round',
        about: '',
      },
    ]);
    expect(text).toContain('\r\n');
    const events = new ICAL.Component(ICAL.parse(text))
      .getAllSubcomponents('vevent')
      .map((each) => new ICAL.Event(each));
    expect(events.map(({ uid }) => uid)).toEqual([
      'heron-slip bin@frank-gauge',
      'heron-slip round@frank-gauge',
    ]);
    const [bin, round] = events;
    expect(bin?.startDate.isDate).toBe(true);
    expect(bin?.startDate.toString()).toBe('2026-12-31');
    expect(bin?.endDate.toString()).toBe('2027-01-01');
    expect(bin?.summary).toBe('Empty the bin; wear a respirator');
    expect(bin?.description).toContain('12 January.\nAn estimate');
    expect(round?.startDate.toString()).toBe('2028-02-29');
  });

  it('of nothing is an empty one', () => {
    const read = new ICAL.Component(ICAL.parse(calendarOf([])));
    expect(read.getAllSubcomponents('vevent')).toEqual([]);
  });
});
