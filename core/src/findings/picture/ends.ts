import { type Figure, WHOLE } from '../../model';
import { partFootOf, type Scene, subjectWords } from '../../scene';
import { partOf, partsOf, type ThingPart } from '../../site';
import { define, type FindingKinds } from '../definition';
import { gradeAbove, percent, type FindingOf } from '../finding';
import { CAMERA_SIZE, project, type InPicture } from '../../optics';
import { depthRasterOf, NOTHING, type Picture } from '../../image';

const KINDS = {
  'opening.face': {
    measures: 'how far the face is outside the first frame, frame heights',
    limits: [],
    about: 'subject',
    cures: ['placeLower', 'standFarther', 'travelLess', 'wider', 'placeHigher', 'aimAtSubject'],
  },
  'closing.face': {
    measures: 'how far the face is outside the last frame, frame heights',
    limits: [],
    about: 'subject',
    cures: ['placeLower', 'standFarther', 'travelLess', 'wider', 'placeHigher', 'aimAtSubject'],
  },
  'opening.covered': {
    measures: 'share of the subject covered in the first frame',
    limits: ['coveredAtEnd', 'joltFactor'],
    about: 'subject',
    cures: ['stepAside', 'higher', 'otherWayRound', 'travelLessOrMore', 'foregroundFarther', 'lower', 'standNearer'],
  },
  'closing.covered': {
    measures: 'share of the subject covered in the last frame',
    limits: ['coveredAtEnd', 'joltFactor'],
    about: 'subject',
    cures: ['stepAside', 'higher', 'otherWayRound', 'travelLessOrMore', 'foregroundFarther', 'lower', 'standNearer'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/**
 * What a viewer sees first and last: who is covered, and whether a figure's face is in the frame where the shot opens
 * and where it closes. A move that reveals or leaves its subject is asked only at the end where the subject ought to
 * be.
 */

/** Parts of a standing figure between those that are named, as shares of stature (see `model/body`). */
const BETWEEN = [
  ['shins', 0.17],
  ['knees', 0.285],
  ['thighs', 0.41],
  ['hips', 0.53],
  ['neck', 0.86],
] as const;

/** What of a body a frame may be of: its named parts, and of who stands those between. */
function bodyOf(figure: Figure): ThingPart[] {
  const named = partsOf(figure).filter(({ id }) => ['face', 'chest', 'waist', 'feet'].includes(id));
  if (figure.pose !== 'stand') return named;
  const between = BETWEEN.map(([name, share]): ThingPart => ({
    ...named[0],
    id: name,
    name,
    acrossM: 0,
    alongM: 0,
    upM: share * figure.heightM,
  }));
  return [...named, ...between];
}

/** A shot that is after something else of somebody is not asked for the face. */
const AFTER_THE_FACE = new Set(['whole', 'face', 'chest']);
/** Only a figure that fills this much of the height is seen for its face. */
const SEEN_FOR_ITS_FACE = 0.5;
const CELLS = 128;
/** What covers it stands nearer than this share of its distance. */
const NEARER = 0.97;

interface End {
  id: 'opening' | 'closing';
  row: number;
  frame: 'first' | 'last';
}

function endFindings(picture: Picture): Found[] {
  const { scene, intent, samples } = picture;
  if (!scene.subject) return [];
  const when = intent.subjectIn;
  const reveals = intent.reveals;
  const ends: End[] = [
    ...(when === 'always' || when === 'start' ? [{ id: 'opening' as const, row: 0, frame: 'first' as const }] : []),
    ...(when === 'always' || when === 'end'
      ? [{ id: 'closing' as const, row: samples.count - 1, frame: 'last' as const }]
      : []),
  ];
  return ends.flatMap((end) => [
    ...face(picture, end),
    ...(reveals && end.id === 'opening' ? [] : covered(picture, end)),
  ]);
}

/** A figure cut so that its face is outside the frame. */
function face({ scene, subject, samples, edgeV }: Picture, { id, row, frame }: End): Found[] {
  const [top, base] = [subject.topV[row], subject.baseV[row]];
  const who = scene.things.find(({ piece }) => piece === scene.subject);
  if (who?.piece.kind !== 'figure' || !AFTER_THE_FACE.has(scene.shot.subjectPart)) return [];
  const isFace = scene.shot.subjectPart === 'face';
  if (!(isFace || top - base >= SEEN_FOR_ITS_FACE) || !(Math.abs(subject.u[row]) <= (isFace ? Infinity : 0.5)))
    return [];
  const { name } = who.piece;
  // Seen from near by a body does not shrink evenly: each height is drawn for itself.
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const point: InPicture = { u: 0, w: 0, depthM: 0 };
  const spot = new Float64Array(3);
  const at = (part: ThingPart) => {
    partFootOf(who, part)(samples.tS[row], spot);
    project(samples.cameras, row * CAMERA_SIZE, spot[0], spot[1], spot[2] + part.heightM / 2, point);
    return point.depthM > 0 ? { v: Math.abs(point.w * aspect), u: Math.abs(point.u) } : { v: Infinity, u: Infinity };
  };
  const face = at(partOf(who.piece, 'face'));
  const out = Math.max(0, face.v - edgeV, isFace ? face.u - 0.5 : 0);
  const [shown] = bodyOf(who.piece)
    .map((part) => [part.name, at(part).v] as const)
    .sort((a, b) => a[1] - b[1])[0];
  return [
    {
      id: `${id}.face`,
      grade: out > 0 ? 'jolt' : 'calm',
      sentence:
        out > 0
          ? `The ${frame} frame is of ${name}’s ${shown}: the face is outside it.`
          : `${name}’s face is in the ${frame} frame.`,
      reason:
        'People look for a face first. A close shot of anything else is meant only when that is what it is ' +
        'about: then make that the subject.',
      screenS: samples.screenS[row],
      value: out,
      limit: 0,
      unit: 'frame heights',
      said: out > 0 ? `${percent(out)} of the height outside` : 'inside',
      measure: 'face',
    },
  ];
}

/**
 * Something that stands before the subject in the frame that is looked at first, or remembered last. Of a figure the
 * upper half counts: legs behind a hedge are a view, a post before the face is in the way.
 */
function covered(picture: Picture, { id, row, frame }: End): Found[] {
  const { scene, samples, subject } = picture;
  if (!(Math.abs(subject.u[row]) <= 0.5 && Math.abs(subject.v[row]) <= 0.5)) return [];
  const { share, by } = coverAt(picture, row);
  if (!(share > 0.02)) return [];
  const limit = scene.limits.coveredAtEnd;
  const what = headAndChest(scene) ? `${scene.subject?.name}’s head and chest` : subjectWords(scene);
  return [
    {
      id: `${id}.covered`,
      grade: gradeAbove(share, limit, limit * scene.limits.joltFactor),
      sentence:
        `${by} covers ${percent(share)} of ${what} in the ${frame} ` +
        `frame${share > limit ? `; up to ${percent(limit)} is foreground, more is in the way` : ''}.`,
      reason: id === 'opening' ? 'The first frame says who the shot is about.' : 'The last frame is what stays.',
      screenS: samples.screenS[row],
      value: share,
      limit,
      unit: 'share',
      said: percent(share),
      measure: 'covered',
    },
  ];
}

/** Of a figure as a whole the upper half counts. */
const headAndChest = ({ subject, part }: Scene) => subject?.kind === 'figure' && part?.id === WHOLE;

/**
 * How much of the subject (of a figure: its upper half) is covered by what stands nearer, and what covers most of it.
 */
function coverAt({ scene, samples, subject }: Picture, row: number): { share: number; by: string } {
  const { widthCells, heightCells, pieceAt, nearness } = depthRasterOf(scene, samples, CELLS)(row);
  const own = scene.pieces.findIndex(({ id }) => id === scene.subject?.id);
  const [top, base] = [subject.topV[row], subject.baseV[row]];
  const from = headAndChest(scene) ? (top + base) / 2 : base;
  const nearer = 1 / (samples.subjectDistanceM[row] * NEARER);
  const counts = new Map<number, number>();
  let [cells, hidden] = [0, 0];
  for (let y = 0; y < heightCells; y += 1) {
    const v = 0.5 - (y + 0.5) / heightCells;
    if (v > top || v < from) continue;
    for (let x = 0; x < widthCells; x += 1) {
      if (Math.abs((x + 0.5) / widthCells - 0.5 - subject.u[row]) > subject.halfWidth[row]) continue;
      cells += 1;
      const cell = y * widthCells + x;
      const index = pieceAt[cell];
      if (index === NOTHING || index === own || nearness[cell] < nearer) continue;
      hidden += 1;
      counts.set(index, (counts.get(index) ?? 0) + 1);
    }
  }
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  return { share: cells > 0 ? hidden / cells : 0, by: most ? scene.pieces[most[0]].name : 'Something' };
}

export const ends = define(KINDS, endFindings);
