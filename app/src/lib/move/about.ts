/** What of the picture a finding is about: what to look at when it is chosen. */
export type About = 'near' | 'far' | 'layers' | 'subject' | 'frame';

const SUBJECT = [
  'speed.subject',
  'blur.subject',
  'size',
  'place',
  'cutoff',
  'covered',
  'opening.',
  'closing.',
  'reveal',
  'headRoom',
  'lookRoom',
  'joints',
  'alsoShape',
  'composition',
  'focus.',
  'turn.centre',
  'rig.subject',
];
const LAYERS = [
  'parallax',
  'start',
  'stop',
  'join',
  'even.',
  'turn.even',
  'skew',
  'stagger',
  'zoom.',
  'shake',
  'blur.shutter',
];

export function aboutOf(findingId: string): About {
  if (findingId === 'speed.near') return 'near';
  if (findingId === 'speed.far') return 'far';
  if (SUBJECT.some((id) => findingId === id || (id.endsWith('.') && findingId.startsWith(id)))) return 'subject';
  if (LAYERS.some((id) => findingId === id || (id.endsWith('.') && findingId.startsWith(id)))) return 'layers';
  return 'frame';
}
