import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Piece, Shoot } from '@gentle-arc/core/model';
import { sampleShot, withBody } from '@gentle-arc/core/motion';
import { type Scene, sceneOf } from '@gentle-arc/core/scene';
import { anyShot } from '@gentle-arc/core/testing/any-shot';
import { demoShoot } from '@gentle-arc/core/testing/demo';
import { plainShoot } from '@gentle-arc/core/testing/shoots';
import type { View } from './film';
import { KeptScene } from './kept-scene';
import type { SceneMessage } from './picture-messages';
import { ToldScenes } from './told-scenes';

const demo = demoShoot();
const viewOf = (scene: Scene): View => ({ scene, samples: sampleShot(scene), row: 0 });
/** As it arrives on the other side. */
const sent = (message: SceneMessage | undefined) => message && structuredClone(message);

/** What is drawn of a scene: where everything is, and what the camera does. */
const drawnOf = ({ scene, samples }: { scene: Scene | null; samples: View['samples'] | null }) => ({
  pieces: scene?.pieces,
  subject: scene?.subject,
  place: scene?.place,
  durationS: scene?.durationS,
  at: samples && [samples.xM, samples.yM, samples.zM, samples.panDeg, samples.tiltDeg, samples.focalLengthMm],
});

const moved = (shoot: Shoot, which: number, byM: number): Shoot => ({
  ...shoot,
  site: {
    ...shoot.site,
    pieces: shoot.site.pieces.map((piece, i) => (i === which ? { ...piece, xM: piece.xM + byM } : piece)),
  },
});

describe('what a sheet is of, told and kept', () => {
  it.each(demo.shots.map((shot) => [shot.name, shot] as const))('“%s” is the same on either side', (_, shot) => {
    const view = viewOf(sceneOf(demo, shot));
    const kept = new KeptScene();
    const message = sent(new ToldScenes().changed('only', view));
    if (!message) throw new Error('Nothing was told.');
    kept.take(message);
    expect(drawnOf(kept)).toEqual(drawnOf(view));
  });

  it('stays the same over any changes of shot and site, of which only what changed is told', () => {
    const change = fc.oneof(
      anyShot.map((by) => (shoot: Shoot) => ({ shoot: { ...shoot, shots: shoot.shots.map(by) }, rows: 0 })),
      fc.tuple(fc.nat(2), fc.integer({ min: 1, max: 9 })).map(([which, byM]) => (shoot: Shoot) => ({
        shoot: moved(shoot, which, byM),
        rows: 1,
      })),
      fc.constant((shoot: Shoot) => ({
        shoot: { ...shoot, site: { ...shoot.site, pieces: [...shoot.site.pieces].reverse() } },
        rows: 0,
      })),
      fc.constant((shoot: Shoot) => ({
        shoot: { ...shoot, site: { ...shoot.site, pieces: shoot.site.pieces.filter(({ id }) => id !== 'post') } },
        rows: 0,
      })),
    );
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 6 }), (changes) => {
        const [told, kept] = [new ToldScenes(), new KeptScene()];
        let shoot = plainShoot();
        kept.take(sent(told.changed('only', viewOf(sceneOf(shoot, shoot.shots[0])))) as SceneMessage);
        for (const by of changes) {
          const next = by(shoot);
          shoot = next.shoot;
          const view = viewOf(sceneOf(shoot, shoot.shots[0]));
          const message = sent(told.changed('only', view)) as SceneMessage;
          expect(message.rows.length).toBeLessThanOrEqual(next.rows);
          kept.take(message);
          expect(drawnOf(kept)).toEqual(drawnOf(view));
        }
      }),
    );
  });

  it('is told once, each sheet by itself, and anew when it was forgotten', () => {
    const told = new ToldScenes();
    const view = viewOf(sceneOf(demo, demo.shots[0]));
    expect(told.changed('one', view)?.rows).toHaveLength(view.scene.pieces.length);
    expect(told.changed('one', view)).toBeUndefined();
    expect(told.changed('one', { ...view, row: 9 })).toBeUndefined();
    expect(told.changed('other', view)?.rows).toHaveLength(view.scene.pieces.length);
    told.forget('one');
    expect(told.changed('one', view)?.rows).toHaveLength(view.scene.pieces.length);
    expect(told.changed('other', view)).toBeUndefined();
  });

  it('goes with the body of whoever carries the camera', () => {
    const shot = demo.shots.find(({ id }) => id === 'shot-follow') ?? demo.shots[0];
    const scene = sceneOf(demo, shot);
    const view = { scene, samples: withBody(sampleShot(scene)), row: 0 };
    const kept = new KeptScene();
    kept.take(sent(new ToldScenes().changed('only', view)) as SceneMessage);
    expect(drawnOf(kept)).toEqual(drawnOf(view));
    expect(drawnOf(kept)).not.toEqual(drawnOf(viewOf(scene)));
  });

  it('keeps what did not change, so that it need not be made again', () => {
    const [told, kept] = [new ToldScenes(), new KeptScene()];
    const [shot] = demo.shots;
    kept.take(sent(told.changed('only', viewOf(sceneOf(demo, shot)))) as SceneMessage);
    const before = kept.scene?.pieces as readonly Piece[];
    const { place } = kept.scene as Scene;
    const next = moved(demo, 3, 1);
    kept.take(sent(told.changed('only', viewOf(sceneOf(next, shot)))) as SceneMessage);
    const after = kept.scene?.pieces as readonly Piece[];
    expect(after.filter((piece, i) => piece !== before[i])).toHaveLength(1);
    expect(kept.scene?.place).toBe(place);
    const longer = { ...shot, timing: { ...shot.timing, durationS: shot.timing.durationS + 1 } };
    kept.take(sent(told.changed('only', viewOf(sceneOf(next, longer)))) as SceneMessage);
    expect(kept.scene?.pieces).toBe(after);
  });
});
