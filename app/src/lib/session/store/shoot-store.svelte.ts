import { differencesOf, problemsIn, saidOf, type Shoot, type Shot, tooLarge } from '@gentle-arc/core/model';
import { forgetStates, loadShoot, removeShoot, saveShoot, stateOf, type Kept, type Saved } from './database';
import { forgetMemory, keepInMemory } from './memory';
import { newId } from './new-id';
import { isFull, storageTrouble } from './trouble';
import { forgetUnsaved, putAway, type Unsaved } from './unsaved';

/** From a change to its save: no later, however fast changes come. */
const AUTOSAVE_MS = 100;
/** While something is held it changes all the time, and each save takes the page's thread for some milliseconds. */
const HELD_SAVE_MS = 800;
const MOST_STEPS = 300;
/** Presses of a key that follow each other this closely are one step of undo. */
const RUN_MS = 1000;

/** So long after its last change a hand that holds something rests, ms. */
const HAND_RESTS_MS = 250;

/** What another tab did to the shoot that is open here. */
export type Elsewhere =
  /**
   * It was changed there and here; what was made here lies beside it as a shoot of its own until the person has chosen.
   */
  | { what: 'changed'; theirs: Kept; keptAs: { id: string; name: string; rev: string | null }; differences: string[] }
  | { what: 'deleted' };

/**
 * The open shoot: every change goes through `change`, is in order or refused, can be undone, and is saved by itself.
 */
export class ShootStore {
  shoot: Shoot;
  /** Why the last change was not made; null when it was. */
  refusal: string | null = $state(null);
  /** Said when saving failed; null when all is kept. */
  saveProblem: string | null = $state(null);
  elsewhere: Elsewhere | null = $state.raw(null);
  /** Something that a pointer holds changes the shoot with each of its moves: faster than words about it can be read. */
  rushing = $state(false);

  private past: Shoot[] = $state.raw([]);
  private future: Shoot[] = $state.raw([]);
  /** The state in the database that this one was made from. */
  private rev: string | null;
  /** What lies in the database; null when nothing does. */
  private saved: Shoot | null;
  private before: Shoot | null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private saving: Promise<void> | null = null;
  private held = false;
  private pointed = false;
  private awaited = false;
  /** What is not saved yet was put away as the page was left. */
  private away = false;
  /** While a drag or a run of key presses goes on, changes with the same name are one step. */
  private joined: string | null = null;
  private joinedMs = 0;
  private rest: ReturnType<typeof setTimeout> | undefined;
  private readonly beforeRush = new Set<() => void>();

  canUndo = $derived(this.past.length > 0);
  canRedo = $derived(this.future.length > 0);

  constructor({ shoot, rev, past, future }: Kept) {
    this.shoot = $state.raw(shoot);
    this.past = past;
    this.future = future;
    this.rev = rev;
    this.saved = shoot;
    this.before = shoot;
  }

  /**
   * Replaces the shoot; false when it would not be in order, with the reason in `refusal`. Changes that follow each
   * other under one `join` name are undone together until `settle`.
   */
  change(next: Shoot, join: string | null = null): boolean {
    if (next === this.shoot) return true;
    const [problem] = problemsIn(next, this.shoot);
    const reason = problem ? saidOf(next, problem) : tooLarge(next, this.shoot);
    if (reason !== null) {
      this.refusal = `This was not changed. ${reason}`;
      return false;
    }
    this.refusal = null;
    // A run of key presses ends with a pause; what a pointer holds ends when it lets go.
    const nowMs = performance.now();
    if (!this.held && nowMs - this.joinedMs > RUN_MS) this.joined = null;
    this.joinedMs = nowMs;
    if (this.pointed && join !== null) this.rush();
    if (join === null || join !== this.joined) this.past = [...this.past.slice(1 - MOST_STEPS), this.shoot];
    this.joined = join;
    // One list as long as nothing changes in it: it is not written again with every save of a drag.
    if (this.future.length > 0) this.future = [];
    this.put(next);
    return true;
  }

  changeShot(id: string, edit: (shot: Shot) => Shot, join: string | null = null): boolean {
    return this.change(
      { ...this.shoot, shots: this.shoot.shots.map((shot) => (shot.id === id ? edit(shot) : shot)) },
      join && `${id}.${join}`,
    );
  }

  /** There is a rush for as long as one change follows the other: a hand that rests wants to read. */
  private rush(): void {
    if (!this.rushing) for (const tell of this.beforeRush) tell();
    this.rushing = true;
    clearTimeout(this.rest);
    this.rest = setTimeout(() => (this.rushing = false), HAND_RESTS_MS);
  }

  /** `tell` is called whenever a rush is about to begin, before its first change; returns what ends that. */
  onRush(tell: () => void): () => void {
    this.beforeRush.add(tell);
    return () => this.beforeRush.delete(tell);
  }

  /** Ends a run of joined changes: the next one is a step of its own. */
  settle(): void {
    this.joined = null;
    this.rushing = false;
  }

  undo(): void {
    const previous = this.past.at(-1);
    if (!previous) return;
    this.settle();
    this.refusal = null;
    this.past = this.past.slice(0, -1);
    this.future = [this.shoot, ...this.future];
    this.put(previous);
  }

  redo(): void {
    const [next, ...rest] = this.future;
    if (!next) return;
    this.settle();
    this.refusal = null;
    this.future = rest;
    this.past = [...this.past, this.shoot];
    this.put(next);
  }

  /** What brings back a shot that is not there: undo, redo, or nothing. */
  wayBackTo(shotId: string): 'Undo' | 'Redo' | null {
    const has = (shoot: Shoot) => shoot.shots.some(({ id }) => id === shotId);
    return this.future.some(has) ? 'Redo' : this.past.some(has) ? 'Undo' : null;
  }

  /** Nothing of another tab comes in while something is typed or dragged here; `pointed`: a pointer holds it. */
  hold(held: boolean, pointed = held): void {
    const letGo = this.held && !held;
    this.held = held;
    this.pointed = pointed;
    if (!pointed) this.rushing = false;
    if (letGo && this.timer !== undefined) {
      clearTimeout(this.timer);
      this.timer = undefined;
      this.saveSoon();
    }
    if (!held && this.awaited) void this.lookAgain();
  }

  /** Takes over what another tab has saved, unless something here is not saved yet: then the save finds out. */
  async lookAgain(): Promise<void> {
    if (this.elsewhere) return;
    this.awaited = this.held || this.dirty || this.saving !== null;
    if (this.awaited) return;
    const known = this.rev;
    // What was read while a save of this tab went through is already old.
    const passed = () => this.dirty || this.saving !== null || this.rev !== known;
    try {
      const rev = await stateOf(this.shoot.id);
      if (passed() || rev === known) return;
      const theirs = rev === null ? null : await loadShoot(this.shoot.id);
      if (passed()) return;
      if (theirs) this.takeOver(theirs);
      else if (this.rev !== null) this.elsewhere = { what: 'deleted' };
    } catch (error) {
      this.saveProblem = storageTrouble(error);
    }
  }

  /**
   * The page is being left, maybe before a save can be over: what is not saved yet is put away as well, for
   * `comeBack` of the next one.
   */
  leave(): void {
    if (this.dirty && !this.elsewhere) {
      putAway({ shoot: this.shoot, rev: this.rev });
      this.away = true;
    }
    void this.saveNow();
  }

  /**
   * Takes up what the page before this one put away, as a change that can be undone; where another tab has saved since,
   * the save finds out.
   */
  comeBack({ shoot, rev }: Unsaved): void {
    if (JSON.stringify(shoot) === JSON.stringify(this.shoot)) {
      forgetUnsaved(shoot.id);
      return;
    }
    // It stays put away until it is saved: this page may be gone as soon as the one before.
    this.away = true;
    this.rev = rev;
    this.change(shoot);
  }

  /** Saves at once what is not saved yet. */
  async saveNow(): Promise<void> {
    clearTimeout(this.timer);
    this.timer = undefined;
    // Whoever waited looks again: another one that waited may be saving by now, and two at once would be taken for two
    // tabs.
    while (this.saving) await this.saving;
    if (!this.dirty || this.elsewhere?.what === 'deleted') return;
    this.saving = this.write();
    await this.saving;
    this.saving = null;
    if (this.awaited && !this.dirty) void this.lookAgain();
  }

  /**
   * Both tabs changed it: go on with what was made here, take over what the other made (undo brings this back), or keep
   * both.
   */
  async choose(which: 'mine' | 'theirs' | 'both'): Promise<void> {
    if (this.elsewhere?.what !== 'changed') return;
    await this.saveNow();
    const { theirs, keptAs } = this.elsewhere;
    const mine = this.shoot;
    this.elsewhere = null;
    if (which === 'mine') {
      this.rev = theirs.rev;
      this.before = theirs.shoot;
      this.saved = theirs.shoot;
      await this.saveNow();
    } else {
      this.takeOver(theirs);
      if (which === 'theirs') this.past = [...this.past, mine];
    }
    if (which !== 'both') await removeShoot(keptAs.id);
  }

  /** Another tab deleted it: it is put back as it is here. */
  async putBack(): Promise<void> {
    this.elsewhere = null;
    this.rev = null;
    this.saved = null;
    await this.saveNow();
  }

  private get dirty(): boolean {
    return this.shoot !== this.saved;
  }

  private takeOver({ shoot, rev, past, future }: Kept): void {
    this.shoot = shoot;
    this.saved = shoot;
    this.rev = rev;
    this.past = past;
    this.future = future;
    this.before = null;
    this.awaited = false;
    this.settle();
  }

  private async write(): Promise<void> {
    const { shoot } = this;
    try {
      const outcome = await this.tryWrite(shoot);
      if (outcome === 'saved') {
        this.saved = shoot;
        this.saveProblem = null;
        forgetMemory(shoot.id);
        this.savedWhileAway(shoot);
        askToKeep();
      } else if (outcome === 'gone') this.elsewhere = { what: 'deleted' };
      else await this.keepBeside();
    } catch (error) {
      keepInMemory(shoot);
      this.saveProblem = `The last change is not kept. ${storageTrouble(error)} It is in this tab as long as you do not leave it: take it away as a file to be sure of it.`;
    }
  }

  /** What was put away is forgotten once it is what was saved: a save that had begun before may end in the same moment. */
  private savedWhileAway(saved: Shoot): void {
    if (!this.away) return;
    this.away = this.shoot !== saved;
    if (this.away && !this.elsewhere) putAway({ shoot: this.shoot, rev: this.rev });
    else if (!this.away) forgetUnsaved(saved.id);
  }

  private async tryWrite(shoot: Shoot): Promise<Saved['outcome']> {
    const beside = this.elsewhere?.what === 'changed' ? this.elsewhere.keptAs : null;
    const kept = beside
      ? { shoot: { ...shoot, id: beside.id, name: beside.name }, rev: beside.rev, past: [], future: [] }
      : { shoot, rev: this.rev, past: this.past, future: this.future };
    const write = () => saveShoot(kept, beside ? null : this.before);
    let saved: Saved;
    try {
      saved = await write();
    } catch (error) {
      if (!isFull(error)) throw error;
      await forgetStates();
      saved = await write();
    }
    if (saved.outcome === 'saved') {
      if (beside) beside.rev = saved.rev;
      else this.rev = saved.rev;
      this.before = null;
    }
    return saved.outcome;
  }

  /** What was made here is kept as a shoot of its own, and the person is asked. */
  private async keepBeside(): Promise<void> {
    const theirs = await loadShoot(this.shoot.id);
    if (!theirs) {
      this.elsewhere = { what: 'deleted' };
      return;
    }
    const differences = differencesOf(this.shoot, theirs.shoot, { one: 'here', other: 'in the other tab' });
    if (differences.length === 0) {
      this.takeOver(theirs);
      return;
    }
    const keptAs = { id: newId('shoot'), name: `${this.shoot.name.slice(0, 100)} (this tab)`, rev: null };
    this.elsewhere = { what: 'changed', theirs, keptAs, differences };
    await this.write();
  }

  private put(shoot: Shoot): void {
    this.shoot = shoot;
    this.saveSoon();
  }

  private saveSoon(): void {
    if (this.dirty) this.timer ??= setTimeout(() => void this.saveNow(), this.held ? HELD_SAVE_MS : AUTOSAVE_MS);
  }
}

let asked = false;

/** Once there is own work, asks the browser not to throw it away when room runs short. */
function askToKeep(): void {
  if (asked) return;
  asked = true;
  void globalThis.navigator?.storage?.persist?.();
}
