import type { Finding } from '../finding';
import type { Picture } from '../../image/picture';
import { featherFindings } from './feather';
import { compositionFindings } from './composition';
import { endFindings } from './ends';
import { evennessFindings, turningFindings } from './evenness';
import { skewFindings } from './rolling-shutter-skew';
import { cutOffFindings, emptyFindings, placeFindings, sizeFindings } from './framing';
import { parallaxFindings } from './parallax';
import { sightFindings } from './sight';
import { blurFindings, speedFindings } from './speed';
import { focusFindings } from './focus';
import { staggerFindings } from './stagger';
import { shakeFindings } from './shake';
import { zoomFindings } from './zoom';

/** Everything the audience will see in a picture, unsorted. */
export function pictureFindings(picture: Picture): Finding[] {
  const held = picture.intent.holdsSize;
  return [
    ...emptyFindings(picture),
    ...endFindings(picture),
    ...cutOffFindings(picture),
    ...speedFindings(picture),
    ...blurFindings(picture),
    ...parallaxFindings(picture, held),
    ...placeFindings(picture),
    ...sightFindings(picture),
    ...sizeFindings(picture),
    ...featherFindings(picture),
    ...evennessFindings(picture),
    ...turningFindings(picture),
    ...shakeFindings(picture),
    ...skewFindings(picture),
    ...staggerFindings(picture),
    ...compositionFindings(picture),
    ...focusFindings(picture),
    ...(held ? zoomFindings(picture) : []),
  ];
}
