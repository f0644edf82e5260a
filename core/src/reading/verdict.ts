import { sayCount } from '../model';
import { type Finding, severity } from '../findings';

/** The whole reading in a few words. */
export function readingVerdict(findings: readonly Finding[]): { grade: 'calm' | 'ripple' | 'jolt'; text: string } {
  const counted = (n: number) => sayCount(n, 'thing');
  const hard = findings.filter((finding) => severity(finding) === 2).length;
  const soft = findings.filter((finding) => severity(finding) === 1).length;
  if (hard > 0) return { grade: 'jolt', text: `Will not work yet: ${counted(hard)} to mend` };
  return soft > 0
    ? { grade: 'ripple', text: `Nearly: ${counted(soft)} to look at` }
    : { grade: 'calm', text: 'Reads smoothly' };
}
