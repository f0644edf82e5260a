import type { Build, Kit, Shot, Support, Units } from '../model';
import type { Drag, RigView } from './drawing';
import type { Told } from './fact';
import type { Lump } from './masses';

/** A build on one kind of support, with what is on it as masses, and what it is for. */
export interface SupportCase<S extends Support = Support> {
  build: Build;
  support: S;
  kit: Kit;
  units: Units;
  shots: readonly Shot[];
  placed: readonly Lump[];
  /** What is on the camera's end, kg. */
  headKg: number;
}

/** What of the common checks a kind of support asks for: see `checklist.ts`. */
export type KindCheck =
  | 'axes'
  | 'restsLevel'
  | 'motors'
  | 'counter'
  | 'level'
  | 'bags'
  | 'marks'
  | 'drag'
  | 'line'
  | 'rigger'
  | 'lensStrap'
  | 'propellers'
  | 'law'
  | 'wind'
  | 'clear'
  | 'word'
  | 'lockedFocus'
  | 'tape';

/** What changes on a build between shots. */
export type RefitOf = 'camera' | 'lens' | 'filter' | 'zoom';

/** What carries a rig, and so how a kit is sorted: what is carried is balanced, the rest has to stand. */
export const SUPPORT_GROUPS = ['carried', 'standing', 'moving', 'home-made'] as const;

/** One kind of support: a new one is a folder with this, its schema in `model/build.ts`, and a line in `all.ts`. */
export interface SupportDefinition<S extends Support = Support> {
  /** What it is called in the middle of a sentence. */
  name: string;
  group: (typeof SUPPORT_GROUPS)[number];
  /** What is typed of it: sentences with a hole for every field, at most five each. */
  sentences: readonly string[];
  /** Facts and steps: what it carries, how it stands, and what hands do, one after the other. */
  tell(given: SupportCase<S>): Told;
  /** Two views to scale. Forward is to the right; from behind the right-hand side is to the right. */
  draw(given: SupportCase<S>): RigView[];
  /** The support after a grip of a view was dragged; it keeps within what it can be set to. */
  drag?(support: S, drag: Drag): S;
  /** From where to where a field goes as the rest is set, where that is less than its own range. */
  range?(support: S, field: string): [number, number] | null;
  checks: readonly KindCheck[];
  /** What crews usually mind: common practice, no published source. Never a verdict. */
  caution: string;
  /** What has to be balanced again when something changes, and how many minutes that takes: common practice, no published source. */
  refits: Record<RefitOf, { redo: string; minutes: number }>;
}
