import type { Units } from '../model';
import {
  type EdgeMark,
  edgeMarks,
  layerFigures,
  type LayerFigures,
  type Picture,
  type PieceSeen,
  speedLimits,
  type SpeedLimits,
} from '../image';
import { cameraSpeedMps, leastEven, type Evenness } from '../findings';

/** The numbers behind a reading, for whoever wants to see them. */
export interface Figures {
  layers: LayerFigures[];
  speedLimits: SpeedLimits;
  /** The least even of the moves, in the picture and in the rig; null when nothing moves. */
  evenness: { picture: Evenness | null; rig: Evenness | null };
  marks: EdgeMark[];
  pieces: PieceSeen[];
}

/**
 * The numbers behind a picture. Kept apart from the findings, which are read hundreds of times while changes are tried.
 */
export function readFigures(picture: Picture, units: Units = 'metric'): Figures {
  const { scene, samples, filmed, intent, screen, pieces } = picture;
  return {
    layers: layerFigures(picture),
    speedLimits: speedLimits(picture),
    evenness: {
      picture: leastEven(intent, samples, screen.speed, samples.frameRateHz),
      rig: leastEven(intent, filmed, cameraSpeedMps(filmed), filmed.captureRateHz),
    },
    marks: edgeMarks(scene, samples, units),
    pieces,
  };
}
