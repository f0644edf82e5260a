import fc from 'fast-check';
import { drawnWalk, AIM_MODES, DEFAULT_KIT, PULLERS, type Shot, STICK_SPEEDS, type Walk } from '../model';
import { anyMove, num } from './any-move';

const anyPlace = fc.record({ u: num(-0.5, 0.5), v: num(-0.5, 0.5) });
const anyLook = fc.record({
  mode: fc.constantFrom(...AIM_MODES, null),
  toPlace: fc.option(anyPlace),
  fromRollDeg: num(-180, 180),
  toRollDeg: num(-180, 180),
});
const anyGoing = fc.constantFrom('goes' as const, 'turns' as const, 'stays' as const);

const lens = fc.constantFrom(...DEFAULT_KIT.lenses);
/** Turns the shot of a plain shoot into any that the model allows: rig, lens, moves after one another, turning, walk. */
export const anyShot: fc.Arbitrary<(shot: Shot) => Shot> = fc
  .record({
    move: anyMove,
    backwards: fc.boolean(),
    goes: anyGoing,
    look: anyLook,
    subjectPart: fc.constantFrom('whole', 'face', 'feet', 'top'),
    next: fc.array(
      fc.record({ move: anyMove, backwards: fc.boolean(), goes: anyGoing, look: anyLook, overlapS: num(0, 2) }),
      { maxLength: 2 },
    ),
    walks: fc.constantFrom<Walk[]>(
      [],
      [
        drawnWalk('figure', [
          { tS: 0, xM: 0, yM: 0, zM: 0 },
          { tS: 2, xM: 2, yM: 0, zM: 0 },
          { tS: 3, xM: 2, yM: 0, zM: 0 },
          { tS: 6, xM: 2, yM: 5, zM: 0 },
        ]),
      ],
    ),
    lens,
    share: num(0, 1),
    rigId: fc.constantFrom(...DEFAULT_KIT.rigs.map((rig) => rig.id)),
    cameraId: fc.constantFrom(...DEFAULT_KIT.cameras.map((camera) => camera.id)),
    gaitId: fc.constantFrom(...DEFAULT_KIT.gaits.map((gait) => gait.id)),
    stick: fc.constantFrom(...STICK_SPEEDS),
    bodySeed: fc.integer({ min: 0, max: 999_999 }),
    frameRateHz: fc.constantFrom(24, 25),
    slow: fc.constantFrom(1, 2, 5),
    shutterDeg: num(10, 360),
    featherInS: num(0, 2),
    featherOutS: num(0, 2),
    cruiseS: num(0.2, 6),
    aim: fc.record({
      mode: fc.constantFrom(...AIM_MODES),
      place: anyPlace,
      smoothingS: num(0, 1),
      deadBandDeg: num(0, 5),
      rateMaxDegps: num(10, 720),
    }),
    subjectId: fc.constantFrom('figure', 'back', null),
    playback: fc.record({
      reversed: fc.boolean(),
      ramp: fc.constantFrom<Shot['playback']['ramp']>(
        [],
        [{ atS: 1, speed: 0.5 }],
        [
          { atS: 0.5, speed: 1 },
          { atS: 1.5, speed: 0.2 },
          { atS: 60, speed: 2 },
        ],
      ),
    }),
    puller: fc.constantFrom(...PULLERS),
    focus: fc.constantFrom<Shot['focus']>(
      { mode: 'follow' },
      { mode: 'fixed', distanceM: 3 },
      {
        mode: 'racks',
        from: { on: 'distance', distanceM: 1 },
        racks: [
          { atS: 0.5, overS: 0, to: { on: 'piece', pieceId: 'post', part: 'whole' } },
          { atS: 1, overS: 2, to: { on: 'subject' } },
        ],
      },
    ),
  })
  .map(
    ({
      lens: { id, focalLengthMinMm, focalLengthMaxMm },
      share,
      featherInS,
      featherOutS,
      cruiseS,
      slow,
      next,
      ...rest
    }) =>
      (given: Shot) => {
        const timing = {
          durationS: featherInS + cruiseS + featherOutS,
          holdStartS: 0,
          featherInS,
          featherOutS,
          holdEndS: 0,
          featherShape: 'minimumJerk' as const,
        };
        return {
          ...given,
          ...rest,
          lensId: id,
          focalLengthMm: focalLengthMinMm + share * (focalLengthMaxMm - focalLengthMinMm),
          captureRateHz: rest.frameRateHz * slow,
          timing,
          then: next.map((leg) => ({ ...leg, timing })),
        };
      },
  );
