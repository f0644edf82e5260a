import type { Words } from '../model/finding';
import type { PieceLayer } from '../model/piece';
import type { Setup } from '../model/shoot';
import { motionOf, type ShotMotion } from '../motion/legs';
import { playingOf } from '../motion/playback';
import { asShown } from '../motion/shown';
import { filmShot, type Samples } from '../motion/sample';
import { sitePoints, type Lattice } from '../site/site-points';
import { glancer } from './glance';
import { SeenPieces, type PieceSeen } from './seen-pieces';
import { GLANCE_CELLS, glanceRows, SeenPoints, stillPieces, type PointsAt, type StillPoints } from './seen-points';
import { siteMotion, type SiteMotion } from './layer-speed';
import { screenMotion, type ScreenMotion } from './screen-motion';
import { visibleShare } from './visible-share';
import { isInFrame, subjectInFrame, whileInFrame, type SubjectInFrame } from './subject-in-frame';

/** Everything measured in the picture of one shot, ready to be judged. */
export interface Picture {
  setup: Setup;
  motion: ShotMotion;
  /** What the audience sees, one row per frame shown. */
  samples: Samples;
  /** What the camera did, one row per frame recorded. The same unless the shot is ramped or reversed. */
  filmed: Samples;
  subject: SubjectInFrame;
  /** How deep the picture is judged, metres, one value per row: the subject's depth while it is in the frame, its distance otherwise. */
  depthM: Float64Array;
  /** How much of the subject nothing stands in front of, 0 to 1, one value a row. */
  visible: Float64Array;
  site: SiteMotion;
  /** How still things move on screen: what starts, stops and evenness are judged by. */
  screen: ScreenMotion;
  /** What can be seen of each piece. */
  pieces: PieceSeen[];
  words: Words;
}

/** Layers are measured at no more rows a second than this: they are judged over 0.4 s. */
export const LAYER_ROWS_HZ = 24;
const FINE_PER_SIDE = 17;
const COARSE_PER_SIDE = 15;

/** How far the camera is from the pivot on the ground, on average over start, middle and end; metres, at least half a metre. */
function reachM({ placeAt, pivot, startS, endS }: ShotMotion): number {
  const place = new Float64Array(3);
  let distanceM = 0;
  for (const share of [0, 0.5, 1]) {
    placeAt(startS + share * (endS - startS), place);
    distanceM += Math.hypot(place[0] - pivot.xM, place[1] - pivot.yM, share === 0 ? 0 : place[2] - pivot.zM) / 3;
  }
  return Math.max(distanceM, 0.5);
}

/**
 * The points of the site that stay still in this shot, with the ground: everything in proportion to the camera's
 * distance, a fine ground lattice about the pivot that reaches past the camera and a coarse one far around it.
 */
export function stillPoints(setup: Setup, motion: ShotMotion): StillPoints {
  const reach = reachM(motion);
  const { xM, yM } = motion.pivot;
  const lattices: Lattice[] = [
    { xM, yM, spacingM: reach / 7, perSide: FINE_PER_SIDE },
    { xM, yM, spacingM: reach, perSide: COARSE_PER_SIDE },
  ];
  const still = new Set(stillPieces(setup).map(({ id }) => id));
  const focus = { xM, yM, spacingM: reach / 6 };
  const ofLayer = (layer: PieceLayer, ground: Lattice[]) =>
    sitePoints(setup.pieces, focus, ground, new Set(setup.pieces.filter((piece) => piece.layer !== layer || !still.has(piece.id)).map(({ id }) => id)));
  return { auto: ofLayer('auto', lattices), near: ofLayer('near', []), far: ofLayer('far', []) };
}

/** How closely a picture is measured. */
export interface Care {
  /** The visible share of the subject is counted; NaN otherwise. */
  sight: boolean;
  /** Glances a second on screen: what is hidden for less is not missed. */
  glancesHz: number;
}

const FULL_CARE: Care = { sight: true, glancesHz: 2 };

/** Samples a shot and measures its picture. */
export function measurePicture(setup: Setup, words: Words, care: Care = FULL_CARE): Picture {
  const motion = motionOf(setup);
  const filmed = filmShot(setup, motion);
  const samples = asShown(filmed, setup.shot, playingOf(setup.shot, motion.durationS));
  const subject = subjectInFrame(samples, setup.subject);
  // Out of the frame the subject's depth along the axis says nothing; its distance does.
  const depthM = subject.depthM.map((depth, row) => (setup.subject === null || isInFrame(subject, row) ? depth : samples.subjectDistanceM[row]));
  const { pointsAt, pieces } = lookThrough(setup, motion, samples, care.glancesHz);
  const site = siteMotion(
    samples,
    pointsAt,
    depthM,
    orZero(whileInFrame(subject, subject.rightwards)),
    orZero(whileInFrame(subject, subject.upwards)),
    Math.max(1, Math.floor(samples.frameRateHz / LAYER_ROWS_HZ)),
  );
  return {
    setup,
    motion,
    samples,
    filmed,
    subject,
    visible: care.sight ? visibleShare(setup, samples) : new Float64Array(samples.count).fill(NaN),
    site,
    depthM,
    screen: screenMotion(samples, depthM),
    pieces,
    words,
  };
}

/** Glances through the camera again and again: which of the site's points can be seen, and what is seen of each piece. */
function lookThrough(setup: Setup, motion: ShotMotion, samples: Samples, glancesHz: number): { pointsAt: PointsAt; pieces: PieceSeen[] } {
  const glance = glancer(setup, samples, GLANCE_CELLS);
  const { rows, stretch } = glanceRows(samples, glancesHz);
  const points = new SeenPoints(stillPoints(setup, motion), samples, setup.pieces.length > 0);
  const pieces = new SeenPieces(setup.pieces);
  for (const row of rows) {
    const seen = glance(row);
    points.add(row, seen);
    pieces.add(samples.screenS[row], seen);
  }
  return { pointsAt: points.at(stretch), pieces: pieces.seen() };
}

/** Without a subject in view, layers are compared with a still picture. */
function orZero(column: Float64Array): Float64Array {
  return column.map((value) => (Number.isNaN(value) ? 0 : value));
}
