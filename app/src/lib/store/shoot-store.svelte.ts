import type { Shoot } from '@gentle-arc/core/model/shoot';
import type { Shot } from '@gentle-arc/core/model/shot';
import { saveShoot } from './database';

const AUTOSAVE_MS = 200;
const MOST_STEPS = 300;

/** The open shoot: every change goes through `change`, can be undone, and is saved by itself. */
export class ShootStore {
  shoot: Shoot;
  /** Said when saving failed; null when all is kept. */
  saveProblem: string | null = $state(null);

  private past: Shoot[] = $state.raw([]);
  private future: Shoot[] = $state.raw([]);
  private timer: ReturnType<typeof setTimeout> | undefined;
  /** While a drag or a run of key presses goes on, changes with the same name are one step. */
  private joined: string | null = null;

  canUndo = $derived(this.past.length > 0);
  canRedo = $derived(this.future.length > 0);

  constructor(shoot: Shoot) {
    this.shoot = $state.raw(shoot);
  }

  /** Replaces the shoot. Changes that follow each other under one `join` name are undone together until `settle`. */
  change(next: Shoot, join: string | null = null): void {
    if (next === this.shoot) return;
    if (join === null || join !== this.joined) this.past = [...this.past.slice(-MOST_STEPS), this.shoot];
    this.joined = join;
    this.future = [];
    this.put(next);
  }

  changeShot(id: string, edit: (shot: Shot) => Shot, join: string | null = null): void {
    this.change({ ...this.shoot, shots: this.shoot.shots.map((shot) => (shot.id === id ? edit(shot) : shot)) }, join);
  }

  /** Ends a run of joined changes: the next one is a step of its own. */
  settle(): void {
    this.joined = null;
  }

  undo(): void {
    const previous = this.past.at(-1);
    if (!previous) return;
    this.settle();
    this.past = this.past.slice(0, -1);
    this.future = [this.shoot, ...this.future];
    this.put(previous);
  }

  redo(): void {
    const [next, ...rest] = this.future;
    if (!next) return;
    this.settle();
    this.future = rest;
    this.past = [...this.past, this.shoot];
    this.put(next);
  }

  /** Saves at once, for when the page is left. */
  async saveNow(): Promise<void> {
    clearTimeout(this.timer);
    this.timer = undefined;
    try {
      await saveShoot(this.shoot);
      this.saveProblem = null;
    } catch (error) {
      this.saveProblem = `This browser could not keep the last change (${(error as Error).message}). Export the shoot to be sure of it.`;
    }
  }

  private put(shoot: Shoot): void {
    this.shoot = shoot;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.saveNow(), AUTOSAVE_MS);
  }
}
