import type { Finding } from '../../model/finding';
import type { Picture } from '../picture';
import { featherFindings } from './feather';
import { compositionFindings } from './composition';
import { endFindings } from './ends';
import { evennessFindings, turningFindings } from './evenness';
import { leanFindings } from './lean';
import { cutOffFindings, emptyFindings, placeFindings, sizeFindings } from './framing';
import { parallaxFindings } from './parallax';
import { sightFindings } from './sight';
import { blurFindings, speedFindings } from './speed';
import { focusFindings } from './focus';
import { staggerFindings } from './stagger';
import { wobbleFindings } from './wobble';
import { zoomFindings } from './zoom';

/** Everything the audience will see in a picture, unsorted. */
export function pictureFindings(picture: Picture): Finding[] {
  const held = picture.motion.holdsSize;
  return [
    ...emptyFindings(picture),
    ...endFindings(picture),
    ...cutOffFindings(picture),
    ...speedFindings(picture),
    ...blurFindings(picture),
    ...parallaxFindings(picture, held),
    ...placeFindings(picture),
    ...sightFindings(picture),
    ...sizeFindings(picture, held),
    ...featherFindings(picture),
    ...evennessFindings(picture),
    ...turningFindings(picture),
    ...wobbleFindings(picture),
    ...leanFindings(picture),
    ...staggerFindings(picture),
    ...compositionFindings(picture),
    ...focusFindings(picture),
    ...(held ? zoomFindings(picture) : []),
  ];
}
