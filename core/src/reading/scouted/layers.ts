import { type Piece, sayLength, type Units } from '../../model';
import type { Film } from '../../motion';
import { inFrame } from './in-frame';
import { listed, type Scouted } from './scouted';

/** Nearer than this share of the subject's distance is near, farther than that many times is far (as the reading has it). */
const NEAR = 0.75;
const FAR = 1.5;

/** What stands near, with the subject and far from where the camera is, as it fills the frame. */
export function layersFromHere({ scene, samples }: Film, row: number, units: Units): Scouted[] {
  const about = samples.subjectDistanceM[row];
  const layers: Record<'near' | 'with' | 'far', { piece: Piece; awayM: number; share: number }[]> = {
    near: [],
    with: [],
    far: [],
  };
  for (const [index, { share, awayM }] of inFrame(scene, samples, row)) {
    const piece = scene.pieces[index];
    layers[awayM < about * NEAR ? 'near' : awayM > about * FAR ? 'far' : 'with'].push({ piece, awayM, share });
  }
  const said = (layer: keyof typeof layers) =>
    listed(
      layers[layer]
        .sort((a, b) => b.share - a.share)
        .map(({ piece, awayM }) => `${piece.name} (${sayLength(awayM, units)})`),
      3,
    );
  const full = (['near', 'with', 'far'] as const).filter((layer) => layers[layer].length > 0);
  const words = { near: 'near', with: 'with the subject', far: 'far' };
  const missing = (['near', 'far'] as const).filter((layer) => layers[layer].length === 0);
  const lacks =
    missing.length === 0
      ? ''
      : ` Nothing stands ${missing.join(' or ')}${missing[0] === 'near' ? ': a move shows little depth without something near the lens' : ''}.`;
  return [
    {
      id: 'layers',
      tells: missing.includes('near') ? 'mind' : 'good',
      pieceIds: full.flatMap((layer) => layers[layer].map(({ piece }) => piece.id)),
      sentence:
        full.length === 0
          ? 'Nothing but ground and sky from here: a move shows no depth.'
          : `${['No', 'One layer', 'Two layers', 'Three layers'][full.length]} from here: ${full
              .map((layer) => `${words[layer]} ${said(layer)}`)
              .join('; ')}.${lacks}`,
    },
  ];
}
