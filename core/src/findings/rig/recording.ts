import { define, type FindingKinds } from '../definition';
import type { FindingOf } from '../finding';
import type { Scene } from '../../scene';
import { trim } from '../../model';
import type { Samples } from '../../motion';
import { graded, upTo } from './use';
import type { RigCase } from './rig-case';

const KINDS = {
  'rig.frames': {
    measures: 'frames recorded a second',
    limits: [],
    about: 'frame',
    cures: ['fewerFrames', 'anyCamera'],
  },
  'rig.buffer': {
    measures: 'time in the buffer, s',
    limits: ['tightShare'],
    about: 'frame',
    cures: ['takeLess', 'fewerFrames'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Whether the camera records the rate that is asked for, for as long as the move lasts. */
function recordingFindings({ camera, shot, limits }: Scene, filmed: Samples): Found[] {
  const seconds = (s: number) => `${trim(s, 1)} s`;
  const frames = (hz: number) => `${trim(hz, 0)} frames a second`;
  const highest = Math.max(...camera.frameRatesHz);
  if (shot.captureRateHz > highest)
    return [
      graded(
        {
          id: 'rig.frames',
          measure: 'frame rate',
          value: shot.captureRateHz,
          limit: highest,
          screenS: 0,
          unit: 'Hz',
          say: frames,
          sentence: `${camera.name} records at most ${frames(highest)}; the shot asks for ${trim(shot.captureRateHz, 0)}.`,
          reason: 'Choose a slower rate, or a camera that has this one.',
        },
        'cannot',
      ),
    ];
  if (shot.captureRateHz <= camera.bufferAboveHz) return [];
  const actionS = filmed.tS[filmed.count - 1];
  return [
    upTo(limits, {
      id: 'rig.buffer',
      measure: 'time in the buffer',
      value: actionS,
      limit: camera.bufferS,
      screenS: 0,
      unit: 's',
      say: seconds,
      sentence:
        `At ${frames(shot.captureRateHz)} ${camera.name} records ${seconds(camera.bufferS)} into its buffer; the ` +
        `action lasts ${seconds(actionS)}.`,
      reason: 'What does not fit is not recorded: a shorter action, a later start, or fewer frames.',
    }),
  ];
}

export const recording = define(KINDS, ({ scene, filmed }: RigCase) => recordingFindings(scene, filmed));
