import type { Words } from '../model/finding';
import type { Piece } from '../model/piece';
import type { Setup } from '../model/shoot';
import { motionOf, type ShotMotion } from '../motion/legs';
import { sampleShot, type Samples } from '../motion/sample';
import { sitePoints, type Lattice } from '../site/site-points';
import { glancer } from './glance';
import { GLANCE_CELLS, glanceRows, SeenPoints, stillPieces, type StillPoints } from './seen-points';
import { siteMotion, type SiteMotion } from './layer-speed';
import { screenAcceleration } from './screen-acceleration';
import { visibleShare } from './visible-share';
import { isInFrame, subjectInFrame, whileInFrame, type SubjectInFrame } from './subject-in-frame';

/** Everything measured in the picture of one shot, ready to be judged. */
export interface Picture {
  setup: Setup;
  motion: ShotMotion;
  samples: Samples;
  subject: SubjectInFrame;
  /** How deep the picture is judged, metres, one value per row: the subject's depth while it is in the frame, its distance otherwise. */
  depthM: Float64Array;
  /** How much of the subject nothing stands in front of, 0 to 1, one value a row. */
  visible: Float64Array;
  site: SiteMotion;
  /** Frame widths per second squared, one value per row. */
  acceleration: Float64Array;
  words: Words;
}

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
  const still = stillPieces(setup);
  const focus = { xM, yM, spacingM: reach / 6 };
  const pinned = (layer: Piece['layer']) => sitePoints(setup.pieces, focus, [], new Set(setup.pieces.filter((piece) => piece.layer !== layer || !still.includes(piece)).map(({ id }) => id)));
  const notAuto = new Set(setup.pieces.filter((piece) => piece.layer !== 'auto' || !still.includes(piece)).map(({ id }) => id));
  return { auto: sitePoints(setup.pieces, focus, lattices, notAuto), near: pinned('near'), far: pinned('far') };
}

/** Samples a shot and measures its picture. */
export function measurePicture(setup: Setup, words: Words): Picture {
  const motion = motionOf(setup);
  const samples = sampleShot(setup, motion);
  const subject = subjectInFrame(samples, setup.subject);
  // Out of the frame the subject's depth along the axis says nothing; its distance does.
  const depthM = subject.depthM.map((depth, row) => (setup.subject === null || isInFrame(subject, row) ? depth : samples.subjectDistanceM[row]));
  const glance = glancer(setup, samples, GLANCE_CELLS);
  const { rows, stretch } = glanceRows(samples);
  const seen = new SeenPoints(stillPoints(setup, motion), samples, setup.pieces.length > 0);
  for (const row of rows) seen.add(row, glance(row));
  const site = siteMotion(samples, seen.at(stretch), depthM, orZero(whileInFrame(subject, subject.rightwards)), orZero(whileInFrame(subject, subject.upwards)));
  return { setup, motion, samples, subject, visible: visibleShare(setup, samples), site, depthM, acceleration: screenAcceleration(samples, depthM), words };
}

/** Without a subject in view, layers are compared with a still picture. */
function orZero(column: Float64Array): Float64Array {
  return column.map((value) => (Number.isNaN(value) ? 0 : value));
}
