import type { Finding } from '../../model/finding';
import { recipeOf } from '../../motion/moves';
import type { Picture } from '../picture';
import { featherFindings } from './feather';
import { cutOffFindings, placeFindings, sizeFindings } from './framing';
import { parallaxFindings } from './parallax';
import { blurFindings, speedFindings } from './speed';
import { zoomFindings } from './zoom';

/** Everything the audience will see in a picture, unsorted. */
export function pictureFindings(picture: Picture): Finding[] {
  const { shot, subject } = picture.setup;
  const held = subject !== null && recipeOf(shot.move).zoom === 'holdSubjectHeight';
  return [
    ...cutOffFindings(picture),
    ...speedFindings(picture),
    ...blurFindings(picture),
    ...parallaxFindings(picture, held),
    ...placeFindings(picture),
    ...sizeFindings(picture, held),
    ...featherFindings(picture),
    ...(held ? zoomFindings(picture) : []),
  ];
}
