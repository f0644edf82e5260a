import { getContext, onDestroy, setContext } from 'svelte';
import { type Bench, type Kit, type Leg, newShot, type Shoot, type Shot, withLeg } from '@gentle-arc/core/model';
import { motionOf, plannedFilm, withBody } from '@gentle-arc/core/motion';
import { sceneOf } from '@gentle-arc/core/scene';
import { LiveReading } from '$lib/workers/live-reading.svelte';
import { Playhead } from './playhead.svelte';
import { preferences } from '../ui/preferences.svelte';
import type { ShootStore } from './store/shoot-store.svelte';
import { Turns } from './turns.svelte';

/** Changes what is worked out for a shot; changes that follow each other under one `join` name are one step of undo. */
export type SetBench = (edit: Partial<Bench>, join?: string | null) => void;

/**
 * The open shot: compiled and sampled once for everything on the page, with the one playhead that pictures, strips and
 * drawings stand by, its reading, and the ways to change it. Screens take it from context.
 */
export class ShotSession {
  readonly playhead = new Playhead();
  /** The reading of the shot; it is asked for by the screens that show one. */
  readonly live = new LiveReading(true, () => this.store.rushing);
  /** Which move of the shot is being shaped, as it was chosen. */
  chosenLeg = $state(0);
  /** Pieces are moved, turned and posed in this shot only, and not on the site of all shots. */
  onlyHere = $state(false);
  /** The piece on which a press in the picture makes a part. */
  partingId: string | null = $state(null);

  readonly shoot: Shoot = $derived.by(() => this.store.shoot);
  readonly shot: Shot = $derived.by(
    () =>
      this.shoot.shots.find(({ id }) => id === this.shotId) ??
      this.shoot.shots.at(0) ??
      // A place can be scouted before there is any shot.
      newShot(this.shoot.kit, this.shotId, 'From here', null),
  );
  readonly scene = $derived.by(() => sceneOf(this.shoot, this.shot));
  readonly motion = $derived.by(() => motionOf(this.scene));
  readonly film = $derived.by(() => plannedFilm(this.scene, this.motion));
  readonly samples = $derived.by(() => this.film.samples);
  /** The body under the camera would show in the picture. */
  readonly bodied = $derived.by(() =>
    [this.samples.body.bobM, this.samples.body.panDeg].some((column) => column.some((value) => value !== 0)),
  );
  /** As the picture shows it: with the body where it is wished. */
  readonly shown = $derived.by(() => (preferences.body && this.bodied ? withBody(this.samples) : this.samples));
  readonly row = $derived.by(() => Math.min(this.playhead.row, this.samples.count - 1));
  /** Which of its moves is being shaped. */
  readonly active = $derived.by(() => Math.min(this.chosenLeg, this.motion.legs.length - 1));
  readonly leg: Leg = $derived.by(() => this.scene.timeline[this.active].leg);

  private readonly turns = new Turns(() => this.store.rushing);
  private readonly noRush: () => void;
  private readonly calm = new Map<string, ShotSession>();

  constructor(
    readonly store: ShootStore,
    readonly shotId: string,
  ) {
    this.noRush = this.store.onRush(() => this.turns.keep());
    $effect(() => (this.store.rushing ? this.turns.give() : undefined));
  }

  /**
   * The same session for a part of the page that is read while something else is dragged: it comes in turns then, each
   * so many ms.
   */
  calmly = (part: string, everyMs?: number): ShotSession => {
    const known = this.calm.get(part);
    if (known) return known;
    // What was read arrives by itself, and is shown in a turn of its own.
    const live = this.turns.of(this.live, ['reading'], everyMs);
    const shot = this.turns.of<ShotSession>(this, CALM, everyMs);
    const calm = new Proxy(shot, { get: (from, key) => (key === 'live' ? live : Reflect.get(from, key)) });
    this.calm.set(part, calm);
    return calm;
  };

  /** Everything follows the shot: the playhead stays inside it. */
  fit(): void {
    this.playhead.fit(this.samples.count, this.samples.frameRateHz);
  }

  change = (next: Shoot, join: string | null = null): boolean => this.store.change(next, join);
  changeShot = (edit: (shot: Shot) => Shot, join: string | null = null): boolean =>
    this.store.changeShot(this.shotId, edit, join);
  /** Changes the move that is being shaped. */
  changeLeg = (edit: (leg: Leg) => Leg, join: string | null = null): boolean =>
    this.changeShot((shot) => withLeg(shot, this.active, edit), join && `${join}.${this.active}`);
  changeBench: SetBench = (edit, join = null) =>
    void this.changeShot((shot) => ({ ...shot, bench: { ...shot.bench, ...edit } }), join);
  changeKit = (kit: Kit, join: string | null = null): boolean => this.change({ ...this.shoot, kit }, join);
  settle = (): void => this.store.settle();

  /** Shows a moment on screen, standing still. */
  seek = (screenS: number): void => {
    this.playhead.pause();
    this.playhead.toTime(screenS);
  };

  close(): void {
    this.noRush();
    this.playhead.pause();
    this.live.close();
  }
}

/** What is worked out anew with each change. */
const CALM = [
  ...(['shoot', 'shot', 'scene', 'motion', 'film', 'samples', 'bodied', 'shown'] as const),
  ...(['row', 'active', 'leg'] as const),
];

const KEY = Symbol('shot');

/** Opens a shot for everything below; it is closed with the component that opened it. */
export function openShot(store: ShootStore, shotId: string): ShotSession {
  const session = new ShotSession(store, shotId);
  setContext(KEY, session);
  onDestroy(() => session.close());
  return session;
}

/** What is worked out anew for this long, ms, leaves the processor to the hand meanwhile. */
export const WORKED_OUT_MS = 900;

/** For everything below, the open shot comes in turns while something is dragged. */
export const takeTurns = (part: string, everyMs?: number): void =>
  void setContext(KEY, shotSession().calmly(part, everyMs));

/** The open shot. Screens of a shot are only drawn when there is one. */
export function shotSession(): ShotSession {
  const session = getContext<ShotSession | undefined>(KEY);
  if (!session) throw new Error('No shot is open.');
  return session;
}
