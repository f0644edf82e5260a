import { type Around, aroundOf, sameAround, type Shoot, type Shot } from '../model';
import { lengthOnScreenS, rowCount, type Samples, sampleShot } from '../motion';
import { type Scene, sceneOf } from '../scene';

/** A shot as the cut has it: compiled, sampled as it is shown, and which of its frames are in the cut. */
export interface Told {
  shot: Shot;
  scene: Scene;
  samples: Samples;
  frames: CutFrames;
}

/** Frames of a shot from its first on: `first` is the first in the cut, `end` the first after it. */
export interface CutFrames {
  first: number;
  end: number;
  /** All that the shot has. */
  whole: number;
  rateHz: number;
  /** The cut asks for more than the shot has: it is shortened to what is there. */
  short: boolean;
}

/** Which frames of a shot of so many are in its cut; one frame at least. */
export function cutFrames({ cut }: Pick<Shot, 'cut'>, whole: number, rateHz: number): CutFrames {
  if (cut === null) return { first: 0, end: whole, whole, rateHz, short: false };
  const wished = { first: Math.round(cut.inS * rateHz), end: Math.round(cut.outS * rateHz) };
  const first = Math.min(wished.first, whole - 1);
  const end = Math.min(Math.max(wished.end, first + 1), whole);
  return { first, end, whole, rateHz, short: wished.end > whole || wished.first >= whole };
}

/** The same of a shot that is not compiled. */
export const framesOf = (shot: Shot): CutFrames =>
  cutFrames(shot, Math.max(1, rowCount(lengthOnScreenS(shot), shot.frameRateHz) - 1), shot.frameRateHz);

/** How long a shot is in the cut, s. */
export const cutSeconds = ({ first, end, rateHz }: CutFrames): number => (end - first) / rateHz;

/** Tells a shot of a valid shoot. */
export function tell(shoot: Shoot, shot: Shot): Told {
  const scene = sceneOf(shoot, shot);
  const samples = sampleShot(scene);
  // The last row is the end of the last frame.
  const frames = cutFrames(shot, Math.max(1, samples.count - 1), samples.frameRateHz);
  return { shot, scene, samples, frames };
}

/** Shots told once for as long as they, the site and the kit are the same objects. */
export class Tellings {
  private readonly kept = new Map<Shot, { around: Around; told: Told }>();

  constructor(private readonly most = 60) {}

  tell(shoot: Shoot, shot: Shot): Told {
    const known = this.kept.get(shot);
    if (known && sameAround(known.around, shoot)) return known.told;
    const told = tell(shoot, shot);
    this.kept.delete(shot);
    this.kept.set(shot, { around: aroundOf(shoot), told });
    const [oldest] = this.kept.keys();
    if (this.kept.size > this.most && oldest) this.kept.delete(oldest);
    return told;
  }
}
