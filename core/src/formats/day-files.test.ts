import ICAL from 'ical.js';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { planDay } from '../day';
import { changeDay } from '../edit';
import { clockAt, momentOf } from '../light';
import { type Shoot } from '../model';
import { demoShoot } from '../testing/demo';
import { writeDayCsv } from './day-csv';
import { writeDayIcs } from './day-ics';
import { dayJson } from './day-json';

const demo = demoShoot();
const planned = planDay(demo, 'kept');
/** Read by ical.js, which knows the standard (RFC 5545). */
const events = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as string).getAllSubcomponents('vevent').map((row) => new ICAL.Event(row));

describe('a day as iCalendar', () => {
  it('comes back from ical.js with every shot and break, at its time', () => {
    const read = events(writeDayIcs(planned));
    expect(read).toHaveLength(planned.plan.entries.length + planned.plan.breaks.length);
    expect(new Set(read.map(({ uid }) => uid)).size).toBe(read.length);
    const midnight = momentOf({ utcOffsetH: 5.5 }, '2026-04-12', '00:00').getTime();
    planned.plan.entries.forEach((entry, i) => {
      expect(read[i].startDate.zone.tzid).toBe('UTC');
      expect(read[i].startDate.toJSDate().getTime()).toBe(midnight + Math.round(entry.startS) * 1000);
      expect(read[i].endDate.toJSDate().getTime()).toBe(midnight + Math.round(entry.endS) * 1000);
      expect(read[i].summary).toBe(`${entry.number} ${entry.name}`);
      for (const reason of entry.reasons) expect(read[i].description).toContain(reason);
    });
  });

  it('has no line of more than 75 octets, ends each with CR LF, and keeps commas, semicolons and line ends', () => {
    const shots = demo.shots.map((shot, i) =>
      i === 0 ? { ...shot, name: 'Rows, low; a \\ and “größer 日本” '.repeat(3).trim() } : shot,
    );
    const text = writeDayIcs(planDay({ ...demo, shots }, 'kept'));
    for (const line of text.split('\r\n')) {
      expect(Buffer.byteLength(line, 'utf8')).toBeLessThanOrEqual(75);
      expect(line).not.toMatch(/[\r\n]/);
    }
    expect(events(text).map(({ summary }) => summary)).toContain(`1 ${shots[0].name}`);
  });

  it('on a day on which clocks change, and in a zone that changes them, each event keeps its moment', () => {
    // Made-up zone rules of the usual kind: an hour forward at 2:00 on the last Sunday of March.
    const zone = new ICAL.Timezone(
      new ICAL.Component(
        ICAL.parse(
          [
            'BEGIN:VTIMEZONE',
            'TZID:Made/Up',
            'BEGIN:STANDARD',
            'DTSTART:20251026T030000',
            'TZOFFSETFROM:+0200',
            'TZOFFSETTO:+0100',
            'RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU',
            'END:STANDARD',
            'BEGIN:DAYLIGHT',
            'DTSTART:20260329T020000',
            'TZOFFSETFROM:+0100',
            'TZOFFSETTO:+0200',
            'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU',
            'END:DAYLIGHT',
            'END:VTIMEZONE',
          ].join('\r\n'),
        ) as string,
      ),
    );
    const place = { latitudeDeg: 48, longitudeDeg: 11, utcOffsetH: 1 };
    const spring: Shoot = {
      ...changeDay(demo, {
        date: '2026-03-29',
        callMin: 60,
        people: [],
        batteries: [],
        breaks: [],
        wishes: demo.day.wishes.map((wish) => ({ ...wish, light: 'always', between: null, pin: 'none' })),
      }),
      site: { ...demo.site, place },
    };
    const { plan, ...rest } = planDay(spring, 'kept');
    const read = events(writeDayIcs({ plan, ...rest }));
    const [first] = plan.entries;
    // Begun at 1:00 by a clock an hour ahead of UTC: that is midnight UTC, and 1:00 in the zone.
    expect(read[0].startDate.convertToZone(zone).toString()).toBe('2026-03-29T01:00:00');
    expect(first.startS).toBe(3600);
    const later = plan.entries.findIndex(({ startS }) => startS > 3 * 3600);
    const { day, time } = clockAt(place, read[later].startDate.toJSDate());
    const [hour, minute] = time.split(':').map(Number);
    expect(day).toBe('2026-03-29');
    expect(Math.abs(hour * 60 + minute - plan.entries[later].startS / 60)).toBeLessThan(1);
    // By a clock that was put forward meanwhile it is an hour later, and still the same moment.
    const theirs = read[later].startDate.convertToZone(zone);
    expect(theirs.hour * 60 + theirs.minute - (hour * 60 + minute)).toBe(60);
    expect(theirs.toJSDate().getTime()).toBe(read[later].startDate.toJSDate().getTime());
  });

  it('without a place has times without a zone; without a date there is none, and it says so', () => {
    const nowhere = { ...demo, site: { ...demo.site, place: null } };
    const [first] = events(writeDayIcs(planDay(nowhere, 'kept')));
    expect(first.startDate.zone.tzid).toBe('floating');
    expect(first.startDate.hour * 60 + first.startDate.minute).toBe(demo.day.callMin);
    expect(() => writeDayIcs(planDay(changeDay(demo, { date: null }), 'kept'))).toThrow(
      /^date is missing: say on which day/,
    );
  });
});

describe('a day as CSV and JSON', () => {
  it('CSV comes back with a row a shot and break, in order of time', () => {
    const { data } = Papa.parse<Record<string, string>>(writeDayCsv(planned), { header: true, skipEmptyLines: true });
    expect(data).toHaveLength(planned.plan.entries.length + planned.plan.breaks.length);
    expect(data.filter(({ number }) => number !== '').map(({ number }) => Number(number))).toEqual(
      planned.plan.entries.map(({ number }) => number),
    );
    expect(data.some(({ name }) => name === 'Lunch in the shade')).toBe(true);
  });
  it('a name that begins like a formula is made plain', () => {
    const shots = demo.shots.map((shot) => ({ ...shot, name: `=1+1 ${shot.name}`.slice(0, 100) }));
    expect(writeDayCsv(planDay({ ...demo, shots }, 'kept'))).not.toMatch(/,=1\+1/);
  });
  it('JSON says of every shot when it begins and why, what cannot be, and how long it takes', () => {
    const json = dayJson(planned, 'kept');
    expect(Object.keys(json.entries[0])).toEqual(
      expect.arrayContaining(['shot', 'startS', 'setUpS', 'changeS', 'takesS', 'reasons']),
    );
    expect(json.totalS).toBe(json.endS - json.startS);
    expect(json.cannot.map(({ shot }) => shot)).toEqual(planned.plan.cannot.map(({ number }) => number));
  });
});
