import { type Finding, kindOf } from '../findings';
import { type Kit, legAt, legsOf, type Shot, shotDurationS, type Units, withLeg } from '../model';
import { playingOf } from '../motion';
import { sceneFrom, type Scene } from '../scene';
import type { Adjustment, Rung } from './adjustments/adjustment';
import { ADJUSTMENTS, type Trouble } from './adjustments/table';

/**
 * What could cure a finding, most natural first; of a chain, the move is changed in which the trouble lies. Empty when
 * nothing but another idea helps.
 */
export function adjustmentsFor(finding: Finding, scene: Scene, kit: Kit, units: Units): Adjustment[] {
  const { shot } = scene;
  const index =
    finding.id === 'start'
      ? 0
      : finding.id === 'stop'
        ? shot.then.length
        : legAt(shot, playingOf(shot, shotDurationS(shot)).actionAt(finding.screenS));
  const { move, timing } = legsOf(shot)[index];
  const trouble: Trouble = { finding, scene: sceneFrom({ ...scene, shot: { ...shot, move, timing } }), kit, units };
  const changes = kindOf(finding.id).cures.flatMap((idea) => ADJUSTMENTS[idea](trouble));
  const back = (changed: Shot): Shot =>
    withLeg({ ...changed, move: shot.move, timing: shot.timing }, index, (leg) => ({
      ...leg,
      move: changed.move,
      timing: changed.timing,
    }));
  // Of a chain it is said which move is meant, where it is one.
  const said = ({ shot: changed, instruction }: Rung) =>
    shot.then.length === 0 || (changed.move === move && changed.timing === timing)
      ? instruction
      : `In move ${index + 1}: ${instruction.charAt(0).toLowerCase()}${instruction.slice(1)}`;
  return changes
    .filter((change) => change.length > 0)
    .map((change) => change.map((rung) => ({ ...rung, instruction: said(rung), shot: back(rung.shot) })));
}
