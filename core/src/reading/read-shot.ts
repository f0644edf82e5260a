import {
  type Approach,
  approachesOf,
  type Caution,
  cautionsOf,
  type Finding,
  heightsM,
  type Pass,
  passesOf,
  pictureFindings,
  rigCase,
  rigFindings,
  severity,
  type Sweep,
  sweepsOf,
} from '../findings';
import type { Shoot, Shot, Units } from '../model';
import { sceneOf } from '../scene';
import { plannedFilm, type Film } from '../motion';
import { measurePicture, type Picture } from '../image';

/** What the audience will see and what the rig makes of it: the whole reading of one shot. */
export interface Reading {
  picture: Picture;
  /** Worst first; equals keep the order of the work. */
  findings: Finding[];
  cautions: Caution[];
  approaches: Approach[];
  /** Whatever goes past whom, nearest first, and the ground that is swept. */
  passes: Pass[];
  sweeps: Sweep[];
  /** Of the lens above the ground, metres, one a recorded frame. */
  heights: Float64Array;
}

/** Reads a shot of a valid shoot. */
export function readShot(shoot: Shoot, shot: Shot, units: Units = 'metric'): Reading {
  return readFilm(plannedFilm(sceneOf(shoot, shot)), units);
}

/** Reads what was filmed, whether it was planned or recorded. */
export function readFilm(film: Film, units: Units = 'metric'): Reading {
  const { scene, filmed } = film;
  const picture = measurePicture(film, units);
  const heights = heightsM(scene, filmed);
  const findings = [...pictureFindings(picture), ...rigFindings(rigCase(film, units, heights))];
  findings.sort((a, b) => severity(b) - severity(a));
  const near = {
    approaches: approachesOf(scene, filmed),
    passes: passesOf(scene, filmed),
    sweeps: sweepsOf(scene, filmed),
  };
  return { picture, findings, cautions: cautionsOf(scene, filmed, heights, near, units), ...near, heights };
}
