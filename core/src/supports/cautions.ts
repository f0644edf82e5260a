import type { SupportKind } from '../model/build';
import { DECIDES } from '../findings/people/cautions';

/** What crews usually mind with each kind of build: common practice, no published source. Never a verdict. */
const USUAL: Record<SupportKind, string[]> = {
  sled: [
    'A sled is carried at arm’s length and swings: crews usually keep a free path, take turns, and put it on its stand between takes.',
  ],
  motorGimbal: [
    'A gimbal that wakes up turns by itself: crews usually keep fingers out of its arms, hold it before switching it on, and keep to its maker’s payload.',
  ],
  jib: [
    'Weight on both ends of an arm: crews usually take the camera off only after the counterweight is held or off, tie both with a second line, keep people out from under either end and put bags on the feet.',
  ],
  slider: [
    'A rail with a camera at its end can tip: crews usually put bags on the feet, level again after every move, and stop the carriage by hand on a slope.',
  ],
  arm: [
    'An arm that reaches out tips its tripod: crews usually hang a bag under the middle, point a leg under the arm, and take it in before the wind rises.',
  ],
  rope: [
    'A camera on a rope, near people: crews usually add a second, independent line without exception, and have a qualified rigger choose rope, knots and points. These forces are for that person, not a verdict.',
  ],
  drone: [
    'A drone near or above people: crews usually keep everyone clear of the whole path, keep a spotter, and hold to the maker’s mass, wind and temperature limits and to the air law of the place.',
  ],
  wheels: [
    'A moving camera near people: crews usually have one to drive who watches the way and one to operate, clear the way, strap the lens, and agree a word that stops it.',
  ],
  improvised: [
    'A home-made rig has no maker’s limits: crews usually try it with a dummy of the same weight first, tape what can loosen, and catch the camera with a hand or a line.',
  ],
};

export const buildCautions = (kind: SupportKind): string[] => USUAL[kind].map((sentence) => `${sentence} ${DECIDES}`);
