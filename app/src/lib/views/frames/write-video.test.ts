import { newShoot } from '@gentle-arc/core/model';
import { expect, it } from 'vitest';
import { VideoQuestionSchema } from './frames-messages';
import { writeVideo } from './write-video';

const question = {
  format: 'mp4' as const,
  widthPx: 640,
  rateHz: 24,
  frames: [{ shotId: 'one', row: 0, words: '1' }],
  guides: false,
  words: false,
  spoilt: null,
};

it('without an encoder a sentence says what still works, and nothing is drawn', async () => {
  const told = await writeVideo(
    newShoot('s', 'S', 'one'),
    VideoQuestionSchema.parse(question),
    true,
    () => {
      throw new Error('nothing was to be done');
    },
    () => true,
  );
  expect(told).toBe(
    'This browser cannot write video. Take the frames as a zip of pictures, or the cut as OpenTimelineIO.',
  );
});

it.each([
  ['no frames', { frames: [] }],
  ['too wide', { widthPx: 9000 }],
  ['no rate', { rateHz: 0 }],
])('a question with %s does not reach the drawing', (_what, change) => {
  expect(VideoQuestionSchema.safeParse({ ...question, ...change }).success).toBe(false);
});
