import { legTimes, type LegTime, type Moves } from '../model';
import { paceOf, type Pace } from './timing';

/** One move of a shot in time: its holds from `fromS` to `toS`, and how far along its track it is at any moment. */
export interface PacedLeg extends LegTime {
  pace: Pace;
}

/** The moves of a shot in order, each with its time and its pace, in seconds of action from the shot's start. */
export function timelineOf(shot: Moves): PacedLeg[] {
  return legTimes(shot).map((time) => ({ ...time, pace: paceOf(time.leg.timing, time.fromS) }));
}
