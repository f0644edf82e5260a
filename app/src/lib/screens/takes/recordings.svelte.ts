import { changeTake, countTake } from '@gentle-arc/core/edit';
import type { Recorded, Shoot, Shot, Take } from '@gentle-arc/core/model';
import { DEVICES } from '@gentle-arc/core/take';
import { newId } from '$lib/session/store/new-id';
import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
import { preferences } from '$lib/ui/preferences.svelte';
import type { LiveTake } from '$lib/workers/live-take.svelte';
import type { TakenIn } from '$lib/workers/take-messages';
import { DeviceRunner } from './device-runner.svelte';
import { PhoneRecorder } from './phone-recorder.svelte';

const MOST_MB = 60;

/** A take of a shot that something is laid on: the one that is open where it has none of it yet, else a new one. */
export function laidOn(
  shoot: Shoot,
  shot: Shot,
  take: Take | null,
  change: Pick<Take, 'recorded'> | Pick<Take, 'clip'>,
): { next: Shoot; id: string } {
  const [key] = Object.keys(change) as ('recorded' | 'clip')[];
  if (take && take.shotId === shot.id && take[key] === null)
    return { next: changeTake(shoot, take.id, change), id: take.id };
  const id = newId('take');
  return { next: changeTake(countTake(shoot, shot.id, id, new Date().toISOString()), id, change), id };
}

/**
 * Recordings being made and taken in, whichever word of the screen is open: one that runs goes on, for the shot that it
 * was begun for, until it is stopped or the screen is left.
 */
export class Recordings {
  readonly phone = new PhoneRecorder();
  readonly runner = new DeviceRunner();
  /** Something is being laid on its plan. */
  busy = $state(false);
  said: string | null = $state(null);
  notes: readonly string[] = $state.raw([]);
  /** A file whose columns somebody has to say, and what its columns are called. */
  file = $state.raw<{ name: string; text: string; names: readonly string[]; shot: Shot; take: Take | null } | null>(
    null,
  );
  private begun: { shot: Shot; take: Take | null } | null = null;

  /** `onmade`: a take has a recording now. */
  constructor(
    private readonly store: () => ShootStore,
    private readonly live: LiveTake,
    private readonly onmade: (takeId: string) => void,
  ) {}

  /** Starts recording with the phone, or stops and takes in what it felt. */
  async withPhone(shot: Shot, take: Take | null): Promise<void> {
    if (!this.phone.recording) {
      this.begun = { shot, take };
      this.said = await this.phone.start();
      return;
    }
    const record = this.phone.finish(preferences.phoneLies);
    const begun = this.begun ?? { shot, take };
    if (record)
      await this.takeIn(begun.shot, begun.take, () =>
        this.live.takeIn(this.store().shoot, begun.shot.id, preferences.units, record),
      );
    else this.said = 'Too little was recorded: hold still, make the move, and hold still again before you stop.';
  }

  async withDevice(kind: string, shot: Shot, take: Take | null): Promise<void> {
    const device = DEVICES.find((row) => row.kind === kind);
    if (!device) return;
    this.said = null;
    const { record, why } = await this.runner.run(device, this.store().shoot, shot);
    if (record)
      await this.takeIn(shot, take, () => this.live.takeIn(this.store().shoot, shot.id, preferences.units, record));
    if (why) this.said = why;
  }

  async openFile(chosen: File, shot: Shot, take: Take | null): Promise<void> {
    if (chosen.size > MOST_MB * 1024 * 1024) {
      const name = chosen.name.slice(0, 60);
      this.said = `“${name}” has ${Math.round(chosen.size / 1024 / 1024)} MB; recordings of up to ${MOST_MB} MB are read.`;
      return;
    }
    this.file = { name: chosen.name, text: await chosen.text(), names: [], shot, take };
    await this.readFile({}, {});
  }

  /** Reads the file that is open, with what somebody says of its columns and units. */
  async readFile(columns: Record<string, string>, inUnits: Record<string, string>): Promise<void> {
    if (!this.file) return;
    const { name, text, shot, take } = this.file;
    const { units } = preferences;
    const done = await this.takeIn(shot, take, () =>
      this.live.takeInFile(this.store().shoot, {
        shotId: shot.id,
        units,
        name,
        text,
        columns,
        inUnits,
        mount: 'asCamera',
      }),
    );
    if (done) this.file = null;
  }

  close(): void {
    this.phone.stop();
    this.runner.stop();
  }

  private async takeIn(shot: Shot, take: Take | null, ask: () => Promise<TakenIn>): Promise<boolean> {
    this.busy = true;
    this.said = null;
    this.notes = [];
    try {
      const answer = await ask();
      if ('refused' in answer) {
        this.said = answer.refused;
        if (this.file && answer.names.length > 0) this.file = { ...this.file, names: answer.names };
        return false;
      }
      this.notes = answer.notes;
      return this.keep(shot, take, answer.recorded);
    } catch (error) {
      this.said = (error as Error).message;
      return false;
    } finally {
      this.busy = false;
    }
  }

  private keep(shot: Shot, take: Take | null, recorded: Recorded): boolean {
    const store = this.store();
    // As it is now: meanwhile it may have been judged, or taken away.
    const now = store.shoot.log.takes.find(({ id }) => id === take?.id) ?? null;
    const { next, id } = laidOn(store.shoot, shot, now, { recorded });
    const kept = store.change(next);
    if (kept) this.onmade(id);
    return kept;
  }
}
