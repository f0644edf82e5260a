/**
 * How something that turns or swings evenly looks on film. Frames catch it again and again: it seems to go by what is
 * left after whole repeats (sampling, Shannon 1949); lines are read one after the other, so that what is straight bends.
 */
export interface Spinning {
  /** Turns it seems to make, a second on screen; negative: backwards; 0: it seems to stand still. */
  seenTurnsPerS: number;
  /** Part of the way to its next spoke, blade or crest that it goes while the shutter is open: from a half on it is a veil. */
  smearShare: number;
  /** How far it has turned, degrees, or swung on, shares of a swing × 360°, between its first and last line. */
  bendDeg: number;
  /** Frame rates near the given one at which it would seem to stand still, a second. */
  standsStillAtHz: number[];
}

/**
 * @param turnsPerS turns, or swings of a string, a second
 * @param repeats spokes or blades that look alike (a string: 1)
 * @param heightShare part of the frame's height that it fills
 */
export function spinning(
  { turnsPerS, repeats, heightShare }: { turnsPerS: number; repeats: number; heightShare: number },
  captureRateHz: number,
  exposureS: number,
  readOutS: number,
): Spinning {
  const passesHz = turnsPerS * repeats;
  const seenHz = passesHz - captureRateHz * Math.round(passesHz / captureRateHz);
  const times = passesHz / captureRateHz;
  return {
    // Frames that are recorded are what is seen, whatever the pace they are shown at.
    seenTurnsPerS: seenHz / repeats,
    smearShare: passesHz * exposureS,
    bendDeg: 360 * turnsPerS * readOutS * heightShare,
    standsStillAtHz: [Math.floor(times), Math.ceil(times)]
      .filter((n, i, all) => n > 0 && all.indexOf(n) === i)
      .map((n) => passesHz / n)
      .sort((a, b) => a - b),
  };
}
