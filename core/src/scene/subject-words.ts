import { WHOLE } from '../model';
import type { Scene } from './scene';

/** What a shot is after, as a person says it: `Ansa`, `Ansa’s face`. */
export function subjectWords({ subject, part }: Pick<Scene, 'subject' | 'part'>): string {
  if (!subject) return 'the subject';
  return part && part.id !== WHOLE ? `${subject.name}’s ${part.name}` : subject.name;
}
