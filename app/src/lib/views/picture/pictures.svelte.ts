import { onDestroy } from 'svelte';
import { SvelteMap } from 'svelte/reactivity';
import { preferences } from '$lib/ui/preferences.svelte';
import { Film, type Paper, type View } from './film';
import { drawsInSoftware } from './webgl';

const REST_MS = 200;

/**
 * Sheets that pictures of one site are drawn on, each a canvas of the page. Several at a time are drawn without shadows
 * and, where there is no graphics processor, in fewer pixels.
 */
export class Pictures {
  private readonly film: Film;
  private readonly papers = new SvelteMap<string, Paper>();
  private readonly software = drawsInSoftware();
  private frame = 0;
  private rest: ReturnType<typeof setTimeout> | undefined;

  /** Call while a component is being set up. `views`: what each sheet shows, by its name. */
  constructor(views: () => Record<string, View>, playing: () => boolean, many = false) {
    const simple = many && this.software;
    this.film = new Film(simple, !many, Math.min(window.devicePixelRatio, simple ? 1 : 2));
    $effect(() => {
      const shown = Object.entries(views()).flatMap(([name, view]) => {
        const paper = this.papers.get(name);
        return paper ? [{ view, paper }] : [];
      });
      const { lensBlur: lens, motionBlur: motion, sharpTone: tone, light } = preferences;
      const blur = { lens, motion, tone };
      const plays = playing();
      this.film.setLight(light === 'dim');
      clearTimeout(this.rest);
      const refine = () => {
        if (this.film.refine()) this.frame = requestAnimationFrame(refine);
      };
      const draw = () => {
        const more = this.film.show(
          shown.map(({ view }) => view),
          shown.map(({ paper }) => paper),
          blur,
          plays,
        );
        // Drawn finely only once the hand rests: meanwhile every drag is answered at once.
        if (more) this.rest = setTimeout(() => (this.frame = requestAnimationFrame(refine)), REST_MS);
      };
      cancelAnimationFrame(this.frame);
      // The playhead moves within a frame: what is put off to the next one would be replaced again before it is drawn.
      if (plays) draw();
      else this.frame = requestAnimationFrame(draw);
    });
    onDestroy(() => {
      clearTimeout(this.rest);
      cancelAnimationFrame(this.frame);
      this.film.dispose();
    });
  }

  /** An attachment for the canvas that is the sheet of a name. */
  sheet = (name: string) => (canvas: HTMLCanvasElement) => {
    const context = canvas.getContext('2d', { alpha: false, willReadFrequently: this.software });
    if (!context) return;
    const seen = new ResizeObserver(() => {
      const { clientWidth: width, clientHeight: height } = canvas;
      if (width > 0 && height > 0) this.papers.set(name, { context, width, height });
    });
    seen.observe(canvas);
    return () => {
      seen.disconnect();
      this.papers.delete(name);
    };
  };
}
