import type { PictureGrade } from '../findings';
import { severity } from '../findings';
import type { JoinKind, Limits, Shoot } from '../model';
import { type Edge, edgeOf } from './edge';
import { judgeDark, judgeGround, judgeHandles, judgeLight, judgeRate } from './judge-frame';
import { judgeMotion, judgeRoll, judgeSpin, judgeWhip } from './judge-motion';
import { judgeAction, judgeLine, judgePlace, judgeSize } from './judge-subject';
import { type Joined, type JoinFinding, joinLimits } from './join-finding';
import { type Told, tell } from './told';

/** How two shots that follow each other meet. */
export interface JoinReading {
  fromId: string;
  toId: string;
  kind: JoinKind;
  /** The worst of what is found. */
  grade: PictureGrade;
  /** Worst first. */
  findings: JoinFinding[];
  from: Edge;
  to: Edge;
}

const JUDGES: ((joined: Joined) => JoinFinding[])[] = [
  judgeWhip,
  judgeDark,
  judgeGround,
  judgeSpin,
  judgeAction,
  judgeMotion,
  judgePlace,
  judgeSize,
  judgeLine,
  judgeRoll,
  judgeLight,
  judgeRate,
  judgeHandles,
];

/** A shot as its joins need it: what of it is in the cut, and what is seen at both ends of that. */
export interface Ends extends Pick<Told, 'shot' | 'frames'> {
  in: Edge;
  out: Edge;
}

export const endsOf = (told: Told): Ends => ({
  shot: told.shot,
  frames: told.frames,
  in: edgeOf(told, 'in'),
  out: edgeOf(told, 'out'),
});

/** Judges how two told shots meet: the kind is what the first says of it. */
export const judgeJoin = (one: Told, other: Told, handlesS: number): JoinReading =>
  judgeEnds({ ...one, out: edgeOf(one, 'out') }, { ...other, in: edgeOf(other, 'in') }, handlesS, one.scene.limits);

/** The same of two shots whose ends are known. */
export function judgeEnds(
  one: Omit<Ends, 'in'>,
  other: Omit<Ends, 'out'>,
  handlesS: number,
  limits: Limits,
): JoinReading {
  const { kind } = one.shot.join;
  const [from, to] = [one.out, other.in];
  const joined: Joined = {
    ...{ kind, from, to, handlesS },
    fromFrames: one.frames,
    toFrames: other.frames,
    limits: joinLimits(limits),
  };
  const findings = JUDGES.flatMap((judge) => judge(joined)).sort((a, b) => severity(b) - severity(a));
  return {
    fromId: one.shot.id,
    toId: other.shot.id,
    kind,
    grade: findings[0]?.grade ?? 'calm',
    findings,
    from,
    to,
  };
}

/** Every join of a shoot, in the order of its story. `telling`: how a shot is told, for whoever keeps them. */
export function joinsOf(
  shoot: Shoot,
  telling: (shoot: Shoot, shot: Shoot['shots'][number]) => Told = tell,
): JoinReading[] {
  const { shots, story } = shoot;
  const joins: JoinReading[] = [];
  let one: Told | null = null;
  for (const shot of shots) {
    const other = telling(shoot, shot);
    if (one) joins.push(judgeJoin(one, other, story.handlesS));
    one = other;
  }
  return joins;
}
