import { severity, type Finding } from '../model/finding';
import { setupOf, type Shoot } from '../model/shoot';
import { ShotSchema, type Shot } from '../model/shot';
import type { Units } from '../model/units';
import { readShot } from '../reading/read-shot';
import { changesFor, type Rung } from './changes';

/** One change that was tried through the whole reading and helps. */
export interface Cure {
  findingId: string;
  /** `Lower the camera to 0.6 m: near parallax from 4 %/s to 19 %/s.` */
  sentence: string;
  /** The whole shot after the change. */
  shot: Shot;
}

const MOST_CURES = 2;

/**
 * Up to two changes that take a finding to calm (or fits), each computed by reading the changed shot. A change that
 * makes another finding worse is not offered. A change that only softens the finding is offered when none removes it.
 */
export function curesFor(shoot: Shoot, shot: Shot, finding: Finding, units: Units = 'metric'): Cure[] {
  if (severity(finding) === 0) return [];
  const before = new Map(readShot(shoot, shot, units).findings.map((row) => [row.id, severity(row)]));
  const setup = setupOf(shoot, shot);
  const cured: Cure[] = [];
  const softened: Cure[] = [];
  for (const change of changesFor(finding, setup, shoot.kit, units)) {
    const found = firstThatHelps(shoot, change, finding, before, units);
    if (!found) continue;
    (found.removes ? cured : softened).push(found.cure);
    if (cured.length === MOST_CURES) break;
  }
  return (cured.length > 0 ? cured : softened).slice(0, MOST_CURES);
}

function firstThatHelps(shoot: Shoot, change: readonly Rung[], finding: Finding, before: ReadonlyMap<string, number>, units: Units): { cure: Cure; removes: boolean } | null {
  let softer: Cure | null = null;
  for (const { shot, instruction } of change) {
    if (!ShotSchema.safeParse(shot).success) continue;
    const after = readShot(shoot, shot, units).findings;
    const worse = after.some((row) => row.id !== finding.id && severity(row) > (before.get(row.id) ?? 0));
    if (worse) continue;
    const same = after.find((row) => row.id === finding.id);
    const now = same ? severity(same) : 0;
    if (now >= severity(finding)) continue;
    const cure = { findingId: finding.id, sentence: sentenceOf(instruction, finding, same), shot };
    if (now === 0) return { cure, removes: true };
    softer ??= cure;
  }
  return softer && { cure: softer, removes: false };
}

function sentenceOf(instruction: string, before: Finding, after: Finding | undefined): string {
  if (!after) return `${instruction}.`;
  if (before.said === after.said) return `${instruction}: from ${before.grade} to ${after.grade}.`;
  return `${instruction}: ${before.measure} from ${before.said} to ${after.said}.`;
}
