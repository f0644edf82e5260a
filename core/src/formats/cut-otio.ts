import type { Shoot } from '../model';
import { framesOf, filmRateHz, kindWords } from '../sequence';

/**
 * The cut as OpenTimelineIO JSON, after the file format specification and the serialized data of the Academy Software
 * Foundation's OpenTimelineIO (schema names and fields from memory): one video track, a clip a shot, a gap for black.
 */

const time = (value: number, rate: number) => ({ OTIO_SCHEMA: 'RationalTime.1', value, rate });
const range = (start: number, frames: number, rate: number) => ({
  OTIO_SCHEMA: 'TimeRange.1',
  start_time: time(start, rate),
  duration: time(frames, rate),
});

/** Writes the cut. Clips have no media yet: their names and what the app knows of them are in `metadata`. */
export function writeCutOtio(shoot: Shoot): string {
  const rateHz = filmRateHz(shoot);
  const children = shoot.shots.flatMap((shot, i) => {
    const { first, end, whole, rateHz: rate } = framesOf(shot);
    const clip = {
      OTIO_SCHEMA: 'Clip.2',
      name: shot.name,
      source_range: range(first, end - first, rate),
      effects: [],
      markers: [],
      enabled: true,
      media_references: {
        DEFAULT_MEDIA: {
          OTIO_SCHEMA: 'MissingReference.1',
          name: shot.name,
          available_range: range(0, whole, rate),
          available_image_bounds: null,
          metadata: {},
        },
      },
      active_media_reference_key: 'DEFAULT_MEDIA',
      metadata: {
        'gentle-arc': {
          shot: i + 1,
          id: shot.id,
          scene: shot.sceneName,
          purpose: shot.purpose,
          meetsTheNext: kindWords(shot.join.kind),
          note: shot.note,
        },
      },
    };
    if (shot.join.kind !== 'black' || i + 1 === shoot.shots.length) return [clip];
    const gap = {
      OTIO_SCHEMA: 'Gap.1',
      name: 'black',
      source_range: range(0, Math.round(shot.join.blackS * rateHz), rateHz),
      effects: [],
      markers: [],
      enabled: true,
      metadata: {},
    };
    return [clip, gap];
  });
  const common = { source_range: null, effects: [], markers: [], enabled: true, metadata: {} };
  return (
    JSON.stringify(
      {
        OTIO_SCHEMA: 'Timeline.1',
        name: shoot.name,
        global_start_time: time(0, rateHz),
        metadata: {},
        tracks: {
          OTIO_SCHEMA: 'Stack.1',
          name: 'tracks',
          ...common,
          children: [{ OTIO_SCHEMA: 'Track.1', name: 'Picture', kind: 'Video', ...common, children }],
        },
      },
      null,
      1,
    ) + '\n'
  );
}
