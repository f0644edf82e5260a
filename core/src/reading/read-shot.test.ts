import { describe, expect, it } from 'vitest';
import { type Finding, severity } from '../findings';
import { drawnWalk, DEFAULT_AIM, LIMITS, limitsOf, newPiece, type Shoot, type Shot, smoothSpeed } from '../model';
import { curesFor } from '../search';
import { sampleShot } from '../motion';
import { everywhere, siteMotion, subjectInFrame } from '../image';
import { pointsOf } from '../site';
import { AROUND, moved, plainPieces, plainSetup, plainShoot, HELD } from '../testing/shoots';
import { readShot } from './read-shot';

const read = (shoot: Shoot) => readShot(shoot, shoot.shots[0]);
const find = (shoot: Shoot, id: string): Finding | undefined =>
  read(shoot).findings.find((finding) => finding.id === id);
const timing = (more: Partial<Shot['timing']>) => ({
  durationS: 8,
  holdStartS: 0.5,
  featherInS: 1.5,
  featherOutS: 1.5,
  holdEndS: 0.5,
  featherShape: 'minimumJerk' as const,
  ...more,
});
const arc = (sweepDeg: number, durationS: number, more: Partial<Shot> = {}) =>
  plainShoot(
    moved(
      { kind: 'arc', ...AROUND, radiusM: 4, startBearingDeg: 180 - sweepDeg / 2, sweepDeg },
      { timing: timing({ durationS }), ...more },
    ),
  );

/** Applies the first cure of a finding and gives the finding's severity before and after. */
function cured(shoot: Shoot, id: string): { before: number; after: number; sentences: string[] } {
  const finding = find(shoot, id);
  if (!finding) throw new Error(`no finding ${id}`);
  const cures = curesFor(shoot, shoot.shots[0], finding);
  if (cures.length === 0) return { before: severity(finding), after: severity(finding), sentences: [] };
  const after = find({ ...shoot, shots: [cures[0].shot] }, id);
  return {
    before: severity(finding),
    after: after ? severity(after) : 0,
    sentences: cures.map((cure) => cure.sentence),
  };
}

describe('the crossing-time limit', () => {
  // Crossing-time rule in camera handbooks (from memory): about 7 s at 24 frames a second and a 180° shutter.
  it('is 14.3% of the width a second at 24 and scales with the frame rate', () => {
    expect(smoothSpeed(24, limitsOf({}))).toBeCloseTo(0.143, 3);
    expect(smoothSpeed(48, limitsOf({}))).toBeCloseTo(2 * smoothSpeed(24, limitsOf({})), 12);
  });
});

describe('a calm shot', () => {
  it('has nothing to mend: an arc of 60° in 9 s', () => {
    expect(read(arc(60, 9)).findings.filter((finding) => severity(finding) > 0)).toEqual([]);
  });
  it('locked off on a still site has no finding about motion', () => {
    const shoot = plainShoot(
      moved({ kind: 'still', ...AROUND, distanceM: 5, bearingDeg: 180 }, { rigId: 'rig-tripod' }),
    );
    const { findings, picture } = read(shoot);
    expect(findings.filter((finding) => severity(finding) > 0)).toEqual([]);
    expect(Math.max(...picture.screen.acceleration)).toBeLessThan(1e-9);
  });
});

describe('findings, provoked and cured by what they offer', () => {
  const cases: [string, string, Shoot][] = [
    [
      'far things too fast for the frames',
      'speed.far',
      arc(300, 5, {
        rigId: 'rig-drone',
        move: { kind: 'arc', ...AROUND, heightM: 2, radiusM: 5, startBearingDeg: 0, sweepDeg: 300 },
      }),
    ],
    [
      'a hard start',
      'start',
      plainShoot(
        moved(
          { kind: 'push', ...AROUND, fromDistanceM: 5, toDistanceM: 3, bearingDeg: 180 },
          { timing: timing({ durationS: 5, featherInS: 0 }) },
        ),
      ),
    ],
    [
      'a hard stop',
      'stop',
      plainShoot(
        moved(
          { kind: 'push', ...AROUND, fromDistanceM: 5, toDistanceM: 3, bearingDeg: 180 },
          { timing: timing({ durationS: 5, featherOutS: 0 }) },
        ),
      ),
    ],
    [
      'nothing that shows depth',
      'parallax',
      plainShoot(
        moved({ kind: 'slide', ...AROUND, heightM: 1.7, distanceM: 12, bearingDeg: 180, travelM: 0.5, skewDeg: 0 }),
      ),
    ],
    [
      'the head out of the frame',
      'cutoff',
      plainShoot(
        moved(
          { kind: 'slide', ...AROUND, distanceM: 2, bearingDeg: 180, travelM: 1, skewDeg: 0 },
          { focalLengthMm: 35 },
        ),
      ),
    ],
    [
      'the subject out of the picture',
      'cutoff',
      plainShoot(
        moved(
          { kind: 'slide', ...AROUND, distanceM: 4, bearingDeg: 180, travelM: 6, skewDeg: 0 },
          { aim: { ...DEFAULT_AIM, mode: 'locked', place: { u: 0, v: 0 } } },
        ),
      ),
    ],
    [
      'a rush towards the subject',
      'size',
      plainShoot(
        moved(
          { kind: 'push', ...AROUND, fromDistanceM: 9, toDistanceM: 3.5, bearingDeg: 180 },
          {
            timing: timing({ durationS: 2.5, featherInS: 0.5, featherOutS: 0.5, holdStartS: 0, holdEndS: 0 }),
            rigId: 'rig-drone',
          },
        ),
      ),
    ],
    ['a shutter too short for the motion', 'blur.shutter', arc(80, 6, { shutterDeg: 20 })],
    [
      'a dolly zoom past the lens’s wide end',
      'zoom.range',
      plainShoot(
        moved(
          { kind: 'dollyZoom', ...HELD, ...AROUND, fromDistanceM: 6, toDistanceM: 3, bearingDeg: 180 },
          { focalLengthMm: 40, lensId: 'lens-fern-2470' },
        ),
      ),
    ],
    [
      'a zoom too quick',
      'zoom.rate',
      plainShoot(
        moved(
          { kind: 'dollyZoom', ...HELD, ...AROUND, fromDistanceM: 4, toDistanceM: 8, bearingDeg: 180 },
          { timing: timing({ durationS: 3, featherInS: 0.7, featherOutS: 0.7 }) },
        ),
      ),
    ],
    [
      'a background that hardly grows',
      'zoom.background',
      plainShoot(moved({ kind: 'dollyZoom', ...HELD, ...AROUND, fromDistanceM: 4, toDistanceM: 4.6, bearingDeg: 180 })),
    ],
    [
      'a path longer than the rail',
      'rig.travel',
      plainShoot(
        moved(
          { kind: 'slide', ...AROUND, distanceM: 5, bearingDeg: 180, travelM: 2, skewDeg: 0 },
          { rigId: 'rig-slider-120' },
        ),
      ),
    ],
    ['a curve on a rail', 'rig.reach', arc(20, 8, { rigId: 'rig-slider-240' })],
    [
      'a camera too fast for its rig',
      'rig.speed',
      plainShoot(
        moved(
          { kind: 'slide', ...AROUND, distanceM: 8, bearingDeg: 180, travelM: 10, skewDeg: 0 },
          { timing: timing({ durationS: 5 }) },
        ),
      ),
    ],
    [
      'a lens above the rig’s reach',
      'rig.height',
      plainShoot(
        moved({ kind: 'slide', ...AROUND, heightM: 2.6, distanceM: 5, bearingDeg: 180, travelM: 2, skewDeg: 0 }),
      ),
    ],
    ['a focal length the lens does not have', 'rig.lens', plainShoot((shot) => ({ ...shot, focalLengthMm: 90 }))],
    [
      'a subject nearer than the lens focuses',
      'rig.focus',
      plainShoot(
        moved(
          { kind: 'slide', ...AROUND, heightM: 0.85, distanceM: 0.9, bearingDeg: 180, travelM: 0.2, skewDeg: 0 },
          { lensId: 'lens-fern-70200', focalLengthMm: 70 },
        ),
      ),
    ],
  ];
  it.each(cases)('%s', (_, id, shoot) => {
    const { before, after, sentences } = cured(shoot, id);
    expect(before).toBeGreaterThan(0);
    expect(sentences.length).toBeGreaterThan(0);
    expect(after).toBeLessThan(before);
  });
  it('a cure says what to do, the number before and after, and what it costs', () => {
    const [, , shoot] = cases[3];
    for (const sentence of cured(shoot, 'parallax').sentences)
      expect(sentence).toMatch(
        /^(Lower the camera to|Travel|Stand|Put) [^:]*: (removes|softens) [^;]*parallax from [\d.]+ %\/s to [\d.]+ %\/s\)(; [^;]+)*\.$/,
      );
    expect(cured(shoot, 'parallax').sentences.join()).toMatch(/the subject becomes \d+% larger|more travel/);
  });
  it('a cure never makes something else worse', () => {
    for (const [, id, shoot] of cases) {
      const before = new Map(read(shoot).findings.map((finding) => [finding.id, severity(finding)]));
      const finding = find(shoot, id);
      if (!finding) continue;
      for (const cure of curesFor(shoot, shoot.shots[0], finding))
        for (const after of read({ ...shoot, shots: [cure.shot] }).findings)
          expect(severity(after)).toBeLessThanOrEqual(before.get(after.id) ?? 0);
    }
  });
});

describe('numbers of the reading', () => {
  it('blur is speed times exposure: a still camera and a subject that crosses at 20% a second', () => {
    const walks = [
      drawnWalk('figure', [
        { tS: -5, xM: -5, yM: 0, zM: 0 },
        { tS: 15, xM: 5, yM: 0, zM: 0 },
      ]),
    ];
    const shoot = plainShoot(
      moved(
        { kind: 'push', ...AROUND, heightM: 0.85, pivotEastM: 2, fromDistanceM: 5, toDistanceM: 5, bearingDeg: 180 },
        { walks, aim: { ...DEFAULT_AIM, mode: 'locked', place: { u: 0, v: 0 } }, rigId: 'rig-tripod' },
      ),
    );
    const frameWidthM = (5 * 36) / 35;
    const speed = 0.5 / frameWidthM;
    expect(find(shoot, 'speed.subject')?.value).toBeCloseTo(speed, 3);
    expect(find(shoot, 'blur.subject')?.value).toBeCloseTo(speed / 48, 5);
  });
  it('gives a wider limit to near and far while the subject is held', () => {
    expect(find(arc(60, 8), 'speed.far')?.limit).toBeCloseTo(
      smoothSpeed(24, limitsOf({})) * LIMITS.heldSubjectFactor.value,
      12,
    );
    expect(
      find(arc(60, 8, { aim: { ...DEFAULT_AIM, mode: 'locked', place: { u: 0, v: 0 } } }), 'speed.far')?.limit,
    ).toBeCloseTo(smoothSpeed(24, limitsOf({})), 12);
  });
  it('a far background sweeps the frame as fast as the camera turns', () => {
    const scene = plainSetup(
      moved(
        { kind: 'arc', ...AROUND, heightM: 0.85, radiusM: 4, startBearingDeg: 180, sweepDeg: 90 },
        { timing: timing({ durationS: 10, featherInS: 0, featherOutS: 0, holdStartS: 0, holdEndS: 0 }) },
      ),
    );
    const samples = sampleShot(scene);
    const ring = (turn: (angle: number) => number) =>
      Float64Array.from({ length: 120 }, (_, i) => 50_000 * turn((i * Math.PI) / 60));
    const { depthM, rightwards, upwards } = subjectInFrame(samples, scene);
    const { far } = siteMotion(
      samples,
      everywhere(pointsOf(ring(Math.sin), ring(Math.cos), new Float64Array(120))),
      depthM,
      rightwards,
      upwards,
    );
    // Just right of the centre, du/dt = f/w · dψ/dt · (1 + tan²): at least f/w · 9°/s, at most (1 + (w/2f)²) of it.
    const least = (35 / 36) * ((9 * Math.PI) / 180);
    const speeds = [...far.speed].filter((_, i) => far.points[i] > 0);
    expect(Math.min(...speeds.slice(2))).toBeGreaterThan(least * 0.999);
    expect(Math.max(...speeds.slice(2))).toBeLessThan(least * (1 + (36 / 70) ** 2));
  });
});

describe('awkward sites', () => {
  const everything = (shoot: Shoot) => JSON.stringify(read(shoot).findings);
  const sentences = (shoot: Shoot) =>
    read(shoot)
      .findings.map((finding) => finding.sentence)
      .join(' ');
  it.each<[string, Shoot]>([
    ['nothing on it', plainShoot(undefined, [])],
    ['no subject', plainShoot((shot) => ({ ...shot, subjectId: null }))],
    [
      'the subject behind the camera',
      plainShoot((shot) => ({
        ...shot,
        move: { ...shot.move, pivotNorthM: 40 },
        aim: { ...DEFAULT_AIM, mode: 'locked', place: { u: 0, v: 0 } },
        walks: [
          drawnWalk('figure', [
            { tS: 0, xM: 0, yM: 0, zM: 0 },
            { tS: 1, xM: 0, yM: -90, zM: 0 },
          ]),
        ],
      })),
    ],
    [
      'the camera inside a piece',
      plainShoot(undefined, [...plainPieces(), { ...newPiece('box', 'in', 'In', 0, -5, 0), lengthM: 4, depthM: 4 }]),
    ],
    [
      'the camera on the subject',
      plainShoot(
        moved({ kind: 'push', ...AROUND, heightM: 0.85, fromDistanceM: 0.1, toDistanceM: 0.1, bearingDeg: 0 }),
      ),
    ],
    [
      'the camera straight above',
      plainShoot(moved({ kind: 'push', ...AROUND, heightM: 60, fromDistanceM: 0.1, toDistanceM: 0.1, bearingDeg: 0 })),
    ],
    [
      'everything behind the camera',
      plainShoot(
        moved(
          { kind: 'still', ...AROUND, distanceM: 30, bearingDeg: 180 },
          { aim: { ...DEFAULT_AIM, mode: 'locked' }, subjectId: null },
        ),
        [newPiece('tree', 'tree', 'Tree', 0, -60, 0)],
      ),
    ],
    [
      'no time to move',
      plainShoot((shot) => ({
        ...shot,
        timing: timing({ durationS: 1, holdStartS: 0.5, holdEndS: 0.5, featherInS: 0, featherOutS: 0 }),
      })),
    ],
    ['a slide of no length', plainShoot((shot) => ({ ...shot, move: { ...shot.move, travelM: 0 } as Shot['move'] }))],
  ])('%s: sentences, no NaN, no crash', (_, shoot) => {
    expect(sentences(shoot)).not.toMatch(/NaN|undefined|Infinity/);
    expect(everything(shoot)).not.toMatch(/"(value|limit|tS)":null/);
  });
  it(
    'says so when everything lies behind the camera, when the site is empty, and when the camera is ' +
      'inside a piece',
    () => {
      const away = plainShoot(
        moved(
          { kind: 'still', ...AROUND, distanceM: 30, bearingDeg: 180 },
          { aim: { ...DEFAULT_AIM, mode: 'locked' }, subjectId: null },
        ),
        [newPiece('tree', 'tree', 'Tree', 0, -60, 0)],
      );
      expect(sentences(away)).toMatch(
        /Nothing of the site is ever in the picture: everything lies behind the camera or outside the frame\./,
      );
      expect(sentences(plainShoot(undefined, []))).toMatch(
        /The site is empty: there is nothing but ground and sky to see\./,
      );
      expect(
        sentences(
          plainShoot(undefined, [
            ...plainPieces(),
            { ...newPiece('box', 'in', 'Shed', 0, -5, 0), lengthM: 4, depthM: 4 },
          ]),
        ),
      ).toMatch(/The camera goes through Shed\./);
    },
  );
  it('says so when the subject is never in the picture', () => {
    const shoot = plainShoot((shot) => ({
      ...shot,
      walks: [
        drawnWalk('figure', [
          { tS: -9, xM: 0, yM: 0, zM: 0 },
          { tS: -8, xM: 0, yM: -90, zM: 0 },
        ]),
      ],
      move: { ...shot.move, pivotNorthM: 60 },
      aim: { ...DEFAULT_AIM, mode: 'locked', place: { u: 0.5, v: 0.5 } },
    }));
    expect(sentences(shoot)).toMatch(/Ansa is (never in|out of) the picture/);
  });
});
