import type { Piece } from '@gentle-arc/core/model';
import { asShown, playingOf, type Samples, sampleShot, withBody } from '@gentle-arc/core/motion';
import { flownSamples, fromKept } from '@gentle-arc/core/rehearse';
import { type Scene, sceneFrom } from '@gentle-arc/core/scene';
import type { SceneMessage } from './picture-messages';

/** What a sheet shows, kept from message to message: what is the same stays the same object. */
export class KeptScene {
  private pieces: readonly Piece[] = [];
  private byId = new Map<string, Piece>();
  scene: Scene | null = null;
  samples: Samples | null = null;

  take({ setup, order, rows, body, flown }: SceneMessage): void {
    for (const row of rows) this.byId.set(row.id, row);
    const pieces = order.flatMap((id) => this.byId.get(id) ?? []);
    const same = pieces.length === this.pieces.length && pieces.every((piece, i) => piece === this.pieces[i]);
    if (!same) {
      this.pieces = pieces;
      this.byId = new Map(pieces.map((piece) => [piece.id, piece]));
    }
    const before = this.scene;
    const as = <T>(was: T | undefined, is: T): T =>
      was !== undefined && JSON.stringify(was) === JSON.stringify(is) ? was : is;
    const { subjectId, ...rest } = setup;
    const shot = {
      ...rest.shot,
      walks: as(before?.shot.walks, rest.shot.walks),
      light: as(before?.shot.light, rest.shot.light),
    };
    this.scene = sceneFrom({
      ...rest,
      shot,
      place: as(before?.place, rest.place),
      pieces: this.pieces,
      subject: this.pieces.find(({ id }) => id === subjectId) ?? null,
      underlays: [],
    });
    if (flown) {
      const samples = flownSamples(this.scene, fromKept(flown));
      this.samples = asShown(samples, shot, playingOf(shot, this.scene.durationS));
      return;
    }
    const samples = sampleShot(this.scene);
    this.samples = body ? withBody(samples) : samples;
  }
}
