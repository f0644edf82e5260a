import { BODIES, hipsOf, type Body, type Figure, type Pose, type Size } from '../model';
import type { Point } from './mesh-builder';

/** The joints of a body in its own frame (across, along, up), metres from its base. Pairs are left, right. */
export interface Skeleton {
  hips: [Point, Point];
  knees: [Point, Point];
  ankles: [Point, Point];
  shoulders: [Point, Point];
  elbows: [Point, Point];
  wrists: [Point, Point];
  pelvis: Point;
  neck: Point;
  head: Point;
  /** Forward and up of the head, unit vectors: which way it looks. */
  forward: Point;
  up: Point;
}

/** How somebody goes: how far through a double step (0 to 1), and how far apart the feet come, as a share of stature. */
export interface Step {
  through: number;
  stride: number;
  running: boolean;
}

const STILL: Step = { through: 0, stride: 0, running: false };

/** A body's breadth and depth at the usual proportions: what 0.5 m by 0.35 m is for 1.70 m. */
const USUAL_BREADTH = 0.5 / 1.7;
const USUAL_DEPTH = 0.35 / 1.7;

/** What a figure measures standing, whatever its pose. */
export const standingSize = (figure: Figure): Size => figure.standing ?? figure;

/** The joints of a figure in its pose; of somebody who goes, at a moment of the step. */
export function skeletonOf(figure: Figure, step: Step = STILL): Skeleton {
  const { lengthM, depthM, heightM } = standingSize(figure);
  const wide = depthM / (USUAL_BREADTH * heightM);
  const deep = lengthM / (USUAL_DEPTH * heightM);
  const bones = POSES[figure.pose](figure.body, figure.pose === 'stand' ? step : STILL);
  // Bent bones end at the crown of their pose: what is left over is taken up evenly.
  const crown = bones.head[2] + (1 - BODIES[figure.body].chin) / 2;
  const tall = figure.pose === 'stand' || figure.pose === 'lie' ? heightM : figure.heightM / crown;
  const point = ([x, y, z]: Point): Point => [x * heightM * wide, y * heightM * deep, z * tall];
  const pair = ([a, b]: [Point, Point]): [Point, Point] => [point(a), point(b)];
  return {
    hips: pair(bones.hips),
    knees: pair(bones.knees),
    ankles: pair(bones.ankles),
    shoulders: pair(bones.shoulders),
    elbows: pair(bones.elbows),
    wrists: pair(bones.wrists),
    pelvis: point(bones.pelvis),
    neck: point(bones.neck),
    head: point(bones.head),
    forward: bones.forward,
    up: bones.up,
  };
}

const RAD = Math.PI / 180;
const HIP_HALF = 0.05;

/** A leg from the hip: so far forward at the hip, so far back at the knee, degrees. */
function leg(body: Body, side: number, hip: Point, hipDeg: number, kneeDeg: number): [Point, Point] {
  const { hips, knees, ankles } = BODIES[body];
  const [thigh, shank] = [hips - knees, knees - ankles];
  const knee: Point = [hip[0], hip[1] + thigh * Math.sin(hipDeg * RAD), hip[2] - thigh * Math.cos(hipDeg * RAD)];
  const down = (hipDeg - kneeDeg) * RAD;
  return [knee, [side * HIP_HALF, knee[1] + shank * Math.sin(down), knee[2] - shank * Math.cos(down)]];
}

/** An arm from the shoulder: so far forward, bent so far at the elbow, degrees. */
function arm(body: Body, side: number, shoulder: Point, forwardDeg: number, bentDeg: number): [Point, Point] {
  const { upperArm, forearm } = BODIES[body];
  const swing = forwardDeg * RAD;
  const elbow: Point = [
    shoulder[0] + side * 0.008,
    shoulder[1] + upperArm * Math.sin(swing),
    shoulder[2] - upperArm * Math.cos(swing),
  ];
  const bend = (forwardDeg + bentDeg) * RAD;
  return [elbow, [elbow[0], elbow[1] + forearm * Math.sin(bend), elbow[2] - forearm * Math.cos(bend)]];
}

interface Bend {
  /** The hips' height and place along, shares of stature, and how far the trunk leans forward, degrees. */
  hipsUp: number;
  hipsAlong: number;
  leanDeg: number;
  /** Left and right: hip, knee; shoulder, elbow; degrees. */
  legs: [[number, number], [number, number]];
  arms: [[number, number], [number, number]];
  /** The lowest ankle is set on the ground. */
  onFeet: boolean;
}

function bent(body: Body, bend: Bend): Skeleton {
  const { hips, shoulders, chin, ankles, shoulderBreadth } = BODIES[body];
  const lean = bend.leanDeg * RAD;
  const legsFrom = (up: number) => {
    const left: Point = [-HIP_HALF, bend.hipsAlong, up];
    const right: Point = [HIP_HALF, bend.hipsAlong, up];
    return {
      hips: [left, right] as [Point, Point],
      limbs: [leg(body, -1, left, ...bend.legs[0]), leg(body, 1, right, ...bend.legs[1])],
    };
  };
  const lowest = Math.min(...legsFrom(bend.hipsUp).limbs.map(([, ankle]) => ankle[2]));
  const hipsUp = bend.onFeet ? bend.hipsUp - (lowest - ankles) : bend.hipsUp;
  const { hips: sockets, limbs } = legsFrom(hipsUp);
  const trunk = (above: number): Point => [0, bend.hipsAlong + above * Math.sin(lean), hipsUp + above * Math.cos(lean)];
  const girdle = trunk(shoulders - hips);
  const half = shoulderBreadth / 2 - 0.02;
  const left: Point = [-half, girdle[1], girdle[2]];
  const right: Point = [half, girdle[1], girdle[2]];
  const neck = trunk(chin - 0.02 - hips);
  // The head stays upright above a leaning trunk.
  const head: Point = [0, neck[1] + 0.012, neck[2] + (1 - chin) / 2 + 0.02];
  const arms = [arm(body, -1, left, ...bend.arms[0]), arm(body, 1, right, ...bend.arms[1])];
  return {
    hips: sockets,
    knees: [limbs[0][0], limbs[1][0]],
    ankles: [limbs[0][1], limbs[1][1]],
    shoulders: [left, right],
    elbows: [arms[0][0], arms[1][0]],
    wrists: [arms[0][1], arms[1][1]],
    pelvis: [0, bend.hipsAlong, hipsUp],
    neck,
    head,
    forward: [0, 1, 0],
    up: [0, 0, 1],
  };
}

/** Arms and legs swing against each other; how far follows from how far apart the feet come. */
function stepping(body: Body, { through, stride, running }: Step): Skeleton {
  const { hips } = BODIES[body];
  const most = Math.min(50, Math.asin(Math.min(0.75, stride / 2 / hips)) / RAD);
  const phase = through * 2 * Math.PI;
  const swing = (shift: number) => most * Math.sin(phase + shift);
  // The leg that comes forward is bent, the one that stands is nearly straight.
  const knee = (shift: number) => most * (running ? 1.7 : 1.25) * Math.max(0, Math.cos(phase + shift)) + 2;
  const bend = running ? 75 : Math.min(18, most * 0.6);
  return bent(body, {
    hipsUp: hips,
    hipsAlong: 0,
    leanDeg: running ? 7 : 0,
    legs: [
      [swing(0), stride > 0 ? knee(0) : 0],
      [swing(Math.PI), stride > 0 ? knee(Math.PI) : 0],
    ],
    arms: [
      [-swing(0) * 0.8, bend],
      [-swing(Math.PI) * 0.8, bend],
    ],
    onFeet: true,
  });
}

const POSES: Record<Pose, (body: Body, step: Step) => Skeleton> = {
  stand: stepping,
  sit: (body) =>
    bent(body, {
      hipsUp: hipsOf('sit', body),
      hipsAlong: -0.12,
      leanDeg: 0,
      legs: [
        [86, 84],
        [86, 84],
      ],
      arms: [
        [22, 60],
        [22, 60],
      ],
      onFeet: false,
    }),
  crouch: (body) =>
    bent(body, {
      hipsUp: hipsOf('crouch', body),
      hipsAlong: -0.1,
      leanDeg: 16,
      legs: [
        [104, 148],
        [104, 148],
      ],
      arms: [
        [40, 50],
        [40, 50],
      ],
      onFeet: true,
    }),
  ride: (body) =>
    bent(body, {
      hipsUp: hipsOf('ride', body),
      hipsAlong: -0.1,
      leanDeg: 18,
      legs: [
        [74, 84],
        [48, 62],
      ],
      arms: [
        [58, 18],
        [58, 18],
      ],
      onFeet: false,
    }),
  /** On the back, the head towards the heading. */
  lie: (body) => {
    const stand = stepping(body, STILL);
    const { chin } = BODIES[body];
    const flat = ([x, y, z]: Point): Point => [-x, z - 0.5, 0.075 + y];
    const pair = ([a, b]: [Point, Point]): [Point, Point] => [flat(a), flat(b)];
    return {
      hips: pair(stand.hips),
      knees: pair(stand.knees),
      ankles: pair(stand.ankles),
      shoulders: pair(stand.shoulders),
      elbows: pair(stand.elbows),
      wrists: pair(stand.wrists),
      pelvis: flat(stand.pelvis),
      neck: flat(stand.neck),
      head: [0, (1 + chin) / 2 - 0.5, 0.075],
      forward: [0, 0, 1],
      up: [0, 1, 0],
    };
  },
};
