import { readShootFile } from '@gentle-arc/core/formats';
import type { Shoot } from '@gentle-arc/core/model';
import demoUrl from '../../../../../demo/first-flush.arc.json?url';

export const DEMO_ID = 'first-flush';

/** The demo shoot as it ships with the app. */
export async function fetchDemo(): Promise<Shoot> {
  const answer = await fetch(demoUrl);
  if (!answer.ok) throw new Error(`The demo shoot could not be read (status ${answer.status}).`);
  return readShootFile(await answer.text());
}
