import { describe, expect, it } from 'vitest';
import { changeTake, countTake, sayWho } from '@gentle-arc/core/edit';
import { demoShoot } from '@gentle-arc/core/testing/demo';
import { figuresOf, isMeasured, peopleRecorded } from './hands-figures';
import { laidOn } from './recordings.svelte';
import { clockOf, dayWords, offsetOf, takeName } from './words';

const demo = demoShoot();
const recorded = demo.log.takes.find((take) => take.recorded)?.recorded ?? null;

describe('words of takes', () => {
  it('are by the clock of the place, whatever this device’s is', () => {
    expect(offsetOf(demo)).toBe(330);
    expect(clockOf('2026-04-10T20:01:00.000Z', 330)).toBe('01:31');
    expect(dayWords('2026-04-10T20:01:00.000Z', 330)).toBe('11 Apr');
    expect(offsetOf({ ...demo, site: { ...demo.site, place: null } })).toBe(-new Date().getTimezoneOffset());
  });
  it('number takes within their shot', () => {
    expect(takeName(demo.log.takes.slice(0, 4), demo.log.takes[2].id)).toBe('Take 3');
  });
});

describe('what something is laid on', () => {
  const [shot, other] = demo.shots;
  const one = countTake(
    { ...demo, log: { who: '', takes: [], readies: [] } },
    shot.id,
    'a',
    '2026-04-13T06:00:00.000Z',
  );
  const [open] = one.log.takes;

  it('is the open take where it has none of it yet', () => {
    const { next, id } = laidOn(one, shot, open, { recorded });
    expect(id).toBe('a');
    expect(next.log.takes).toHaveLength(1);
    expect(next.log.takes[0].recorded).toBe(recorded);
  });
  it('is a new take where it has one, is of another shot, or is not there any more', () => {
    const full = changeTake(one, 'a', { recorded });
    for (const { next, id } of [
      laidOn(full, shot, full.log.takes[0], { recorded }),
      laidOn(one, other, open, { recorded }),
      laidOn(one, shot, null, { recorded }),
    ]) {
      expect(id).not.toBe('a');
      expect(next.log.takes).toHaveLength(2);
      expect(next.log.takes[0].recorded).toBe(full.log.takes[0].id === 'a' ? next.log.takes[0].recorded : null);
    }
  });
});

describe('hands by person', () => {
  const figures = { at: '', stepRateHz: 1.9, bobMm: 20, swayMm: null, leanDeg: null, shakeDeg: null, speedMps: 1 };
  it('are those whose takes have recordings, whoever has the rig first', () => {
    expect(peopleRecorded(demo)).toEqual(['Ilka', 'Sanu', 'Tovo']);
    expect(peopleRecorded(sayWho(demo, 'Tovo'))[0]).toBe('Tovo');
  });
  it('come in order of time, and only that person’s', () => {
    const takes = demo.log.takes.filter(({ who, recorded: made }) => who === 'Ilka' && made);
    const rows = takes.toReversed().map(({ id, at }) => ({ id, figures: { ...figures, at } }));
    const found = figuresOf(demo, [...rows, { id: 'nobody', figures }], 'Ilka');
    expect(found.map(({ at }) => at)).toEqual(takes.map(({ at }) => at).sort());
    expect(figuresOf(demo, rows, 'Tovo')).toEqual([]);
  });
  it('are measured when bob or trembling is', () => {
    const none = {
      recordings: 0,
      stepRateHz: null,
      bobMm: null,
      swayMm: null,
      leanDeg: null,
      shakeDeg: null,
      speedMps: null,
    };
    expect(isMeasured(none)).toBe(false);
    expect(isMeasured({ ...none, shakeDeg: { count: 1, middle: 1, low: 1, high: 1, sure: 0 } })).toBe(true);
  });
});
