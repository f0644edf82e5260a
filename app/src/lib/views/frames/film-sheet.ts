import type { Shoot } from '@gentle-arc/core/model';
import { ShotFilm } from './shot-film';
import type { spoiling } from './spoiling';

/** A sheet that frames of the film are laid on one after the other, as they are taken away: bars, thirds and words. */
export class FilmSheet {
  readonly canvas: OffscreenCanvas;
  private readonly paper: OffscreenCanvasRenderingContext2D;
  private readonly film: ShotFilm;
  private readonly byId: Map<string, Shoot['shots'][number]>;

  constructor(
    private readonly shoot: Shoot,
    widthPx: number,
    software: boolean,
  ) {
    // Encoders take even sizes only.
    const even = (px: number) => Math.max(2, 2 * Math.round(px / 2));
    this.canvas = new OffscreenCanvas(even(widthPx), even(ShotFilm.heightOf(shoot, widthPx)));
    const paper = this.canvas.getContext('2d', { alpha: false });
    if (!paper) throw new RangeError('This browser gives no sheet to draw on.');
    this.paper = paper;
    this.film = new ShotFilm(software, true);
    this.byId = new Map(shoot.shots.map((shot) => [shot.id, shot]));
  }

  /** Lays one frame: of a shot, or black. */
  lay(shotId: string | null, row: number): void {
    const { paper, canvas } = this;
    const { width, height } = canvas;
    const shot = shotId === null ? undefined : this.byId.get(shotId);
    paper.fillStyle = '#000';
    if (!shot) {
      paper.fillRect(0, 0, width, height);
      return;
    }
    this.film.draw(this.shoot, shot, [row], width, false);
    paper.drawImage(this.film.canvas, 0, 0, width, height);
    const barPx = Math.round((height * shot.after.barsPercent) / 100);
    paper.fillRect(0, 0, width, barPx);
    paper.fillRect(0, height - barPx, width, barPx);
  }

  /** Makes what was laid worse, as the picture of this number. */
  spoil(worse: ReturnType<typeof spoiling>, index: number): void {
    const picture = this.paper.getImageData(0, 0, this.canvas.width, this.canvas.height);
    worse(picture, index);
    this.paper.putImageData(picture, 0, 0);
  }

  /** The thirds. */
  guide(): void {
    const { paper, canvas } = this;
    paper.strokeStyle = 'rgba(255, 255, 255, 0.55)';
    paper.lineWidth = Math.max(1, canvas.width / 900);
    paper.beginPath();
    for (const share of [1 / 3, 2 / 3]) {
      paper.moveTo(share * canvas.width, 0);
      paper.lineTo(share * canvas.width, canvas.height);
      paper.moveTo(0, share * canvas.height);
      paper.lineTo(canvas.width, share * canvas.height);
    }
    paper.stroke();
  }

  /** Words at the lower edge, burnt in. */
  say(words: string): void {
    const { paper, canvas } = this;
    const sizePx = Math.max(11, Math.round(canvas.width / 44));
    paper.font = `600 ${sizePx}px sans-serif`;
    paper.textBaseline = 'bottom';
    const [x, y] = [sizePx * 0.8, canvas.height - sizePx * 0.6];
    paper.fillStyle = 'rgba(0, 0, 0, 0.55)';
    paper.fillRect(x - sizePx * 0.3, y - sizePx * 1.15, paper.measureText(words).width + sizePx * 0.6, sizePx * 1.35);
    paper.fillStyle = '#fff';
    paper.fillText(words, x, y);
  }

  dispose(): void {
    this.film.dispose();
  }
}
