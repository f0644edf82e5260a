import { sayLength, sayMinutes, type Shoot, trim, type Units } from '../model';
import { supportOf } from '../supports';
import { byRig, learnedFrom } from './learned';
import type { ShotWork } from './shot-work';
import { CARRIES_KG, LENS_BETWEEN_MIN, OTHER_CAMERA_MIN, PACKED, USUAL_RIGS } from './usual';

/** What has to be done between two shots before the second can be set up. */
export interface ChangeOver {
  seconds: number;
  parts: string[];
  /** A lens is changed. */
  lens: boolean;
  rig: boolean;
  walkM: number;
  /** What is carried times how far, kg m. */
  carriedKgM: number;
}

type Refit = 'camera' | 'lens' | 'filter' | 'zoom';

/**
 * What changes on a camera that was last used for another shot (null: not yet on this day): rig, lens and filters, with
 * what must be balanced again. The minutes of what is balanced are the kit's.
 */
export function gearChange(
  shoot: Shoot,
  last: ShotWork | null,
  to: ShotWork,
): Pick<ChangeOver, 'seconds' | 'parts' | 'lens' | 'rig'> {
  const parts: string[] = [];
  let minutes = 0;
  const add = (more: number, said: string) => {
    if (more <= 0) return;
    minutes += more;
    parts.push(`${said}, ${sayMinutes(more * 60)}`);
  };
  const { kit } = shoot;
  const support = kit.builds.find(({ rigId }) => rigId === to.rigId)?.support.kind;
  const refits = support ? supportOf(support).refits : null;
  const redo = (what: Refit) => (refits && refits[what].redo !== 'nothing' ? `: ${refits[what].redo}` : '');
  const sameRig = last?.rigId === to.rigId;
  const sameLens = last?.shot.lensId === to.shot.lensId;
  if (!sameRig) {
    const mountMin = USUAL_RIGS[to.rigKind].mountMin;
    const logged = learnedFrom(shoot.log).changeMin.get(byRig(to.rigId));
    // A camera that is built into its rig has nothing to be put on.
    if (logged)
      add(logged.middle, `onto ${to.rigName}, as logged ${logged.count === 1 ? 'once' : `${logged.count} times`}`);
    else if (to.builtIn) add(mountMin, `${to.rigName} unpacked`);
    else add(mountMin + (refits?.camera.minutes ?? 0), `onto ${to.rigName}${redo('camera')}`);
    if (last && !sameLens) add(LENS_BETWEEN_MIN, `${to.lensName} on meanwhile`);
  } else if (!sameLens) add(refits?.lens.minutes ?? 3, `${to.lensName} for ${last.lensName}${redo('lens')}`);
  else {
    const filters = (work: ShotWork) => [...work.shot.filterIds].sort().join(' ');
    if (filters(last) !== filters(to)) add(refits?.filter.minutes ?? 1, `filters${redo('filter')}`);
    if (Math.abs(last.focalLengthMm - to.focalLengthMm) > 1)
      add(
        refits?.zoom.minutes ?? 0,
        `zoom from ${trim(last.focalLengthMm, 0)} to ${trim(to.focalLengthMm, 0)} mm${redo('zoom')}`,
      );
  }
  return { seconds: minutes * 60, parts, lens: last !== null && !sameLens, rig: last !== null && !sameRig };
}

/** Nearer than this is the same spot, m. */
const SAME_SPOT_M = 5;
/** A shorter way is not worth a word, s. */
const SAID_FROM_S = 30;

/** The way from one shot's spot to another's, at walking pace with what is carried. */
export function wayBetween(
  { day }: Shoot,
  from: ShotWork,
  to: ShotWork,
  units: Units = 'metric',
): Pick<ChangeOver, 'seconds' | 'parts' | 'walkM' | 'carriedKgM'> {
  const walkM = Math.hypot(to.xM - from.xM, to.yM - from.yM);
  const { carriedKg } = USUAL_RIGS[to.rigKind];
  if (walkM < SAME_SPOT_M) return { seconds: 0, parts: [], walkM, carriedKgM: 0 };
  const hands = Math.max(1, day.people.filter(({ skills }) => skills.length > 0).length);
  const ways = 2 * Math.ceil(carriedKg / (CARRIES_KG * hands)) - 1;
  const packedS = walkM > PACKED.fromM ? PACKED.minutes * 60 : 0;
  const seconds = (walkM * ways) / day.walkMps + packedS;
  return {
    seconds,
    parts:
      seconds < SAID_FROM_S
        ? []
        : [
            `${sayLength(Math.round(walkM), units)} to the next spot${ways > 1 ? `, ${ways} ways` : ''}` +
              `${packedS > 0 ? ', packed and unpacked' : ''}, ` +
              sayMinutes(seconds),
          ],
    walkM,
    carriedKgM: walkM * carriedKg,
  };
}

/**
 * All of it: from the shot before (null: the day begins), on a camera that was last used for another one (null: not yet).
 */
export function changeOver(
  shoot: Shoot,
  from: ShotWork | null,
  last: ShotWork | null,
  to: ShotWork,
  units: Units = 'metric',
): ChangeOver {
  const gear = gearChange(shoot, last, to);
  const way = from ? wayBetween(shoot, from, to, units) : { seconds: 0, parts: [], walkM: 0, carriedKgM: 0 };
  const otherMin = from && from.cameraKey !== to.cameraKey ? OTHER_CAMERA_MIN : 0;
  const other = otherMin > 0 ? [`the other camera, ${sayMinutes(otherMin * 60)}`] : [];
  return {
    ...way,
    lens: gear.lens,
    rig: gear.rig,
    seconds: gear.seconds + way.seconds + otherMin * 60,
    parts: [...other, ...gear.parts, ...way.parts],
  };
}
