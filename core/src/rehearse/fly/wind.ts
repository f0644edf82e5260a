import type { Push } from './drone';

/**
 * What a drone that holds itself against the wind still drifts by: a share of the gusts, which come and go. Common
 * practice, no published source; gusts as a walk that forgets itself after a few seconds (Ornstein & Uhlenbeck 1930).
 */
const DRIFT_SHARE = 0.12;
const FORGETS_S = 2.5;
const GUST_SHARE = 0.35;

/** Gusts of a mean wind, one after the other; the same for the same seed. `next` gives numbers from 0 to 1. */
export function gusts(windMps: number, fromDeg: number, next: () => number): (h: number) => Push {
  let [along, across] = [0, 0];
  const rad = ((fromDeg + 180) * Math.PI) / 180;
  const normal = () => Math.sqrt(-2 * Math.log(Math.max(1e-12, next()))) * Math.cos(2 * Math.PI * next());
  return (h) => {
    const keep = Math.exp(-h / FORGETS_S);
    const size = GUST_SHARE * windMps * Math.sqrt(1 - keep * keep);
    along = along * keep + size * normal();
    across = across * keep + 0.6 * size * normal();
    return {
      eastMps: DRIFT_SHARE * (along * Math.sin(rad) + across * Math.cos(rad)),
      northMps: DRIFT_SHARE * (along * Math.cos(rad) - across * Math.sin(rad)),
    };
  };
}
