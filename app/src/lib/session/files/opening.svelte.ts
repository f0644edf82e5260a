import { goto } from '$app/navigation';
import type { FileKind } from '@gentle-arc/core/formats';
import { differencesOf, type Shoot } from '@gentle-arc/core/model';
import { openHref } from '$lib/session/links';
import type { Kept } from '$lib/session/store/database';
import { DEMO_ID, fetchDemo } from '$lib/session/store/demo';
import { keepInMemory } from '$lib/session/store/memory';
import { newId } from '$lib/session/store/new-id';
import { storageTrouble } from '$lib/session/store/trouble';
import { readFile } from '$lib/workers/read-file';
import { takers } from './takers.svelte';

interface Said {
  text: string;
  undo?: () => Promise<void>;
}
/** A shoot of a file, and another state of it that lies here. */
interface Question {
  shoot: Shoot;
  here: Kept | null;
  differences: string[];
}

/** Loaded when a file comes: the first page does not wait for it. */
const database = () => import('$lib/session/store/database');

/** What of the screen that is shown takes a file as it is, if anything: told by what kind of file it is. */
function takerOf({ name, type }: File): ((file: File) => void) | null {
  if (type.startsWith('image/')) return takers.photo;
  if (type.startsWith('video/') || /\.(mp4|mov|webm|mkv)$/i.test(name)) return takers.clip;
  return /\.(csv|txt|gpx)$/i.test(name) ? takers.recording : null;
}

/** Files that are chosen or dropped anywhere, and what is said of them. */
class Opening {
  problem: string | null = $state(null);
  said: Said | null = $state.raw(null);
  question: Question | null = $state.raw(null);

  /** There is something to say, or to ask. */
  get hasWords(): boolean {
    return this.problem !== null || this.said !== null || this.question !== null;
  }

  /** Takes a file in: a shoot is opened, anything else goes to the screen that is shown. */
  async take(file: File, wanted: FileKind | null = null): Promise<void> {
    this.problem = null;
    this.said = null;
    const taker = takerOf(file);
    if (taker) {
      taker(file);
      return;
    }
    // A track is a way on the ground where nobody is there to walk it.
    const asked = wanted ?? (takers.site && !takers.walk && /\.gpx$/i.test(file.name) ? 'site' : null);
    const landing = { xM: 0, yM: 0, zM: 0, ...takers.walk?.landing, place: takers.site?.place ?? null };
    const contents = await readFile(file, asked, landing);
    if (typeof contents === 'string') this.problem = contents;
    else if (contents.kind === 'shoot') await this.open(contents.shoot);
    else if (contents.kind === 'parts') {
      if (takers.parts) takers.parts(contents.parts);
      else this.problem = `“${file.name}” holds parts: drop it on the Kit screen of a shoot.`;
    } else if (contents.kind === 'model') {
      if (takers.model) takers.model(contents.model);
      else this.problem = `“${file.name}” is a model: drop it on the Move screen of a shot.`;
    } else if (contents.kind === 'site') {
      if (takers.site) takers.site.take(contents.site);
      else this.problem = `“${file.name}” holds a place: drop it on the Scout screen of a shoot.`;
    } else if (contents.kind === 'shots') {
      if (takers.shots) takers.shots(contents.rows);
      else this.problem = `“${file.name}” is a shot list: drop it on the board of a shoot, under Shots.`;
    } else if (takers.walk) takers.walk.take(contents.points);
    else this.problem = `“${file.name}” holds a walk: choose a piece on the Move screen of a shot, then drop it there.`;
  }

  /** The person has chosen what becomes of a shoot that is here already. */
  async answer(which: 'both' | 'replace'): Promise<void> {
    const { question } = this;
    this.question = null;
    if (!question) return;
    const { shoot, here } = question;
    if (which === 'both')
      await this.keep({
        shoot: { ...shoot, id: newId('shoot'), name: `${shoot.name.slice(0, 110)} (opened)` },
        rev: null,
        past: [],
        future: [],
      });
    else
      await this.keep(
        {
          shoot,
          rev: here?.rev ?? (await (await database()).stateOf(shoot.id)),
          past: here ? [...here.past, here.shoot] : [],
          future: [],
        },
        here?.shoot,
      );
  }

  private async open(shoot: Shoot): Promise<void> {
    try {
      const lies = await (await database()).findShoot(shoot.id);
      if (lies === null && shoot.id !== DEMO_ID) return await this.keep({ shoot, rev: null, past: [], future: [] });
      if (lies?.problem) {
        this.question = {
          shoot,
          here: null,
          differences: [`What lies here under this name cannot be read: ${lies.problem}`],
        };
        return;
      }
      const here = (await (await database()).loadShoot(shoot.id)) ?? {
        shoot: await fetchDemo(),
        rev: null,
        past: [],
        future: [],
      };
      const differences = differencesOf(here.shoot, shoot, { one: 'here', other: 'in the file' });
      if (differences.length > 0) {
        this.question = { shoot, here, differences };
        return;
      }
      await goto(openHref(shoot));
      this.said = { text: `“${shoot.name}” is here already and nothing differs.` };
    } catch (error) {
      await this.onlyHere(shoot, error);
    }
  }

  private async keep(kept: Kept, before: Shoot | null = null): Promise<void> {
    try {
      const saved = await (await database()).saveShoot(kept, before);
      if (saved.outcome !== 'saved') {
        // Another tab was quicker: compare again with what lies here now.
        await this.open(kept.shoot);
        return;
      }
      await goto(openHref(kept.shoot));
      this.said = { text: `“${kept.shoot.name}” is open.` };
    } catch (error) {
      await this.onlyHere(kept.shoot, error);
    }
  }

  private async onlyHere(shoot: Shoot, error: unknown): Promise<void> {
    keepInMemory(shoot);
    await goto(openHref(shoot));
    this.problem = `“${shoot.name}” is open, but cannot be kept. ${storageTrouble(error)} Take it away as a file before you leave.`;
  }
}

export const opening = new Opening();
