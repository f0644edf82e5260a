import { drawnView, Film, type Paper, type View } from './film';
import type { Blur } from './film';

/** The same drawing on the page's own thread, for a browser that cannot give its sheets away. */
export class PageDrawing {
  private readonly film: Film;
  private rest: ReturnType<typeof setTimeout> | undefined;
  private frame = 0;

  constructor(many: boolean, dpr: number) {
    this.film = new Film(document.createElement('canvas'), {
      software: many,
      simple: many,
      shadows: !many,
      dpr,
      direct: false,
    });
  }

  show(
    views: readonly View[],
    papers: readonly Paper[],
    blur: Blur,
    look: { dim: boolean; tint: boolean; playing: boolean },
  ): void {
    clearTimeout(this.rest);
    cancelAnimationFrame(this.frame);
    this.film.setLook(look.dim, look.tint);
    const more = this.film.show(views.map(drawnView), papers, blur, look.playing, look.playing ? 0.6 : 1);
    const refine = () => {
      if (this.film.refine()) this.frame = requestAnimationFrame(refine);
    };
    if (more) this.rest = setTimeout(() => (this.frame = requestAnimationFrame(refine)), 200);
  }

  dispose(): void {
    clearTimeout(this.rest);
    cancelAnimationFrame(this.frame);
    this.film.dispose();
  }
}
