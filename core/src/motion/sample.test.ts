import fc from 'fast-check';
import { PerspectiveCamera } from 'three';
import { describe, expect, it } from 'vitest';
import { drawnWalk, DEFAULT_AIM, DEFAULT_KIT, type Shot } from '../model';
import { threeCamera, threeProject } from '../testing/three-camera';
import { AROUND, moved, plainPieces, plainSetup, HELD } from '../testing/shoots';
import { project } from '../optics';
import { filmed, usual } from '../testing/filmed';
import { subjectInFrame } from '../image';
import { sampleShot } from './shown';
import { rowCount } from './sample';

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const widest = { ...DEFAULT_KIT.lenses[0], focalLengthMinMm: 1, focalLengthMaxMm: 3000 };

describe('rows', () => {
  it('come once a frame with both ends', () => {
    expect(rowCount(10, 60)).toBe(601);
    expect(rowCount(0.2, 24)).toBe(5);
    const samples = sampleShot(plainSetup());
    expect(samples.count).toBe(8 * 24 + 1);
    expect(samples.tS[samples.count - 1]).toBeCloseTo(8, 9);
  });
});

describe('aim', () => {
  it('keeps the subject’s middle at its place in every frame, by three.js too', () => {
    fc.assert(
      fc.property(
        num(-0.4, 0.4),
        num(-0.3, 0.3),
        num(0.3, 4),
        num(-170, 170),
        num(16, 85),
        (u, v, heightM, sweepDeg, focalLengthMm) => {
          const scene = plainSetup(
            moved(
              { kind: 'arc', ...AROUND, heightM, radiusM: 5, startBearingDeg: 150, sweepDeg },
              { aim: { ...DEFAULT_AIM, mode: 'subject', place: { u, v } }, focalLengthMm },
            ),
          );
          const samples = sampleShot(scene);
          for (const i of [0, 90, samples.count - 1]) {
            const camera = threeCamera({
              xM: samples.xM[i],
              yM: samples.yM[i],
              zM: samples.zM[i],
              panDeg: samples.panDeg[i],
              tiltDeg: samples.tiltDeg[i],
              rollDeg: 0,
              focalLengthMm,
              frameWidthMm: samples.frameWidthMm,
              frameHeightMm: samples.frameHeightMm,
            });
            const seen = threeProject(camera, 0, 0, 0.85);
            expect(seen.u).toBeCloseTo(u, 9);
            expect((seen.w * samples.frameWidthMm) / samples.frameHeightMm).toBeCloseTo(v, 9);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
  it('unwraps pan: a full orbit turns by 360°, never by a jump', () => {
    const samples = sampleShot(
      plainSetup(moved({ kind: 'arc', ...AROUND, radiusM: 5, startBearingDeg: 150, sweepDeg: 360 })),
    );
    expect(samples.panDeg[samples.count - 1] - samples.panDeg[0]).toBeCloseTo(360, 6);
    for (let i = 1; i < samples.count; i += 1)
      expect(Math.abs(samples.panDeg[i] - samples.panDeg[i - 1])).toBeLessThan(5);
  });
  it('locked never turns and has the subject in place halfway', () => {
    const scene = plainSetup((shot) => ({ ...shot, aim: { ...DEFAULT_AIM, mode: 'locked', place: { u: 0.1, v: 0 } } }));
    const samples = sampleShot(scene);
    const subject = subjectInFrame(samples, scene);
    expect(new Set(samples.panDeg).size).toBe(1);
    const middle = (samples.count - 1) / 2;
    expect(subject.u[middle]).toBeCloseTo(0.1, 9);
    expect(subject.u[0]).toBeGreaterThan(0.2);
  });
});

const dolly = (from: number, to: number, more: Partial<Shot> = {}) =>
  moved({ kind: 'dollyZoom', ...HELD, ...AROUND, fromDistanceM: from, toDistanceM: to, bearingDeg: 200 }, more);

describe('dolly zoom', () => {
  it('holds the subject’s height at every sample, wherever the subject sits in the middle two fifths of the frame', () => {
    fc.assert(
      fc.property(num(3, 9), num(3, 9), num(0, 3), num(-0.2, 0.2), (from, to, heightM, u) => {
        const scene = {
          ...plainSetup(
            moved(
              { kind: 'dollyZoom', ...HELD, ...AROUND, heightM, fromDistanceM: from, toDistanceM: to, bearingDeg: 10 },
              { aim: { ...DEFAULT_AIM, mode: 'subject', place: { u, v: 0 } }, focalLengthMm: 35 },
            ),
          ),
          lens: widest,
        };
        const samples = sampleShot(scene);
        const { height } = subjectInFrame(samples, scene);
        for (let i = 0; i < samples.count; i += 12) expect(height[i] / height[0]).toBeCloseTo(1, 7);
      }),
      { numRuns: 60 },
    );
  });
  it('comes as near as any lens does where a subject at the side is small already: 9 m to 2 m, near the edge', () => {
    const place = { u: 0.4, v: 0 };
    const aim = { ...DEFAULT_AIM, mode: 'subject' as const, place };
    const at = (focalLengthMm: number, fromDistanceM: number, toDistanceM: number) => {
      const scene = {
        ...plainSetup(
          moved(
            { kind: 'dollyZoom', ...HELD, ...AROUND, heightM: 0, fromDistanceM, toDistanceM, bearingDeg: 10 },
            { aim, focalLengthMm },
          ),
        ),
        lens: widest,
      };
      const samples = sampleShot(scene);
      return { samples, height: subjectInFrame(samples, scene).height };
    };
    const { samples, height } = at(20, 9, 2);
    const end = samples.count - 1;
    const least = Math.min(...Array.from({ length: 300 }, (_, k) => at(8 + k / 4, 2, 3).height[0]));
    expect(height[end]).toBeGreaterThan(height[0] * 1.01);
    expect(height[end] / least).toBeCloseTo(1, 3);
  });
  it('needs f₀ d / d₀ when the camera is level with the subject’s middle', () => {
    const samples = sampleShot({
      ...plainSetup(
        moved(
          { kind: 'dollyZoom', ...HELD, ...AROUND, heightM: 0.85, fromDistanceM: 3, toDistanceM: 6, bearingDeg: 180 },
          { focalLengthMm: 30 },
        ),
      ),
      lens: widest,
    });
    expect(samples.focalLengthMm[samples.count - 1]).toBeCloseTo(60, 6);
  });
  it('goes on as enlargement above the lens, and stops at its shortest below', () => {
    const out = sampleShot(plainSetup(dolly(3, 9, { focalLengthMm: 35, lensId: 'lens-fern-2470' })));
    const end = out.count - 1;
    expect(out.crop[end]).toBeGreaterThan(1.4);
    expect(out.focalLengthMm[end] / out.crop[end]).toBeCloseTo(70, 6);
    const inwards = sampleShot(plainSetup(dolly(6, 2, { focalLengthMm: 35, lensId: 'lens-fern-2470' })));
    expect(inwards.focalLengthMm[inwards.count - 1]).toBe(24);
    expect(inwards.wantedFocalLengthMm[inwards.count - 1]).toBeLessThan(13);
  });
  it('holds the size of a subject that walks', () => {
    const walks = [
      drawnWalk('figure', [
        { tS: 0, xM: 0, yM: 0, zM: 0 },
        { tS: 8, xM: 2, yM: 3, zM: 0 },
      ]),
    ];
    const scene = { ...plainSetup(dolly(4, 5, { walks })), lens: widest };
    const { topV, baseV } = subjectInFrame(sampleShot(scene), scene);
    for (let i = 0; i < topV.length; i += 20) expect((topV[i] - baseV[i]) / (topV[0] - baseV[0])).toBeCloseTo(1, 6);
  });
});

describe('invariants', () => {
  const arc = (sweepDeg: number, startBearingDeg: number, radiusM: number, heightM: number) => ({
    kind: 'arc' as const,
    ...AROUND,
    heightM,
    radiusM,
    startBearingDeg,
    sweepDeg,
  });
  it('mirroring the site and the move mirrors the picture', () => {
    fc.assert(
      fc.property(num(-180, 180), num(-300, 300), num(2, 9), (bearing, sweep, radius) => {
        const here = plainSetup(
          moved(arc(sweep, bearing, radius, 1.4), {
            aim: { ...DEFAULT_AIM, mode: 'subject', place: { u: 0.2, v: 0.1 } },
          }),
        );
        const mirrored = plainSetup(
          moved(arc(-sweep, -bearing, radius, 1.4), {
            aim: { ...DEFAULT_AIM, mode: 'subject', place: { u: -0.2, v: 0.1 } },
          }),
        );
        const [a, b] = [here, mirrored].map((scene) => subjectInFrame(sampleShot(scene), scene));
        for (const i of [0, 50, 150]) {
          expect(a.u[i]).toBeCloseTo(-b.u[i], 9);
          expect(a.height[i]).toBeCloseTo(b.height[i], 9);
        }
      }),
      { numRuns: 50 },
    );
  });
  it('scaling site and path leaves the picture as it is', () => {
    fc.assert(
      fc.property(num(0.2, 6), num(-200, 200), (k, sweep) => {
        const figure = plainPieces()[0];
        const big = plainSetup(moved(arc(sweep, 20, 5 * k, 1.2 * k)), [
          { ...figure, heightM: figure.heightM * k, lengthM: figure.lengthM * k, depthM: figure.depthM * k },
        ]);
        const small = plainSetup(moved(arc(sweep, 20, 5, 1.2)), [figure]);
        const [a, b] = [big, small].map((scene) => subjectInFrame(sampleShot(scene), scene));
        for (const i of [0, 77, 192]) expect(a.height[i]).toBeCloseTo(b.height[i], 9);
      }),
      { numRuns: 50 },
    );
  });
  it('feathering never changes the end points', () => {
    const ends = [0, 1, 3].map((featherInS) => {
      const samples = sampleShot(
        plainSetup((shot) => ({ ...shot, timing: { ...shot.timing, featherInS, featherOutS: featherInS } })),
      );
      return [samples.xM[0], samples.xM[samples.count - 1]];
    });
    expect(ends[1]).toEqual(ends[0]);
    expect(ends[2]).toEqual(ends[0]);
  });
});

describe('look-at and roll, by three.js', () => {
  it('the camera’s axes are those of Object3D.lookAt, then rolled about its own axis', () => {
    fc.assert(
      fc.property(num(-170, 170), num(-3, 6), num(1, 20), num(-180, 180), (bearingDeg, heightM, distanceM, rollDeg) => {
        const samples = sampleShot(
          plainSetup(
            moved(
              { kind: 'roll', ...AROUND, heightM, distanceM, bearingDeg, fromDeg: rollDeg, toDeg: rollDeg },
              { aim: { ...DEFAULT_AIM, rateMaxDegps: 1000 } },
            ),
          ),
        );
        const camera = new PerspectiveCamera();
        camera.filmGauge = samples.frameWidthMm;
        camera.aspect = samples.frameWidthMm / samples.frameHeightMm;
        camera.setFocalLength(samples.focalLengthMm[0]);
        camera.position.set(samples.xM[0], samples.zM[0], -samples.yM[0]);
        camera.lookAt(0, 0.85, 0);
        camera.rotateZ((-rollDeg * Math.PI) / 180);
        camera.updateMatrixWorld();
        const ours = { u: 0, w: 0, depthM: 0 };
        const points = [
          [0.4, 0.3, 1.5],
          [-0.5, 0.2, 0.1],
          [0, 0, 0.85],
        ];
        for (const [x, y, z] of points) {
          project(samples.cameras, 0, x, y, z, ours);
          if (ours.depthM < 0.1) continue;
          const theirs = threeProject(camera, x, y, z);
          expect(ours.u).toBeCloseTo(theirs.u, 9);
          expect(ours.w).toBeCloseTo(theirs.w, 9);
        }
      }),
      { numRuns: 80 },
    );
  });
  it('a rolled frame keeps an off-centre subject at its place', () => {
    const { samples, subject } = filmed(usual('roll'), { aim: { ...DEFAULT_AIM, place: { u: 0.2, v: -0.15 } } });
    for (const row of [0, 90, samples.count - 1]) {
      expect(subject.u[row]).toBeCloseTo(0.2, 9);
      expect(subject.v[row]).toBeCloseTo(-0.15, 9);
    }
  });
});

describe('a dolly zoom’s three ways to hold a size', () => {
  const closing = { kind: 'dollyZoom' as const, ...AROUND, fromDistanceM: 6, toDistanceM: 3, bearingDeg: 180 };
  const held = (zoomBy: 'lens' | 'crop' | 'both', lensId = 'lens-fern-2470') =>
    filmed({ ...closing, zoomBy, pace: 'travel' }, { lensId, focalLengthMm: lensId === 'lens-moss-35' ? 35 : 60 });
  const even = (column: Float64Array) => Math.max(...column) / Math.min(...column) - 1;
  it('by the lens alone: no enlarging, and the size is lost where the lens ends', () => {
    const within = held('lens');
    expect(even(within.samples.crop)).toBe(0);
    expect(even(within.subject.height)).toBeLessThan(1e-9);
    expect(even(held('lens', 'lens-moss-35').subject.height)).toBeGreaterThan(0.5);
  });
  it('by enlarging alone: the lens stays at the widest that is needed, for a prime too', () => {
    const film = filmed(
      { ...closing, fromDistanceM: 3, toDistanceM: 6, zoomBy: 'crop', pace: 'travel' },
      { lensId: 'lens-moss-35', focalLengthMm: 35 },
    );
    expect(even(film.subject.height)).toBeLessThan(1e-9);
    expect(film.samples.crop[0]).toBeCloseTo(1, 9);
    expect(film.samples.crop[film.last]).toBeCloseTo(film.samples.focalLengthMm[film.last] / 35, 9);
  });
  it('runs the camera or the zoom at an even pace, not both', () => {
    const timing = {
      durationS: 6,
      holdStartS: 0,
      featherInS: 0,
      featherOutS: 0,
      holdEndS: 0,
      featherShape: 'minimumJerk' as const,
    };
    const pace = (which: 'travel' | 'zoom') => {
      const { samples } = filmed(
        { ...closing, heightM: 0.85, zoomBy: 'both', pace: which },
        { lensId: 'lens-fern-2470', focalLengthMm: 60, timing },
      );
      const travel = samples.yM.slice(2).map((y, i) => y - samples.yM[i + 1]);
      const zoom = samples.focalLengthMm.slice(2).map((mm, i) => Math.log(samples.focalLengthMm[i + 1] / mm));
      return { travel: even(travel), zoom: even(zoom) };
    };
    expect(pace('travel').travel).toBeLessThan(1e-9);
    expect(pace('travel').zoom).toBeGreaterThan(0.5);
    expect(pace('zoom').zoom).toBeLessThan(1e-6);
    expect(pace('zoom').travel).toBeGreaterThan(0.5);
  });
});

describe('slow motion', () => {
  it('records more frames of the same action and shows it for longer', () => {
    const [real, slow] = [filmed(usual('push')), filmed(usual('push'), { captureRateHz: 120 })];
    expect(slow.samples.count).toBe(5 * (real.samples.count - 1) + 1);
    expect(slow.samples.screenS[slow.last]).toBeCloseTo(5 * real.samples.screenS[real.last], 9);
    expect(slow.samples.tS[slow.last]).toBeCloseTo(real.samples.tS[real.last], 9);
  });
  it('doubling the capture rate and keeping playback halves the speed on screen', () => {
    const speed = (captureRateHz: number) =>
      Math.max(...filmed(usual('enterLeave'), { captureRateHz }, true).subject.speed);
    expect(speed(48) / speed(24)).toBeCloseTo(0.5, 2);
  });
});
