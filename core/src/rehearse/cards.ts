import { type Kit, type RigKind, sayLength, trim, type Units } from '../model';
import type { Film } from '../motion';
import { armsLastMin, heldOutM } from '../supports';
import { armsIn } from '../reading';
import { CARDS, type HoldCard } from './hold-cards';

/** A card for one shot, with its numbers. */
export interface HoldAdvice extends HoldCard {
  /** Why it suits this shot. */
  why: string;
  /** What is left of bob and trembling on screen, in per cent of the frame's height, in a sentence. */
  onScreen: string;
  /** How long arms last with this weight. */
  arms: string;
}

const HELD: ReadonlySet<RigKind> = new Set(['gimbal', 'sled', 'hand', 'bodyMount']);
/** Of a plain walk: gait literature, from memory (`model/default-gaits.ts`); of free hands: common practice. */
const WALK_BOB_MM = 45;
const HAND_SHAKE_DEG = 0.6;

const part = (share: number): string => `${trim(share * 100, share < 0.002 ? 2 : 1)}%`;

/** The ways to hold and step that suit a shot, the best first; none where no hands carry the camera. */
export function cardsFor(film: Film, kit: Kit, units: Units): HoldAdvice[] {
  const { scene, filmed } = film;
  if (!HELD.has(scene.rig.kind)) return [];
  const { count, xM, yM, zM } = filmed;
  let goneM = 0;
  for (let row = 1; row < count; row += 1) goneM += Math.hypot(xM[row] - xM[row - 1], yM[row] - yM[row - 1]);
  const lowM = zM.reduce((least, v) => Math.min(least, v), Infinity);
  const highM = zM.reduce((most, v) => Math.max(most, v), -Infinity);
  const turnDeg = Math.abs(filmed.panDeg[count - 1] - filmed.panDeg[0]);
  const motor = scene.rig.kind === 'gimbal' || scene.rig.kind === 'sled';
  const suits: [string, boolean, string][] = [
    ['squat', highM - lowM > 0.8, `it rises ${sayLength(highM - lowM, units)}`],
    ['lengthwise', motor && lowM < 0.9 && goneM > 0.5, `it goes as low as ${sayLength(lowM, units)}`],
    ['knees', goneM > 1, `it walks ${sayLength(goneM, units)}`],
    ['heelToToe', goneM > 1, `it walks ${sayLength(goneM, units)}`],
    ['plantTurn', goneM <= 1 && turnDeg > 10, `it turns ${trim(turnDeg, 0)}° nearly on the spot`],
    ['twoHands', goneM > 0.05 && goneM <= 0.8, `it goes only ${sayLength(goneM, units)}`],
    ['hip', goneM > 0.1 && goneM <= 2 && lowM > 0.7 && highM < 1.4, 'hips are as high as that'],
    ['monopod', goneM <= 0.9 && highM > 0.5 && highM < 2.1, 'a leg leans as far as that'],
    ['shoulder', scene.rig.kind === 'hand' && lowM > 1.2 && highM < 1.9, 'a shoulder is as high as that'],
    ['elbows', true, 'it always helps'],
  ];
  const depthM = filmed.subjectDistanceM[Math.floor(count / 2)];
  const perRad = filmed.focalLengthMm[Math.floor(count / 2)] / filmed.frameHeightMm;
  const arms = armsIn(film, kit);
  const heldM = heldOutM((lowM + highM) / 2);
  return suits.flatMap(([id, suit, why]): HoldAdvice[] => {
    const given = CARDS.find((row) => row.id === id);
    if (!suit || !given) return [];
    const bobShare = ((WALK_BOB_MM / 1000) * given.bobLeft * scene.rig.bobShare * perRad) / Math.max(0.3, depthM);
    const shakeShare = ((HAND_SHAKE_DEG * given.shakeLeft * scene.rig.shakeShare * Math.PI) / 180) * perRad;
    const massKg = arms?.massKg ?? null;
    const minutes = massKg === null ? null : armsLastMin(massKg, id === 'elbows' ? heldM * 0.8 : heldM);
    return [
      {
        ...given,
        why,
        onScreen:
          `${goneM > 1 ? `Bob of about ${part(bobShare)}, trembling` : 'Trembling'} of about ${part(shakeShare)} of ` +
          'the frame’s height is left, at this distance and focal length.',
        arms:
          minutes === null
            ? 'How long arms last is said once a build is put together for this rig on the Kit screen.'
            : minutes === Infinity
              ? `At ${trim(massKg ?? 0, 1)} kg it tires nobody.`
              : `At ${trim(massKg ?? 0, 1)} kg arms last about ${trim(minutes, 1)} min in one go ` +
                '(Rohmert 1960, from memory).',
      },
    ];
  });
}
