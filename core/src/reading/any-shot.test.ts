import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { severity } from '../findings';
import { drawnWalk, AIM_MODES, DEFAULT_KIT, PULLERS, type Shot, ShotSchema, STICK_SPEEDS, type Walk } from '../model';
import { lengthOnScreenS } from '../motion';
import { curesFor } from '../search';
import { anyMove, num } from '../testing/any-move';
import { plainShoot } from '../testing/shoots';
import { readShot } from './read-shot';

const anyPlace = fc.record({ u: num(-0.5, 0.5), v: num(-0.5, 0.5) });
const anyLook = fc.record({
  mode: fc.constantFrom(...AIM_MODES, null),
  toPlace: fc.option(anyPlace),
  fromRollDeg: num(-180, 180),
  toRollDeg: num(-180, 180),
});
const anyGoing = fc.constantFrom('goes' as const, 'turns' as const, 'stays' as const);

const lens = fc.constantFrom(...DEFAULT_KIT.lenses);
const shot: fc.Arbitrary<(shot: Shot) => Shot> = fc
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

describe('any shot that the model allows', () => {
  it('reads in whole sentences and whole numbers, worst first, each thing once', () => {
    fc.assert(
      fc.property(shot, fc.constantFrom('metric' as const, 'imperial' as const), (edit, units) => {
        const shoot = plainShoot(edit);
        const { findings, cautions, picture } = readShot(shoot, shoot.shots[0], units);
        expect(new Set(findings.map((finding) => finding.id)).size).toBe(findings.length);
        const grades = findings.map(severity);
        expect([...grades].sort((a, b) => b - a)).toEqual(grades);
        for (const finding of findings) {
          expect(finding.sentence).toMatch(/^\S.*\.$/);
          expect(finding.reason).toMatch(/^\S.*\.$/);
          expect(`${finding.sentence} ${finding.reason} ${finding.said}`).not.toMatch(/NaN|undefined|null|Infinity/);
          expect(Number.isFinite(finding.value) && Number.isFinite(finding.limit)).toBe(true);
          expect(finding.screenS).toBeGreaterThanOrEqual(0);
          expect(finding.screenS).toBeLessThanOrEqual(lengthOnScreenS(shoot.shots[0]) + 1e-6);
        }
        for (const { sentence } of cautions) expect(sentence).not.toMatch(/NaN|undefined/);
        for (const column of [
          picture.samples.xM,
          picture.samples.panDeg,
          picture.samples.tiltDeg,
          picture.samples.focalLengthMm,
          picture.screen.acceleration,
        ])
          expect(column.every(Number.isFinite)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('is offered only changes that are shots in order and that help', () => {
    fc.assert(
      fc.property(shot, (edit) => {
        const shoot = plainShoot(edit);
        const trouble = readShot(shoot, shoot.shots[0]).findings.find((finding) => severity(finding) > 0);
        if (!trouble) return;
        for (const cure of curesFor(shoot, shoot.shots[0], trouble)) {
          expect(ShotSchema.safeParse(cure.shot).success).toBe(true);
          expect(cure.shot.id).toBe(shoot.shots[0].id);
          const after = readShot(shoot, cure.shot).findings.find((finding) => finding.id === trouble.id);
          expect(after ? severity(after) : 0).toBeLessThan(severity(trouble));
          expect(cure.sentence).toMatch(/^[A-Z].*\.$/);
        }
      }),
      { numRuns: 10 },
    );
  });

  it('reads the same twice', () => {
    fc.assert(
      fc.property(shot, (edit) => {
        const shoot = plainShoot(edit);
        expect(readShot(shoot, shoot.shots[0]).findings).toEqual(
          readShot(structuredClone(shoot), structuredClone(shoot.shots[0])).findings,
        );
      }),
      { numRuns: 8 },
    );
  });
});
