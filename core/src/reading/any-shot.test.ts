import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { severity } from '../findings';
import { ShotSchema } from '../model';
import { lengthOnScreenS } from '../motion';
import { curesFor } from '../search';
import { anyShot } from '../testing/any-shot';
import { plainShoot } from '../testing/shoots';
import { readShot } from './read-shot';

describe('any shot that the model allows', () => {
  it('reads in whole sentences and whole numbers, worst first, each thing once', () => {
    fc.assert(
      fc.property(anyShot, fc.constantFrom('metric' as const, 'imperial' as const), (edit, units) => {
        const shoot = plainShoot(edit);
        const { findings, cautions, picture } = readShot(shoot, shoot.shots[0], units);
        expect(new Set(findings.map((finding) => finding.id)).size).toBe(findings.length);
        const grades = findings.map(severity);
        expect([...grades].sort((a, b) => b - a)).toEqual(grades);
        for (const finding of findings) {
          expect(finding.sentence).toMatch(/^\S.*\.$/);
          expect(finding.reason).toMatch(/^\S.*\.$/);
          expect(`${finding.sentence} ${finding.reason} ${finding.said}`).not.toMatch(/NaN|undefined|null|Infinity/);
          expect(Number.isFinite(finding.value) && Number.isFinite(finding.limit)).toBe(true);
          expect(finding.screenS).toBeGreaterThanOrEqual(0);
          expect(finding.screenS).toBeLessThanOrEqual(lengthOnScreenS(shoot.shots[0]) + 1e-6);
        }
        for (const { sentence } of cautions) expect(sentence).not.toMatch(/NaN|undefined/);
        for (const column of [
          picture.samples.xM,
          picture.samples.panDeg,
          picture.samples.tiltDeg,
          picture.samples.focalLengthMm,
          picture.screen.acceleration,
        ])
          expect(column.every(Number.isFinite)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('is offered only changes that are shots in order and that help', () => {
    fc.assert(
      fc.property(anyShot, (edit) => {
        const shoot = plainShoot(edit);
        const trouble = readShot(shoot, shoot.shots[0]).findings.find((finding) => severity(finding) > 0);
        if (!trouble) return;
        for (const cure of curesFor(shoot, shoot.shots[0], trouble)) {
          expect(ShotSchema.safeParse(cure.shot).success).toBe(true);
          expect(cure.shot.id).toBe(shoot.shots[0].id);
          const after = readShot(shoot, cure.shot).findings.find((finding) => finding.id === trouble.id);
          expect(after ? severity(after) : 0).toBeLessThan(severity(trouble));
          expect(cure.sentence).toMatch(/^[A-Z].*\.$/);
        }
      }),
      { numRuns: 10 },
    );
  });

  it('reads the same twice', () => {
    fc.assert(
      fc.property(anyShot, (edit) => {
        const shoot = plainShoot(edit);
        expect(readShot(shoot, shoot.shots[0]).findings).toEqual(
          readShot(structuredClone(shoot), structuredClone(shoot.shots[0])).findings,
        );
      }),
      { numRuns: 8 },
    );
  });
});
