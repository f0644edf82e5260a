import type { Shoot } from '@gentle-arc/core/model';
import { trim } from '@gentle-arc/core/model';
import { kindWords } from '@gentle-arc/core/sequence';
import { paper, printPage } from '$lib/ui/print';
import type { ShotFrames } from '$lib/views/frames/shot-frames.svelte';
import type { Story } from '$lib/workers/board-messages';
import { movesOf, sizeWords } from './board-words';

const FRAME_PX = 420;

const STYLE = `
  @page { size: A4 portrait; margin: 11mm; }
  body { margin: 0; font: 10pt/1.25 sans-serif; color: #000; }
  .page { display: grid; gap: 5mm; height: 272mm; break-after: page; }
  .page:last-child { break-after: auto; }
  .six { grid-template: repeat(3, 1fr) / repeat(2, 1fr); }
  .twelve { grid-template: repeat(4, 1fr) / repeat(3, 1fr); font-size: 8pt; gap: 4mm; }
  .shot { min-width: 0; overflow: hidden; }
  canvas, .none { display: block; max-width: 84%; max-height: 44mm; border: 0.3mm solid #000; box-sizing: border-box; }
  .none { height: 30mm; }
  .small { display: flex; gap: 1mm; margin-top: 1mm; }
  .small canvas { max-width: 41.6%; max-height: 22mm; }
  b { display: block; margin-top: 1mm; }
  p { margin: 0.5mm 0; }
`;

/** Prints the board, so many shots to a page: the middle of each large, its start and its end under it. */
export async function printBoard(shoot: Shoot, story: Story, frames: ShotFrames, count: number): Promise<void> {
  await printPage(shoot.name, STYLE, async (body, inside) => {
    for (let from = 0; from < story.board.length; from += count) {
      const sheet = paper('div', '', `page ${count === 6 ? 'six' : 'twelve'}`);
      for (const told of story.board.slice(from, from + count)) {
        const shot = shoot.shots.find(({ id }) => id === told.shotId);
        if (!shot) continue;
        const cell = paper('div', '', 'shot');
        const picture = await frames.ask(shoot, shot, told.rows, FRAME_PX, false, () => 'now');
        if (picture) {
          const bitmap = await createImageBitmap(picture);
          const wide = Math.round(bitmap.width / told.rows.length);
          const canvases = told.rows.map((_, i) => {
            const canvas = inside.createElement('canvas');
            Object.assign(canvas, { width: wide, height: bitmap.height });
            canvas.getContext('2d')?.drawImage(bitmap, i * wide, 0, wide, bitmap.height, 0, 0, wide, bitmap.height);
            return canvas;
          });
          const small = paper('div', '', 'small');
          small.append(canvases[0], canvases[2]);
          cell.append(canvases[1], small);
        } else cell.append(paper('div', '', 'none'));
        cell.append(
          paper('b', `${told.number} ${shot.name}`),
          paper(
            'p',
            `${shot.sceneName ? `${shot.sceneName} · ` : ''}${movesOf(shot)} · ${sizeWords(told)} · ${trim(told.cutS, 1)} s`,
          ),
          paper('p', told.number < story.board.length ? `then: ${kindWords(shot.join.kind)}` : 'the end'),
        );
        if (shot.note) cell.append(paper('p', shot.note.slice(0, 160)));
        sheet.append(cell);
      }
      body.append(sheet);
    }
  });
}
