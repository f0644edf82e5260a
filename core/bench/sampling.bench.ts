import { sceneOf } from '../src/scene';
import { PLAIN_LOOK, type Leg } from '../src/model';
import { motionOf, sampleShot } from '../src/motion';
import { filmed, usual, WALK } from '../src/testing/filmed';

/**
 * Prints what sampling the most complex shot costs here: a chain of a drawn path, a dolly zoom off the axis and an
 * overtaking of a walker, with body, lag and dead band, 10 s at 60 a second.
 */
const timing = (durationS: number) => ({
  durationS,
  holdStartS: 0,
  featherInS: 1,
  featherOutS: 1,
  holdEndS: 0,
  featherShape: 'minimumJerk' as const,
});
const leg = (move: Leg['move'], durationS: number): Leg => ({
  move,
  timing: timing(durationS),
  backwards: false,
  goes: 'stays',
  look: PLAIN_LOOK,
  overlapS: 0.5,
});
const drawn = {
  kind: 'free' as const,
  pivotEastM: 0,
  pivotNorthM: 0,
  points: Array.from({ length: 12 }, (_, i) => ({
    eastM: 3 * Math.sin(i),
    northM: -4 + Math.cos(1.7 * i),
    heightM: 1 + i / 10,
    look: i % 3 === 0 ? { panDeg: 10 * i, tiltDeg: -5, rollDeg: i } : null,
  })),
};

export function sampleTheMostComplex(): { count: number; work: () => void; share: () => void } {
  const { shoot } = filmed(drawn, {
    timing: timing(4),
    then: [leg({ ...usual('dollyZoom'), fromDistanceM: 4, toDistanceM: 6 }, 4), leg(usual('overtake'), 3)],
    walks: [WALK],
    captureRateHz: 60,
    frameRateHz: 60,
    rigId: 'rig-gimbal',
    gaitId: 'gait-walk',
    lensId: 'lens-fern-2470',
    aim: { mode: 'allFollow', place: { u: 0.2, v: 0.1 }, smoothingS: 0.3, deadBandDeg: 0.5, rateMaxDegps: 120 },
  });
  const scene = sceneOf(shoot, shoot.shots[0]);
  const motion = motionOf(scene);
  return {
    count: sampleShot(scene).count,
    work: () => void sampleShot(scene),
    share: () => void sampleShot(scene, motion),
  };
}
