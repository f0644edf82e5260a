import { severity } from '../findings';
import type { Shoot } from '../model';
import { readShot } from '../reading';
import { boardShot, coverageOf, filmFindings, filmSeconds, joinsOf, type Told, tell, timelineOf } from '../sequence';

/** The shots in the order of the story, and the film that they make: `arc board`. */
export function boardJson(shoot: Shoot) {
  const told = shoot.shots.map((shot) => tell(shoot, shot));
  const board = told.map((row, i) => boardShot(row, i + 1));
  const coverage = coverageOf(shoot, board);
  return {
    shoot: shoot.name,
    lengthS: filmSeconds(timelineOf(told)),
    handlesS: shoot.story.handlesS,
    shots: board.map(({ shotId, number, sizes, direction, cutS, moving, restsS }, i) => ({
      shot: number,
      id: shotId,
      name: shoot.shots[i].name,
      scene: shoot.shots[i].sceneName,
      purpose: shoot.shots[i].purpose,
      sizes,
      direction,
      cutS,
      inS: told[i].frames.first / told[i].frames.rateHz,
      outS: told[i].frames.end / told[i].frames.rateHz,
      movingShare: moving,
      restsS,
      grade: gradeOf(shoot, told[i]),
    })),
    findings: filmFindings(shoot, told, board),
    coverage: coverage && {
      subject: coverage.name,
      cells: coverage.cells.map(({ side, size, numbers, ticked }) => ({ side, size, shots: numbers, ticked })),
    },
  };
}

/** The worst of a shot's own reading. */
function gradeOf(shoot: Shoot, { shot }: Told): string {
  const [worst] = readShot(shoot, shot).findings;
  return worst && severity(worst) > 0 ? worst.grade : 'calm';
}

/** How the shots meet: `arc joins`. */
export function joinsJson(shoot: Shoot) {
  return {
    shoot: shoot.name,
    joins: joinsOf(shoot).map(({ kind, grade, findings, from, to }, i) => ({
      from: i + 1,
      to: i + 2,
      kind,
      grade,
      outS: from.screenS,
      inS: to.screenS,
      findings: findings.map(({ id, grade: g, sentence, reason, value, limit, unit }) => ({
        id,
        grade: g,
        sentence,
        reason,
        value: Number.isFinite(value) ? value : null,
        limit,
        unit,
      })),
    })),
  };
}
