import { json } from '@sveltejs/kit';
import { readingJson } from '@gentle-arc/core/formats/reading-json';
import { Refusal } from '@gentle-arc/core/formats/refusal';
import { checkShoot } from '@gentle-arc/core/formats/shoot-file';
import { readShot } from '@gentle-arc/core/reading/read-shot';
import { readBody, TooLarge } from '$lib/server/body';

/** `POST /api/reading`: a shoot file in, the reading of every shot (or of `?shot=n`) out. */
export async function POST({ request, url }) {
  try {
    const text = await readBody(request);
    const shoot = checkShoot(JSON.parse(text));
    const wanted = url.searchParams.get('shot');
    const chosen = wanted === null ? shoot.shots.map((shot, i) => ({ shot, number: i + 1 })) : [{ shot: shoot.shots[Number(wanted) - 1], number: Number(wanted) }];
    if (chosen.some(({ shot }) => shot === undefined)) return refuse(422, 'shot', `shot must be a whole number from 1 to ${shoot.shots.length}; it is "${wanted}".`);
    return json({ shoot: shoot.name, shots: chosen.map(({ shot, number }) => readingJson(number, shot, readShot(shoot, shot))) });
  } catch (error) {
    if (error instanceof TooLarge) return refuse(413, 'body', error.message);
    if (error instanceof SyntaxError) return refuse(400, 'body', `The body is not JSON: ${error.message}.`);
    if (error instanceof Refusal) return refuse(422, error.problems[0].path, error.message);
    throw error;
  }
}

const refuse = (status: number, path: string, sentence: string) => json({ error: { path, sentence } }, { status });
