import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { sampleShot } from '@gentle-arc/core/motion';
import { sceneOf } from '@gentle-arc/core/scene';
import { plainShoot } from '@gentle-arc/core/testing/shoots';
import type { View } from './film';
import { PictureDesk } from './picture-desk';
import type { ShowMessage } from './picture-messages';
import { ToldScenes } from './told-scenes';

/** What a film was asked for, and how long it takes to draw it. */
const film = vi.hoisted(() => ({ asked: [] as string[], drawMs: 30, looks: 3, fails: false }));

vi.mock('./film', () => ({
  drawnView: (view: View) => view,
  Film: class {
    private laid = 0;
    /** The graphics draw one thing after the other. */
    private busyUntilMs = 0;
    private draws() {
      this.busyUntilMs = Math.max(this.busyUntilMs, performance.now()) + film.drawMs;
    }
    setLook = () => undefined;
    dispose = () => undefined;
    getReady = () => film.asked.push('ready');
    show(views: View[], _papers: unknown, _blur: unknown, playing: boolean, scale = 1, hurried = false) {
      if (film.fails) throw new Error('The graphics are gone.');
      const how = hurried ? 'hurried' : playing ? 'playing' : 'fine';
      film.asked.push(`${how}${scale < 1 ? ` at ${scale.toFixed(2)}` : ''} ${views[0].scene.shot.name}`);
      this.laid = 0;
      this.draws();
      return !hurried;
    }
    refine() {
      film.asked.push('look');
      this.laid += 1;
      this.draws();
      return this.laid < film.looks;
    }
    drawn = () => new Promise((resolve) => setTimeout(resolve, this.busyUntilMs - performance.now()));
  },
}));

const reported = vi.fn();
const told = new ToldScenes();
/** A message for a picture of a plain shot by that name. */
function message(name: string, more: Partial<ShowMessage> = {}): ShowMessage {
  told.forget('only');
  const shoot = plainShoot((shot) => ({ ...shot, name }));
  const scene = sceneOf(shoot, shoot.shots[0]);
  const view = { scene, samples: sampleShot(scene), row: 0 };
  return {
    views: [{ name: 'only', row: 0, width: 640, height: 360, live: null, scene: told.changed('only', view) }],
    blur: { lens: false, motion: false, tone: false },
    dim: false,
    tint: false,
    playing: false,
    held: false,
    pageWaits: false,
    ...more,
  };
}

function deskOf(software = true): PictureDesk {
  const desk = new PictureDesk({ many: false, dpr: 1, software });
  desk.put('only', {} as OffscreenCanvas);
  return desk;
}
/** Everything that is asked for while a message is drawn, and so long after it. */
async function asked(desk: PictureDesk, of: ShowMessage, restMs = 0): Promise<string[]> {
  film.asked.length = 0;
  const shown = desk.show(of);
  while (!(await Promise.race([shown.then(() => true), vi.advanceTimersByTimeAsync(1).then(() => false)])));
  await vi.advanceTimersByTimeAsync(restMs);
  return [...film.asked];
}

beforeEach(() => {
  Object.assign(film, { asked: [], drawMs: 30, looks: 3, fails: false });
  vi.useFakeTimers();
  // As a worker has it.
  vi.stubGlobal('reportError', reported);
  reported.mockClear();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('without a graphics processor', () => {
  it('the first picture of a drag is a hurried one, however long nothing had moved', async () => {
    const desk = deskOf();
    expect(await asked(desk, message('One'), 5000)).toEqual(['fine One', 'look', 'look', 'look', 'ready']);
    expect(await asked(desk, message('Two', { held: true }))).toEqual(['hurried Two']);
  });

  it('what comes alone is drawn as it should be, what follows at once in a hurry', async () => {
    const desk = deskOf();
    await asked(desk, message('One'), 1000);
    expect(await asked(desk, message('Two'))).toEqual(['fine Two']);
    expect(await asked(desk, message('Three'))).toEqual(['hurried Three']);
  });

  it('a hand that rests sees it as it should be, then finer, look by look', async () => {
    const desk = deskOf();
    expect(await asked(desk, message('One', { held: true }), 150)).toEqual(['hurried One']);
    await vi.advanceTimersByTimeAsync(60);
    expect(film.asked).toEqual(['hurried One', 'fine One']);
    // One after the other is drawn: the next is not asked for before.
    await vi.advanceTimersByTimeAsync(31);
    expect(film.asked).toEqual(['hurried One', 'fine One', 'look']);
    await vi.advanceTimersByTimeAsync(31);
    expect(film.asked).toEqual(['hurried One', 'fine One', 'look', 'look']);
    await vi.advanceTimersByTimeAsync(500);
    expect(film.asked).toEqual(['hurried One', 'fine One', 'look', 'look', 'look', 'ready']);
  });

  it('a hand that moves again waits for no more than the look that is being drawn', async () => {
    const desk = deskOf();
    film.looks = 64;
    await asked(desk, message('One', { held: true }));
    film.drawMs = 300;
    await vi.advanceTimersByTimeAsync(260);
    expect(film.asked).toEqual(['hurried One', 'fine One']);
    film.drawMs = 30;
    const fromMs = performance.now();
    expect(await asked(desk, message('Two', { held: true }))).toEqual(['hurried Two']);
    expect(performance.now() - fromMs).toBeLessThan(300 + 60);
    // Nothing of what it was before is drawn any more.
    expect(await asked(desk, message('Three', { held: true }), 150)).toEqual(['hurried Three']);
  });

  it('is coarser where a picture takes too long, not where the look before it did, and finer where there is room', async () => {
    const desk = deskOf();
    film.drawMs = 300;
    await asked(desk, message('One', { held: true }));
    film.drawMs = 30;
    expect(await asked(desk, message('Two', { held: true }))).toEqual(['hurried at 0.80 Two']);
    for (let k = 0; k < 4; k += 1) await asked(desk, message('More', { held: true }));
    expect(await asked(desk, message('Fine', { held: true }))).toEqual(['hurried Fine']);
    // A look at rest takes long, and is under way.
    await vi.advanceTimersByTimeAsync(190);
    film.drawMs = 300;
    await vi.advanceTimersByTimeAsync(20);
    film.drawMs = 30;
    await asked(desk, message('Four', { held: true }));
    expect(await asked(desk, message('Five', { held: true }))).toEqual(['hurried Five']);
  });

  it('is coarser where the page waits, down to what can still be made out', async () => {
    const desk = deskOf();
    const seen: string[] = [];
    for (let k = 0; k < 9; k += 1) seen.push(...(await asked(desk, message('It', { playing: true, pageWaits: true }))));
    expect(seen.slice(0, 3)).toEqual(['hurried It', 'hurried at 0.80 It', 'hurried at 0.64 It']);
    expect(seen.slice(-2)).toEqual(['hurried at 0.30 It', 'hurried at 0.30 It']);
    // At rest it is as fine as ever.
    await vi.advanceTimersByTimeAsync(1000);
    expect(await asked(desk, message('Rest'), 1000)).toContain('fine Rest');
  });

  it('leaves the page time between two pictures of a drag, not between those of a film', async () => {
    const desk = deskOf();
    const spent = async (of: ShowMessage) => {
      const from = performance.now();
      await asked(desk, of);
      return performance.now() - from;
    };
    await spent(message('One', { held: true }));
    expect(await spent(message('Two', { held: true }))).toBeGreaterThan(50);
    expect(await spent(message('Three', { playing: true }))).toBeLessThan(40);
  });
});

it('with a graphics processor nothing is hurried', async () => {
  const desk = deskOf(false);
  expect(await asked(desk, message('One', { held: true }))).toEqual(['fine One']);
  expect(await asked(desk, message('Two', { held: true }))).toEqual(['fine Two']);
  expect(await asked(desk, message('Three', { playing: true }))).toEqual(['playing Three']);
});

it('draws nothing of a sheet that was dropped', async () => {
  const desk = deskOf();
  desk.drop('only');
  expect(await asked(desk, message('One'), 1000)).toEqual([]);
});

it('what goes wrong while it rests is told as an error of the worker', async () => {
  const desk = deskOf();
  await asked(desk, message('One', { held: true }));
  film.fails = true;
  await vi.advanceTimersByTimeAsync(1000);
  expect(reported).toHaveBeenCalledWith(new Error('The graphics are gone.'));
});
