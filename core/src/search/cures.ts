import { type Finding, severity } from '../findings';
import { type Piece, type Shoot, type Shot, ShotSchema, type Units } from '../model';
import { sceneOf } from '../scene';
import { readShot } from '../reading';
import { summaryOf, type ReadingSummary } from './reading-summary';
import { adjustmentsFor } from './adjustments-for';
import { alsoMends, tradeOffsOf, MENDED_WEIGHT, worsened } from './trade-offs';
import type { Adjustment, Rung } from './adjustments/adjustment';

/** One change that was tried through the whole reading and helps. */
export interface Cure {
  findingId: string;
  /** What to do: `Take 9 s for it`. */
  instruction: string;
  /** What it does to the finding: `removes the jolt`. */
  effect: string;
  /** Its number before and after, `125%/s² → 33%/s²`; empty where it says the same. */
  numbers: string;
  /** What it costs or gains elsewhere: `the subject becomes 8% smaller`. */
  costs: string[];
  /** All of it as one sentence. */
  sentence: string;
  /** It takes the finding to calm or fits; otherwise it only softens it. */
  removes: boolean;
  /** How much the costs weigh together: cures are offered lightest first. */
  weight: number;
  /** The whole shot after the change. */
  shot: Shot;
  /** The site's pieces after the change, when one of them is moved. */
  pieces: Piece[] | null;
}

/** How far a search has come: changes looked at of all there are; `found` whenever one finding is done. */
export interface SearchStep {
  done: number;
  of: number;
  found: { findingId: string; cures: Cure[] } | null;
}

const MOST_CURES = 3;

/**
 * Looks for changes that help against every trouble of a shot, one reading a step, so that whoever runs it can show
 * progress or stop.
 */
export function* searchCures(
  shoot: Shoot,
  shot: Shot,
  units: Units = 'metric',
  only?: string,
): Generator<SearchStep, void> {
  const search = new Search(shoot, shot, units);
  const work = search.findings
    .filter((finding) => severity(finding) > 0 && (only === undefined || finding.id === only))
    .map((finding) => ({ finding, changes: adjustmentsFor(finding, sceneOf(shoot, shot), shoot.kit, units) }));
  const of = work.reduce((sum, { changes }) => sum + changes.length, 0);
  let done = 0;
  for (const { finding, changes } of work) {
    const found: Cure[] = [];
    for (const change of changes) {
      const trying = search.firstThatHelps(change, finding);
      let step = trying.next();
      while (!step.done) {
        yield { done, of, found: null };
        step = trying.next();
      }
      if (step.value) found.push(step.value);
      done += 1;
    }
    yield { done, of, found: { findingId: finding.id, cures: best(found) } };
  }
}

/**
 * Up to three changes that take a finding to calm (or fits), lightest first; those that only soften it when none
 * removes it.
 */
export function curesFor(shoot: Shoot, shot: Shot, finding: Finding, units: Units = 'metric'): Cure[] {
  for (const { found } of searchCures(shoot, shot, units, finding.id)) if (found) return found.cures;
  return [];
}

function best(found: Cure[]): Cure[] {
  const cured = found.filter(({ removes }) => removes);
  const seen = new Set<string>();
  return (cured.length > 0 ? cured : found)
    .sort((a, b) => a.weight - b.weight)
    .filter(({ instruction }) => !seen.has(instruction) && seen.add(instruction))
    .slice(0, MOST_CURES);
}

/** Readings of one shot and its changes, each made once. */
class Search {
  readonly findings: Finding[];
  private readonly before: ReadingSummary;
  private readonly tried = new Map<string, ReadingSummary>();

  constructor(
    private readonly shoot: Shoot,
    private readonly shot: Shot,
    private readonly units: Units,
  ) {
    const reading = readShot(shoot, shot, units);
    this.findings = reading.findings;
    this.before = summaryOf(reading);
  }

  /**
   * The gentlest rung of a change that takes the finding away, or else the gentlest that softens it; null when none
   * does. A rung that takes another finding to a worse grade is none; what gets worse within its grade is said, and
   * weighed. Rungs are tried in leaps (1st, 2nd, 4th, 8th), then those before the leap that helped, or all that were
   * leapt over when none did.
   */
  *firstThatHelps(change: Adjustment, finding: Finding): Generator<undefined, Cure | null> {
    const leaps: number[] = [];
    for (let leap = 0; leap < change.length; leap = leap * 2 + 1) leaps.push(leap);
    const between = (from: number, to: number) =>
      [...change.keys()].filter((k) => k > from && k < to && !leaps.includes(k));
    let softer: Cure | null = null;
    for (const [i, k] of leaps.entries()) {
      const cure = this.weigh(change[k], finding);
      yield;
      if (!cure?.removes) {
        softer ??= cure;
        continue;
      }
      return (yield* this.firstThatRemoves(change, between(leaps[i - 1] ?? -1, k), finding)) ?? cure;
    }
    return (yield* this.firstThatRemoves(change, between(-1, change.length), finding)) ?? softer;
  }

  private *firstThatRemoves(
    change: Adjustment,
    rungs: readonly number[],
    finding: Finding,
  ): Generator<undefined, Cure | null> {
    for (const k of rungs) {
      const cure = this.weigh(change[k], finding);
      yield;
      if (cure?.removes) return cure;
    }
    return null;
  }

  private weigh(rung: Rung, finding: Finding): Cure | null {
    const { shot, before } = this;
    if (!ShotSchema.safeParse(rung.shot).success) return null;
    const after = this.read(rung);
    // Where nothing at all was seen, whatever comes into the picture is no loss.
    if (finding.id !== 'empty')
      for (const [id, row] of after.findings)
        if (id !== finding.id && row.severity > (before.findings.get(id)?.severity ?? 0)) return null;
    const same = after.findings.get(finding.id);
    const now = same?.severity ?? 0;
    if (now >= severity(finding)) return null;
    const costs = [
      ...tradeOffsOf(
        { shot, summary: before },
        { shot: rung.shot, summary: after },
        finding.id,
        rung.pieces !== undefined,
      ),
      ...worsened(before, after, finding.id),
    ];
    const mended = alsoMends(before, after, finding.id);
    const effect = effectOf(finding, same);
    const words = [
      ...costs.map((cost) => cost.words),
      ...(mended.length > 0
        ? [`also helps ${mended.length > 2 ? `${mended.length} other things` : mended.join(' and ')}`]
        : []),
    ];
    const numbers =
      !same || finding.said === same.said ? '' : `${finding.measure} from ${finding.said} to ${same.said}`;
    return {
      findingId: finding.id,
      instruction: rung.instruction,
      effect,
      numbers: numbers && `${finding.measure} ${finding.said} → ${same?.said}`,
      costs: words,
      sentence: `${rung.instruction}: ${[numbers ? `${effect} (${numbers})` : effect, ...words].join('; ')}.`,
      removes: now === 0,
      weight: costs.reduce((sum, { weight }) => sum + weight, 0) - mended.length * MENDED_WEIGHT,
      shot: rung.shot,
      pieces: rung.pieces ?? null,
    };
  }

  private read({ shot, pieces }: Rung): ReadingSummary {
    const key = JSON.stringify([shot, pieces ?? null]);
    const known = this.tried.get(key);
    if (known) return known;
    const shoot = pieces ? { ...this.shoot, site: { ...this.shoot.site, pieces } } : this.shoot;
    const summary = summaryOf(readShot(shoot, shot, this.units));
    this.tried.set(key, summary);
    return summary;
  }
}

function effectOf(before: Finding, after: { severity: number; grade: string } | undefined): string {
  const word = before.grade === 'cannot' || before.grade === 'tight' ? 'trouble' : before.grade;
  return !after || after.severity === 0 ? `removes the ${word}` : `softens it to ${after.grade}`;
}
