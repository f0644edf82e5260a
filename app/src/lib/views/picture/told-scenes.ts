import type { View } from './film';
import type { SceneMessage } from './picture-messages';

/** What each sheet was last told it is of, so that it is told again only what became another thing. */
export class ToldScenes {
  private readonly told = new Map<string, { view: View; rows: Set<object> }>();

  /** What a sheet has to be told anew of what it shows; undefined: nothing. */
  changed(name: string, view: View): SceneMessage | undefined {
    const before = this.told.get(name);
    if (before?.view.scene === view.scene && before.view.samples === view.samples && before.view.flown === view.flown)
      return undefined;
    const { shot, camera, lens, rig, gait, filters, delivery, pieces, subject, place, limits } = view.scene;
    this.told.set(name, { view, rows: new Set<object>(pieces) });
    const setup = { shot, camera, lens, rig, gait, filters, delivery, place, limits, subjectId: subject?.id ?? null };
    return {
      setup,
      order: pieces.map(({ id }) => id),
      rows: pieces.filter((piece) => !before?.rows.has(piece)),
      flown: view.flown ?? null,
      body: view.samples.plain !== undefined,
    };
  }

  forget(name: string): void {
    this.told.delete(name);
  }
}
