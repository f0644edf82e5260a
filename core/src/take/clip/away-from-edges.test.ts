import { describe, expect, it } from 'vitest';
import { plannedFilm } from '../../motion';
import { sceneOf } from '../../scene';
import { demoShoot } from '../../testing/demo';
import { measuredByPlan } from './against-plan';
import { ClipReader } from './clip-reader';
import { contentOf } from './content-motion';
import { PlanPicture } from './foretold';
import type { GreyFrame } from './grey';
import type { FollowedInto, Place } from './tracker';
import type { Flow } from './whole-motion';

const shoot = demoShoot();
const shot = shoot.shots.find(({ name }) => name === 'Round Ansa at the sorting table');
if (!shot) throw new Error('The demo has changed.');
const film = plannedFilm(sceneOf(shoot, shot));
const { frameRateHz, frameWidthMm, frameHeightMm } = film.samples;
const ASPECT = frameWidthMm / frameHeightMm;
const WIDE_PX = 960;
const FIRST = 100;
const ROWS = 24;

/** A reader of a clip whose places go as `flowsAt` says through each picture but the last. */
function readerOf(pictures: number, flowsAt: (picture: number) => Flow[]): ClipReader {
  const [widthPx, heightPx] = [480, Math.round(480 / ASPECT)];
  let picture = -1;
  const follow = (): FollowedInto => {
    picture += 1;
    const at = (u: number, w: number): Place => [u * widthPx + widthPx / 2 - 0.5, heightPx / 2 - w * widthPx - 0.5];
    const fromLastButOne = flowsAt(picture).map(({ u, w, du, dw }) => ({
      from: at(u - du, w - dw),
      to: at(u + du, w + dw),
    }));
    return { fromLast: [], fromLastButOne };
  };
  const reader = new ClipReader({ follow, close: () => undefined });
  for (let i = 0; i < pictures; i += 1) {
    const frame: GreyFrame = { widthPx, heightPx, fullWidthPx: WIDE_PX, pixels: new Uint8Array(widthPx * heightPx) };
    frame.pixels.fill(100 + (i % 2) * 40);
    reader.add(frame, i / frameRateHz);
  }
  return reader;
}

const everywhere = (row: number): Flow[] => {
  const content = contentOf(film, 160)(row, row, row + 1);
  // None of them on the border of two cells of the plan.
  return Array.from({ length: 83 * 47 }, (_, k) => {
    const [u, w] = [((k % 83) + 0.5) / 83 - 0.5, (0.5 - (Math.floor(k / 83) + 0.5) / 47) / ASPECT];
    const [x, y] = [Math.floor((u + 0.5) * content.widthCells), Math.floor((0.5 - w * ASPECT) * content.heightCells)];
    return content.flow(x, y, u, w) ?? { u, w, du: 0, dw: 0 };
  });
};

describe('places at the edges of things', () => {
  // Windows at edges go somewhere else altogether; the others as the plan has them go.
  const plan = new PlanPicture(film, WIDE_PX);
  const spoilt = (row: number) => {
    const isAway = plan.awayAt(row / frameRateHz);
    return everywhere(row).map((flow) => (isAway?.(flow.u, flow.w) ? flow : { ...flow, du: flow.du + 0.02 }));
  };

  it('do not count in a clip that is known to be of the plan', () => {
    const reader = readerOf(FIRST + ROWS, (picture) => (picture < FIRST ? [] : spoilt(picture)));
    const { frames, followed } = measuredByPlan(plan, reader, true);
    const told = plan.ofFollowed(followed, (share) => (share * (FIRST + ROWS - 1)) / frameRateHz);
    const off = (rows: typeof frames) =>
      Array.from({ length: ROWS - 4 }, (_, i) => FIRST + 2 + i).map((row) =>
        Math.abs(rows[row].rightwards - told.rightwards[row]),
      );
    const speed = Math.max(...told.rightwards.subarray(FIRST, FIRST + ROWS).map(Math.abs));
    expect(speed).toBeGreaterThan(0.02);
    expect(Math.max(...off(frames))).toBeLessThan(0.05 * speed);
    // With them it is off by much more.
    expect(Math.min(...off(reader.frames()))).toBeGreaterThan(0.1 * speed);
  });

  it('count where nothing is known of the plan', () => {
    const reader = readerOf(6, (picture) => spoilt(FIRST + picture));
    const [all, again] = [reader.frames(), reader.awayFromEdges(() => null)];
    expect(again?.followed).toEqual(reader.followedPlaces());
    all.forEach(({ rightwards }, i) => expect(again?.frames[i].rightwards).toBeCloseTo(rightwards, 6));
    expect(all[2].rightwards).not.toBe(0);
  });
});

describe('a picture in which hardly anything can be followed', () => {
  it('tells nothing, however fast what there is goes', () => {
    const few = everywhere(FIRST).slice(0, 5);
    const frames = readerOf(4, () => few.map((flow) => ({ ...flow, du: 0.1, dw: 0 }))).frames();
    for (const { rightwards, growthPerS } of frames) expect([rightwards, growthPerS]).toEqual([0, 0]);
  });
});
