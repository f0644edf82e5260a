import { describe, expect, it } from 'vitest';
import type { Move, Shot } from '../model';
import { severity } from '../findings';
import { recipeOf } from '../motion';
import { raised } from '../edit';
import { filmed, usual, wallBetween } from '../testing/filmed';
import { AROUND, plainPieces } from '../testing/shoots';
import { readShot } from './read-shot';

const TIMING = {
  durationS: 8,
  holdStartS: 0.5,
  featherInS: 1.5,
  featherOutS: 1.5,
  holdEndS: 0.5,
  featherShape: 'minimumJerk' as const,
};
const STEPS = 60;

/** A parameter swept slowly from one end to the other, and the shot at each step. */
interface Sweep {
  name: string;
  at: (share: number) => [Move, Partial<Shot>];
  pieces?: ReturnType<typeof plainPieces>;
}
const between = (from: number, to: number, share: number) => from + share * (to - from);
const arc: Move = { kind: 'arc', ...AROUND, radiusM: 4, startBearingDeg: 130, sweepDeg: 100 };
const slide: Move = { kind: 'slide', ...AROUND, heightM: 1.2, distanceM: 5, bearingDeg: 180, travelM: 2, skewDeg: 0 };
const SWEEPS: Sweep[] = [
  { name: 'the time an arc takes', at: (share) => [arc, { timing: { ...TIMING, durationS: between(4, 16, share) } }] },
  { name: 'how far an arc sweeps', at: (share) => [{ ...arc, sweepDeg: between(20, 180, share) }, {}] },
  {
    name: 'the feather of a stop',
    at: (share) => [slide, { timing: { ...TIMING, featherOutS: between(0, 3, share) } }],
  },
  {
    name: 'how far a slide travels',
    at: (share) => [
      recipeOf(slide).scaleTravel(slide, 1),
      { timing: TIMING, move: { ...slide, travelM: between(0.2, 3, share) } as Move },
    ],
  },
  { name: 'the height of a slide', at: (share) => [raised(slide, between(-0.9, 1.2, share)), {}] },
  {
    name: 'the focal length',
    at: (share) => [slide, { lensId: 'lens-fern-2470', focalLengthMm: between(24, 70, share) }],
  },
  {
    name: 'the distance of a push',
    at: (share) => [
      {
        kind: 'push',
        ...AROUND,
        heightM: 0.85,
        fromDistanceM: 6,
        toDistanceM: between(2, 5.5, share),
        bearingDeg: 180,
      },
      {},
    ],
  },
  {
    name: 'the travel of a reveal',
    at: (share) => [{ ...usual('slideOutReveal'), bearingDeg: 180, travelM: between(0.6, 6, share) }, {}],
    pieces: wallBetween(),
  },
];

describe('findings do not flicker', () => {
  it.each(SWEEPS)('$name, swept slowly, changes each grade only where its number crosses a limit', ({ at, pieces }) => {
    const grades = new Map<string, { severity: number; value: number; limit: number }[]>();
    for (let k = 0; k <= STEPS; k += 1) {
      const [move, more] = at(k / STEPS);
      const { shoot } = filmed(
        more.move ?? move,
        { timing: TIMING, rigId: 'rig-gimbal', gaitId: 'gait-stand', ...more },
        false,
        pieces ?? plainPieces(),
      );
      for (const finding of readShot(shoot, shoot.shots[0]).findings) {
        const rows = grades.get(finding.id) ?? [];
        rows.push({ severity: severity(finding), value: finding.value, limit: finding.limit });
        grades.set(finding.id, rows);
      }
    }
    for (const [id, rows] of grades) {
      const said = rows.map((row) => row.severity);
      const changes = [...said.keys()].filter((k) => k > 0 && said[k] !== said[k - 1]);
      // A grade that comes, goes and comes again within a few small steps trembles about its limit.
      const trembles = changes.filter(
        (k, i) => i > 0 && k - changes[i - 1] <= 3 && said[k] === said[changes[i - 1] - 1],
      );
      expect(trembles, `${id}: ${said.join('')}`).toEqual([]);
      const turns = [...rows.keys()].filter(
        (k) => k > 1 && (rows[k].value - rows[k - 1].value) * (rows[k - 1].value - rows[k - 2].value) < 0,
      ).length;
      // A number that only rises or only falls crosses each of its two limits once.
      expect(changes.length, `${id}: ${said.join('')}`).toBeLessThanOrEqual(turns === 0 ? 2 : 4);
    }
  });
});
