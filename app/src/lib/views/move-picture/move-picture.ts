import { DEFAULT_KIT, drawnWalk, type Move, type MoveKind, newPiece, newShoot } from '@gentle-arc/core/model';
import { sceneOf } from '@gentle-arc/core/scene';
import { motionOf, recipeOf, RECIPES, type Samples, sampleShot } from '@gentle-arc/core/motion';

type Dot = [number, number];

/**
 * A move drawn small, seen from above at a slant: what really happens when it is chosen. Pixels of a 96 by 64 field.
 */
export interface MoveDrawing {
  /** The camera's way, where it starts, and the arrow at its end; no points when it stays. */
  way: Dot[];
  start: Dot;
  tip: string;
  /** The way's shadow on the ground and the lines down to it, when heights differ. */
  shadow: Dot[];
  drops: [Dot, Dot][];
  /** What it sees at the start and at the end, when looking is what changes. */
  views: [Dot, Dot, Dot][];
  subject: { foot: Dot; head: Dot };
  /** The subject's own way. */
  walk: Dot[];
  /** The frame's lean at the start and the end, degrees. */
  leans: [number, number] | null;
  /** Something in the way. */
  cover: Dot[];
  /** Where the focus goes from and to. */
  focus: Dot[];
}

const WIDTH = 96;
const HEIGHT = 64;
const EDGE = 9;
const WALKED = new Set<MoveKind>([
  'follow',
  'lead',
  'alongside',
  'holdDistance',
  'overtake',
  'enterLeave',
  'standingDollyZoom',
]);
const LOOKING = new Set<MoveKind>([
  'pan',
  'whipPan',
  'tilt',
  'zoom',
  'dollyZoom',
  'standingDollyZoom',
  'still',
  'groundStart',
  'skyEnd',
  'overheadStill',
  'overheadSlide',
  'overheadSpin',
  'rackFocus',
  'approachTiltDown',
  'tiltToHorizon',
  'enterLeave',
  'driftingOrbit',
  'rise',
  'drop',
  'backAwayReveal',
]);
const COVERED = new Set<MoveKind>(['slideOutReveal', 'riseOverReveal']);

const drawings = new Map<MoveKind, MoveDrawing>();

export function drawingOf(kind: MoveKind): MoveDrawing {
  const known = drawings.get(kind);
  if (known) return known;
  const made = draw(kind);
  drawings.set(kind, made);
  return made;
}

function film(kind: MoveKind): Samples {
  const empty = newShoot('drawing', 'Drawing', 'shot');
  const walks = WALKED.has(kind)
    ? [
        drawnWalk('who', [
          { tS: -2, xM: -2.4, yM: 0, zM: 0 },
          { tS: 4, xM: 2.4, yM: 0, zM: 0 },
        ]),
      ]
    : [];
  const lens =
    DEFAULT_KIT.lenses.find((row) => row.focalLengthMinMm <= 24 && row.focalLengthMaxMm >= 70) ?? DEFAULT_KIT.lenses[0];
  const stood: Move = RECIPES[kind].startingFrom(
    { distanceM: 3.2, bearingDeg: 197, heightM: 1.2 },
    { pivotEastM: 0, pivotNorthM: 0 },
  );
  // Small things are drawn larger than life.
  const move =
    'travelM' in stood || kind === 'crane' || kind === 'rise' || kind === 'drop'
      ? recipeOf(stood).scaleTravel(stood, 1.9)
      : stood;
  const shot = {
    ...empty.shots[0],
    subjectId: 'who',
    walks,
    lensId: lens.id,
    gaitId: DEFAULT_KIT.gaits[0].id,
    captureRateHz: 24,
    frameRateHz: 24,
    timing: {
      durationS: 2,
      holdStartS: 0,
      featherInS: 0,
      featherOutS: 0,
      holdEndS: 0,
      featherShape: 'minimumJerk' as const,
    },
    move,
  };
  const shoot = {
    ...empty,
    site: { pieces: [newPiece('figure', 'who', 'Who', 0, 0, 0)], place: null, underlays: [] },
    shots: [shot],
  };
  const scene = sceneOf(shoot, shot);
  return sampleShot(scene, motionOf(scene));
}

/** Seen from the south-east, from above: x to the right, north up and a little to the right, height up. */
const slant = (x: number, y: number, z: number): Dot => [x + 0.42 * y, -0.46 * y - 0.8 * z];

function draw(kind: MoveKind): MoveDrawing {
  const samples = film(kind);
  const { count, xM, yM, zM } = samples;
  const last = count - 1;
  const rows = Array.from({ length: count }, (_, i) => i);
  const at = (i: number) => slant(xM[i], yM[i], zM[i]);
  const down = (i: number) => slant(xM[i], yM[i], 0);
  const lengthM = rows
    .slice(1)
    .reduce((sum, i) => sum + Math.hypot(xM[i] - xM[i - 1], yM[i] - yM[i - 1], zM[i] - zM[i - 1]), 0);
  const moves = lengthM > 0.05;
  const lifted = Math.max(...zM) - Math.min(...zM) > 0.3;
  const subjectAt = (i: number) => ({ x: samples.subjectXM[i], y: samples.subjectYM[i] });
  const { x, y } = subjectAt(last);
  const looking = LOOKING.has(kind);
  const views = (looking ? [0, last] : []).map((i) => view(samples, i));
  const walk = WALKED.has(kind) ? rows.map((i) => slant(subjectAt(i).x, subjectAt(i).y, 0)) : [];
  const camera = { x: xM[0], y: yM[0] };
  const cover: Dot[] = COVERED.has(kind)
    ? wall(camera.x * 0.55, camera.y * 0.55, kind === 'riseOverReveal' ? 1.5 : 2)
    : kind === 'backAwayReveal'
      ? [slant(-3, 0.4, 0), slant(0, 0, 0.9), slant(3, -0.4, 0)]
      : [];
  const focus: Dot[] = RECIPES[kind].focus
    ? [slant(camera.x * 0.55 - 0.4, camera.y * 0.55, 0.9), slant(x, y, 1.1)]
    : [];
  const raw = [
    ...(moves ? rows.map(at) : [at(0)]),
    ...(lifted ? rows.map(down) : []),
    ...views.flat(),
    ...walk,
    slant(x, y, 0),
    slant(x, y, 1.9),
    ...cover,
  ];
  const [x0, x1] = [Math.min(...raw.map((p) => p[0])), Math.max(...raw.map((p) => p[0]))];
  const [y0, y1] = [Math.min(...raw.map((p) => p[1])), Math.max(...raw.map((p) => p[1]))];
  const scale = Math.min((WIDTH - 2 * EDGE) / Math.max(1, x1 - x0), (HEIGHT - 2 * EDGE) / Math.max(1, y1 - y0));
  const fit = ([px, py]: Dot): Dot => [
    WIDTH / 2 + (px - (x0 + x1) / 2) * scale,
    HEIGHT / 2 + (py - (y0 + y1) / 2) * scale,
  ];
  const way = moves ? rows.map((i) => fit(at(i))) : [];
  const rolled = Math.max(...samples.rollDeg.map(Math.abs)) > 1 || kind === 'overheadSpin';
  const spin = kind === 'overheadSpin' ? samples.panDeg[last] - samples.panDeg[0] : 0;
  return {
    way,
    start: fit(at(0)),
    tip: moves ? arrow(way) : '',
    shadow: moves && lifted ? rows.map((i) => fit(down(i))) : [],
    drops: lifted || kind.startsWith('overhead') ? [0, last].map((i): [Dot, Dot] => [fit(at(i)), fit(down(i))]) : [],
    views: views.map(([a, b, c]) => [fit(a), fit(b), fit(c)]),
    subject: { foot: fit(slant(x, y, 0)), head: fit(slant(x, y, 1.7)) },
    walk: walk.map(fit),
    leans: rolled ? [samples.rollDeg[0], samples.rollDeg[last] + spin] : null,
    cover: cover.map(fit),
    focus: focus.map(fit),
  };
}

/** The picture's two edges out to a little past the middle of things. */
function view(samples: Samples, i: number): [Dot, Dot, Dot] {
  const halfWidth = samples.frameWidthMm / (2 * samples.focalLengthMm[i]);
  const [pan, tilt] = [(samples.panDeg[i] * Math.PI) / 180, (samples.tiltDeg[i] * Math.PI) / 180];
  const [x, y, z] = [samples.xM[i], samples.yM[i], samples.zM[i]];
  const far = Math.min(4.2, tilt < -0.3 ? z / Math.sin(-tilt) : 4.2);
  const edge = (side: number): Dot => {
    const aside = side * far * halfWidth * 0.8;
    return slant(
      x + far * Math.cos(tilt) * Math.sin(pan) + aside * Math.cos(pan),
      y + far * Math.cos(tilt) * Math.cos(pan) - aside * Math.sin(pan),
      z + far * Math.sin(tilt),
    );
  };
  return [slant(x, y, z), edge(-1), edge(1)];
}

function wall(x: number, y: number, high: number): Dot[] {
  return [slant(x - 0.9, y, 0), slant(x + 0.9, y, 0), slant(x + 0.9, y, high * 0.75), slant(x - 0.9, y, high * 0.75)];
}

function arrow(way: Dot[]): string {
  const [ex, ey] = way[way.length - 1];
  let k = way.length - 2;
  while (k > 0 && Math.hypot(ex - way[k][0], ey - way[k][1]) < 5) k -= 1;
  const angle = Math.atan2(ey - way[k][1], ex - way[k][0]);
  const wing = (turn: number) => `${ex - 7 * Math.cos(angle + turn)} ${ey - 7 * Math.sin(angle + turn)}`;
  return `M${wing(0.5)}L${ex} ${ey}L${wing(-0.5)}`;
}
