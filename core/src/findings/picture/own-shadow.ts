import { define, type FindingKinds } from '../definition';
import { stretchWords, type FindingOf } from '../finding';
import { type RigKind, sayLength } from '../../model';
import { towardsSun } from '../../light';
import { groundHeightM } from '../../site';
import { CAMERA_SIZE, project } from '../../optics';
import type { Picture } from '../../image';

const KINDS = {
  'sun.shadow': {
    measures: 'how long the shadow of operator or rig is in the frame, s',
    limits: [],
    about: 'frame',
    cures: ['standFarther'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Rigs with nobody beneath or behind them; the rest have an operator. */
const ALONE = new Set<RigKind>(['drone', 'rope', 'mount', 'drop', 'hoist', 'float']);
/** How tall an operator is, and how far behind the lens. Common practice, no published source. */
const OPERATOR_M = 1.75;
const BEHIND_M = 0.4;
const LOOKS_HZ = 8;
/** A longer shadow is lost in what lies on the ground. */
const LONGEST_M = 60;
const POINTS = 16;
const LEAST_S = 0.1;

/**
 * The shadow of whoever holds the camera, or of what carries it, on the ground in the frame. It is taken to fall on the
 * ground that it lands on; what else it falls on, and what covers it, is not counted.
 */
function shadowFindings({ scene, samples, edgeV, units }: Picture): Found[] {
  const { sunAt, rig } = scene;
  if (!sunAt) return [];
  const alone = ALONE.has(rig.kind);
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const stride = Math.max(1, Math.round(samples.frameRateHz / LOOKS_HZ));
  const seen = { u: 0, w: 0, depthM: 0 };
  let [longest, from, run, lengthM, stretches] = [0, 0, 0, 0, 0];
  for (let row = 0; row < samples.count; row += stride) {
    const [east, north, up] = towardsSun(sunAt(samples.tS[row]));
    const pan = (samples.panDeg[row] * Math.PI) / 180;
    const back = alone ? 0 : BEHIND_M;
    const [x, y] = [samples.xM[row] - back * Math.sin(pan), samples.yM[row] - back * Math.cos(pan)];
    const footM = groundHeightM(scene.ground, x, y);
    const topM = Math.max(samples.zM[row] - footM, alone ? 0 : OPERATOR_M);
    const inFrame =
      up > 0.02 &&
      Array.from({ length: POINTS }, (_, k) => k + 1).some((k) => {
        // What hangs or flies casts a shadow of itself only.
        const heightM = alone ? topM * (1 - 0.02 * (POINTS - k)) : (topM * k) / POINTS;
        const along = heightM / up;
        if (along * Math.hypot(east, north) > LONGEST_M) return false;
        const [sx, sy] = [x - east * along, y - north * along];
        project(samples.cameras, row * CAMERA_SIZE, sx, sy, groundHeightM(scene.ground, sx, sy), seen);
        return seen.depthM > 0.05 && Math.abs(seen.u) < 0.5 && Math.abs(seen.w * aspect) < edgeV;
      });
    run = inFrame ? run + 1 : 0;
    if (run === 1) stretches += 1;
    if (run > longest) {
      [longest, from] = [run, row - (run - 1) * stride];
      lengthM = (topM / up) * Math.hypot(east, north);
    }
  }
  const forS = Math.min(
    (longest * stride) / samples.frameRateHz,
    samples.screenS[samples.count - 1] - samples.screenS[from],
  );
  if (longest === 0 || forS < LEAST_S) return [];
  const whose = alone ? `The shadow of ${rig.name}` : 'The operator’s shadow';
  return [
    {
      id: 'sun.shadow',
      grade: 'ripple',
      sentence:
        `${whose}${alone ? '' : `, ${sayLength(Math.min(lengthM, LONGEST_M), units)} long,`} falls into the frame ` +
        `${stretchWords(forS, samples.screenS[from], stretches)}.`,
      reason:
        'With the sun behind the camera the shadow lies where it looks. Go round by a quarter, go higher or lower, or ' +
        'wait: the sun takes it along by 15° an hour.',
      screenS: samples.screenS[from],
      value: forS,
      limit: 0,
      unit: 's',
      said: `${forS.toFixed(1)} s`,
      measure: 'own shadow in the frame',
    },
  ];
}

export const ownShadow = define(KINDS, shadowFindings);
