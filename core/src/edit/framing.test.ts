import { describe, expect, it } from 'vitest';
import { Vector3 } from 'three';
import { type Move, newPiece, type Shot, legsOf } from '../model';
import { sampleShot } from '../motion';
import { sceneOf } from '../scene';
import { partOf, toSite } from '../site';
import { usual } from '../testing/filmed';
import { plainShoot } from '../testing/shoots';
import { threeCameraAt } from '../testing/three-camera';
import { FRAMINGS, frameSubject, type Framing, type FramingWish } from './framing';

const framed = (move: Move, wish: FramingWish, more: Partial<Shot> = {}) => {
  const shoot = plainShoot((shot) => ({ ...shot, move, lensId: 'lens-fern-2470', ...more }));
  return { shoot, ...frameSubject(shoot, shoot.shots[0], wish) };
};

/** Where a height above the figure's sole falls in the frame, v, by three.js, in the first or the last frame. */
function seenAt(shoot: ReturnType<typeof plainShoot>, shot: Shot, end: 'start' | 'end') {
  const samples = sampleShot(sceneOf(shoot, shot));
  const row = end === 'start' ? 0 : samples.count - 1;
  const camera = threeCameraAt(samples, row);
  // The head stands a little before the heels.
  const [figure] = shoot.site.pieces;
  const head = toSite(figure, partOf(figure, 'face').alongM, 0);
  return (share: number) => {
    const at = new Vector3(head.xM, share * 1.7, -head.yM).project(camera);
    return { u: at.x / 2, v: at.y / 2 };
  };
}

describe('framing by name, seen through three.js', () => {
  const SIZES: Framing[] = ['wide', 'full', 'knees', 'waist', 'chest', 'face', 'detail'];
  it.each(SIZES)(
    '%s: the head has its room and the lower edge cuts where it is said, by distance and by lens',
    (size) => {
      for (const by of ['distance', 'lens'] as const) {
        const start = size === 'face' || size === 'chest' ? 2.4 : 4;
        const distances = { fromDistanceM: by === 'lens' ? start : 5, toDistanceM: 2 };
        // Nothing but a camera at the height of the face comes near enough for a detail of it.
        const heightM = size === 'detail' ? 1.55 : 1.3;
        const move: Move = { ...usual('push'), ...distances, heightM } as Move;
        const { shoot, shot, trouble } = framed(move, { end: 'start', size, side: 'left', by });
        if (trouble) {
          expect(trouble).toMatch(/is not reached: Fern 24–70 goes from 24 to 70 mm/);
          continue;
        }
        const at = seenAt(shoot, shot, 'start');
        const { bottom, room } = FRAMINGS[size];
        expect(at(1).v).toBeCloseTo(0.5 - room, 2);
        expect(at(bottom).v).toBeCloseTo(-0.5, 2);
        expect(at(0.935).u).toBeCloseTo(-1 / 6, 2);
      }
    },
  );
  it('a push-in that is framed at both ends begins and ends so, and stays on the face', () => {
    const first = framed({ ...usual('push'), fromDistanceM: 5, toDistanceM: 3 } as Move, {
      end: 'start',
      size: 'knees',
      side: 'left',
      by: 'distance',
    });
    const { shot } = frameSubject(first.shoot, first.shot, {
      end: 'end',
      size: 'face',
      side: 'middle',
      by: 'distance',
    });
    expect(shot.subjectPart).toBe('face');
    const [start, end] = (['start', 'end'] as const).map((one) => seenAt(first.shoot, shot, one));
    expect(start(1).v).toBeCloseTo(0.5 - FRAMINGS.knees.room, 2);
    expect(start(0.935).u).toBeCloseTo(-1 / 6, 2);
    expect(end(1).v).toBeCloseTo(0.5 - FRAMINGS.face.room, 2);
    expect(end(0.8).v).toBeCloseTo(-0.5, 2);
    expect(end(0.935).u).toBeCloseTo(0, 3);
  });
  it.each(['left', 'middle', 'right'] as const)('all of a lorry is in the frame, %s, bars or not', (side) => {
    for (const barsPercent of [0, 10]) {
      const lorry = { ...newPiece('lorry', 'figure', 'Lorry', 0, 0, 0), headingDeg: 30 };
      const shoot = plainShoot(
        (shot) => ({
          ...shot,
          subjectId: 'figure',
          move: { ...usual('arc'), radiusM: 9 } as Move,
          after: { stabilisingPercent: 0, barsPercent },
        }),
        [lorry],
      );
      const { shot, trouble } = frameSubject(shoot, shoot.shots[0], {
        end: 'start',
        size: 'full',
        side,
        by: 'distance',
      });
      expect(trouble).toBeNull();
      const camera = threeCameraAt(sampleShot(sceneOf(shoot, shot)), 0);
      const { lengthM, depthM, heightM } = lorry;
      const seen = [-1, 1].flatMap((a) =>
        [-1, 1].flatMap((b) =>
          [0, heightM].map((up) => {
            const { xM, yM } = toSite(lorry, (a * lengthM) / 2, (b * depthM) / 2);
            return new Vector3(xM, up, -yM).project(camera);
          }),
        ),
      );
      for (const { x, y } of seen) {
        expect(Math.abs(x / 2)).toBeLessThan(0.5);
        expect(Math.abs(y / 2)).toBeLessThan(0.5 - barsPercent / 100);
      }
      expect(Math.max(...seen.map(({ x, y }) => Math.max(Math.abs(x), Math.abs(y)) / 2))).toBeGreaterThan(0.3);
    }
  });
  it('a detail from too high or too low says so, and from the height that it names it is reached', () => {
    const wish: FramingWish = { end: 'start', size: 'detail', side: 'middle', by: 'distance' };
    const low = { ...usual('push'), heightM: 0.6 } as Move;
    expect(framed(low, wish).trouble).toMatch(/Bring the camera to the height of what is framed/);
    expect(framed({ ...low, heightM: 1.6 } as Move, wish).trouble).toBeNull();
  });
  it('says what it cannot: a lens that ends, a move without a distance, nobody to frame', () => {
    expect(framed(usual('free'), { end: 'start', size: 'full', side: 'middle', by: 'distance' }).trouble).toBe(
      'Drawn path has no one distance at its start: frame it by the lens.',
    );
    const far = framed({ ...usual('push'), fromDistanceM: 60 } as Move, {
      end: 'start',
      size: 'face',
      side: 'middle',
      by: 'lens',
    });
    expect(far.trouble).toMatch(/^Ansa face alone is not reached: Fern 24–70 goes from 24 to 70 mm\./);
    expect(far.shot.focalLengthMm).toBe(70);
    const nobody = framed(
      usual('push'),
      { end: 'start', size: 'full', side: 'middle', by: 'lens' },
      { subjectId: null },
    );
    expect(nobody.trouble).toMatch(/nobody to frame/);
    expect(legsOf(nobody.shot)[0].look.toPlace).toBeNull();
  });
});
