import { severity, type Finding } from '../model/finding';
import { setupOf, type Shoot } from '../model/shoot';
import type { Shot } from '../model/shot';
import type { Units } from '../model/units';
import { cautionsOf, type Caution } from '../rig/cautions';
import { rigFindings } from '../rig/envelope';
import { heightsM } from '../rig/heights';
import { approachesOf, type Approach } from '../rig/people';
import { pictureFindings } from '../screen/findings';
import { measurePicture, type Picture } from '../screen/picture';

/** What the audience will see and what the rig makes of it: the whole reading of one shot. */
export interface Reading {
  picture: Picture;
  /** Worst first; equals keep the order of the work. */
  findings: Finding[];
  cautions: Caution[];
  approaches: Approach[];
  /** Of the lens above the ground, metres, one a recorded frame. */
  heights: Float64Array;
}

/** Reads a shot of a valid shoot. */
export function readShot(shoot: Shoot, shot: Shot, units: Units = 'metric'): Reading {
  const setup = setupOf(shoot, shot);
  const picture = measurePicture(setup, { units });
  const { filmed } = picture;
  const heights = heightsM(setup, filmed);
  const findings = [...pictureFindings(picture), ...rigFindings(setup, picture.motion, filmed, heights, units)];
  findings.sort((a, b) => severity(b) - severity(a));
  const approaches = approachesOf(setup, filmed);
  return { picture, findings, cautions: cautionsOf(setup, filmed, heights, approaches, units), approaches, heights };
}
