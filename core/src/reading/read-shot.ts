import { severity, type Finding } from '../findings/finding';
import { setupOf, type Shoot } from '../model/shoot';
import type { Shot } from '../model/shot';
import type { Units } from '../model/units';
import { cautionsOf, type Caution } from '../findings/people/cautions';
import { rigFindings } from '../findings/rig/rig-findings';
import { heightsM } from '../findings/rig/heights';
import { approachesOf, type Approach } from '../findings/people/approaches';
import { pictureFindings } from '../findings/picture/picture-findings';
import { measurePicture, type Picture } from '../image/picture';

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
