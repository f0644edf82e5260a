import { describe, expect, it } from 'vitest';
import { drawnWalk, DEFAULT_AIM, type Move, newPiece, type Piece, type Shot } from '../../model';
import { sceneOf } from '../../scene';
import { readShot } from '../../reading';
import { filmed } from '../../testing/filmed';
import { followed } from '../../testing/followed';
import { AROUND, plainPieces } from '../../testing/shoots';
import { focusBetween, modes, placeAcross, placeUp, stopDown, tighterHead } from './aim-and-focus';
import { aside, foreground } from './foreground';
import { softerBoth } from './time';
import { atHeight, centred, lower as lowerTo, otherWay } from './way';
import { searchCures } from '../cures';

const slide: Move = { kind: 'slide', ...AROUND, heightM: 1.2, distanceM: 5, bearingDeg: 180, travelM: 2, skewDeg: 0 };
const post = newPiece('post', 'post', 'Post', 0.3, -3, 0);
const figure = newPiece('figure', 'figure', 'Ansa', 0, 0, 0);
function scene(more: Partial<Shot> = {}, pieces: Piece[] = [figure, post]) {
  const { shoot } = filmed(slide, more, false, pieces);
  return sceneOf(shoot, shoot.shots[0]);
}
const moved = (change: ReturnType<typeof foreground>, id = 'post') =>
  change.map(({ pieces }) => pieces?.find((piece) => piece.id === id));

describe('the foreground', () => {
  it('is put nearer to the camera or farther from it, along the line of sight, step by step', () => {
    // The camera is 5 m to the south halfway.
    const away = (piece?: Piece) => Math.hypot(piece?.xM ?? 0, (piece?.yM ?? 0) + 5);
    const nearer = moved(foreground(scene(), 'nearer', 'metric')).map(away);
    expect(nearer.length).toBeGreaterThan(1);
    expect(nearer.every((m, i) => m < (nearer[i - 1] ?? 2.03) + 1e-9 && m >= 0.39)).toBe(true);
    const farther = moved(foreground(scene(), 'farther', 'metric')).map(away);
    expect(farther.length).toBeGreaterThan(1);
    expect(farther.every((m, i) => m > (farther[i - 1] ?? 2) && m < 5)).toBe(true);
    for (const piece of moved(foreground(scene(), 'farther', 'metric')))
      expect((piece?.xM ?? 0) / ((piece?.yM ?? 0) + 5)).toBeCloseTo(0.3 / 2, 1);
  });
  it('is put aside to the side where it stands', () => {
    const east = moved(aside(scene(), 'metric'));
    expect(east.map((piece) => piece?.xM)).toEqual([0.8, 1.3, 1.9, 2.7]);
    expect(aside(scene(), 'metric')[0].instruction).toBe('Put Post 0.5 m to the right');
  });
  it('is only what two people lift: no wall, no walker, nothing behind the subject', () => {
    const wall = { ...newPiece('box', 'wall', 'Wall', 0, -2, 0), lengthM: 6 };
    const behind = newPiece('post', 'behind', 'Behind', 0, 3, 0);
    expect(foreground(scene({}, [figure, wall, behind]), 'nearer', 'metric')).toEqual([]);
    const walks = [drawnWalk('post', [{ tS: 0, xM: 0.3, yM: -3, zM: 0 }])];
    expect(foreground(scene({ walks }), 'nearer', 'metric')).toEqual([]);
  });
});

describe('levers of the aim', () => {
  it('move the subject in the frame to one side only, ever farther', () => {
    const up = placeUp(scene(), 1).map(({ shot }) => shot.aim.place.v);
    expect([...up].sort((a, b) => a - b)).toEqual(up);
    expect(up[0]).toBeGreaterThan(0);
    expect(placeAcross(scene(), -1).length).toBeGreaterThan(1);
    expect(placeAcross(scene(), -1).every(({ shot }) => shot.aim.place.u < 0)).toBe(true);
  });
  it('offer other modes than the one there is, and a tighter head only where it lags', () => {
    expect(modes(scene()).map(({ shot }) => shot.aim.mode)).not.toContain('subject');
    expect(tighterHead(scene())).toEqual([]);
    const lagging = tighterHead(scene({ aim: { ...DEFAULT_AIM, mode: 'panFollow', smoothingS: 1, deadBandDeg: 4 } }));
    expect(lagging.map(({ shot }) => shot.aim.smoothingS)).toEqual([0.5, 0.25, 0]);
  });
  it('stop down in whole stops, and set the focus halfway in dioptres', () => {
    expect(stopDown(scene({ fNumber: 5.6 })).map(({ shot }) => shot.fNumber)).toEqual([8, 11, 16]);
    expect(focusBetween(scene(), 2, 6, 'metric')).toEqual([]);
    const [between] = focusBetween(scene({ focus: { mode: 'fixed', distanceM: 9 } }), 2, 6, 'metric');
    expect(between.shot.focus).toEqual({ mode: 'fixed', distanceM: 3 });
  });
});

describe('levers of the move', () => {
  it('go the other way, put the centre on the subject, feather both ends within the time there is', () => {
    expect(otherWay(scene())[0].shot.move).toMatchObject({ travelM: -2 });
    expect(centred(scene())[0].shot.move).toMatchObject({ pivotEastM: 0, pivotNorthM: 0 });
    expect(softerBoth(scene()).length).toBeGreaterThan(0);
    for (const { shot } of softerBoth(scene())) {
      const { durationS, holdStartS, holdEndS, featherInS, featherOutS } = shot.timing;
      expect(holdStartS + featherInS + featherOutS + holdEndS).toBeLessThanOrEqual(durationS + 1e-9);
    }
  });
});

describe('the search', () => {
  it('counts on to its end, tells each finding once, and does nothing more when nobody asks for the next step', () => {
    const { shoot } = filmed(slide, {
      timing: {
        durationS: 4,
        holdStartS: 0.5,
        featherInS: 0,
        featherOutS: 0,
        holdEndS: 0.5,
        featherShape: 'minimumJerk',
      },
      rigId: 'rig-gimbal',
      gaitId: 'gait-stand',
    });
    const steps = [...searchCures(shoot, shoot.shots[0])];
    expect(steps.length).toBeGreaterThan(5);
    for (let i = 1; i < steps.length; i += 1) {
      expect(steps[i].done).toBeGreaterThanOrEqual(steps[i - 1].done);
      expect(steps[i].of).toBe(steps[0].of);
    }
    const found = steps.flatMap((step) => (step.found ? [step.found.findingId] : []));
    expect(new Set(found).size).toBe(found.length);
    expect(steps[steps.length - 1]).toMatchObject({ done: steps[0].of });
    const search = searchCures(shoot, shoot.shots[0]);
    search.next();
    expect(search.return().done).toBe(true);
    expect(search.next().done).toBe(true);
  });
});

describe('heights are said above one ground', () => {
  // She stands on the ground, the camera on a terrace 1.2 m high: 2 m above the ground there are 3.2 m above her feet.
  const terrace: Piece = {
    ...newPiece('slab', 'terrace', 'Terrace', 0, -5, 0),
    lengthM: 8,
    depthM: 4,
    heightM: 1.2,
    headingDeg: 90,
  };
  const slideUp: Move = {
    kind: 'slide',
    ...AROUND,
    heightM: 3.9,
    distanceM: 5,
    bearingDeg: 180,
    travelM: 1,
    skewDeg: 0,
  };
  it('that under the camera, and her feet beside it where they differ; what is typed brings the lens there', () => {
    const { shoot } = filmed(slideUp, { rigId: 'rig-gimbal', gaitId: 'gait-knees' }, false, [
      ...plainPieces(),
      terrace,
    ]);
    const [shot] = shoot.shots;
    const high = readShot(shoot, shot).findings.find(({ id }) => id === 'rig.height');
    expect(high?.sentence).toMatch(/^The lens is at most 2\.7 m above the ground; .* reaches 2\.3 m\.$/);
    const [rung] = atHeight(sceneOf(shoot, shot), 2.3 - 2.7, 'metric');
    expect(rung.instruction).toBe('Lower the camera to 2.3 m above the ground, 3.5 m above Ansa’s feet');
    const typed = followed(shoot, shot, rung.instruction);
    if (!typed) throw new Error('nothing is typed');
    expect(readShot(shoot, typed).findings.find(({ id }) => id === 'rig.height')?.grade).not.toBe('cannot');
  });
  it('on level ground is one height', () => {
    const { shoot } = filmed({ ...slideUp, heightM: 2.6 } as Move, { rigId: 'rig-gimbal', gaitId: 'gait-knees' });
    const lower = [
      ...atHeight(sceneOf(shoot, shoot.shots[0]), -0.3, 'metric'),
      ...lowerTo(sceneOf(shoot, shoot.shots[0]), 'metric'),
    ];
    expect(lower.length).toBeGreaterThan(0);
    for (const { instruction } of lower) expect(instruction).toMatch(/^Lower the camera to [\d.]+ m$/);
  });
});
