import type { Adjustment } from './adjustment';
import type { Scene } from '../../scene';
import { shotDurationS, trim } from '../../model';

/** Longer, softer, slower, and how many frames. */
const LONGER = [1.15, 1.3, 1.5, 1.75, 2, 2.5, 3, 4];

/** A duration as a person would set it: to half a second. */
const halfSeconds = (s: number) => Math.min(600, Math.ceil(s * 2 - 1e-9) / 2);

export function longer({ shot }: Scene): Adjustment {
  return LONGER.map((times) => {
    const { timing } = shot;
    const feather = (s: number) => Math.round(s * times * 10) / 10;
    const featherInS = feather(timing.featherInS);
    const featherOutS = feather(timing.featherOutS);
    const durationS = halfSeconds(
      Math.max(timing.durationS * times, timing.holdStartS + timing.holdEndS + featherInS + featherOutS),
    );
    return {
      shot: { ...shot, timing: { ...timing, durationS, featherInS, featherOutS } },
      instruction: `Take ${trim(durationS, 1)} s for it`,
    };
  });
}

export function softer({ shot }: Scene, end: 'featherInS' | 'featherOutS'): Adjustment {
  const { timing } = shot;
  return [0.5, 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8]
    .filter((s) => s > timing[end])
    .map((s) => {
      const other = end === 'featherInS' ? timing.featherOutS : timing.featherInS;
      const durationS = halfSeconds(Math.max(timing.durationS, timing.holdStartS + timing.holdEndS + other + s));
      const grows = durationS > timing.durationS ? ` and take ${trim(durationS, 1)} s for it` : '';
      return {
        shot: { ...shot, timing: { ...timing, durationS, featherShape: 'minimumJerk' as const, [end]: s } },
        instruction: `Feather the ${end === 'featherInS' ? 'start' : 'stop'} over ${trim(s, 1)} s${grows}`,
      };
    });
}

/** Both feathers softer, in the same time. */
export function softerBoth({ shot }: Scene): Adjustment {
  const { timing } = shot;
  const freeS = timing.durationS - timing.holdStartS - timing.holdEndS;
  return [0.3, 0.4, 0.5]
    .map((share) => Math.floor(freeS * share * 10) / 10)
    .filter((s) => s > Math.min(timing.featherInS, timing.featherOutS))
    .map((s) => ({
      shot: { ...shot, timing: { ...timing, featherShape: 'minimumJerk' as const, featherInS: s, featherOutS: s } },
      instruction: `Feather start and stop over ${trim(s, 1)} s each`,
    }));
}

/** A shorter action. */
export function shorter({ shot }: Scene): Adjustment {
  return [0.85, 0.7, 0.5, 0.35, 0.25].map((share) => {
    const { timing } = shot;
    const featherInS = Math.round(timing.featherInS * share * 10) / 10;
    const featherOutS = Math.round(timing.featherOutS * share * 10) / 10;
    const durationS = halfSeconds(
      Math.max(timing.durationS * share, timing.holdStartS + timing.holdEndS + featherInS + featherOutS),
    );
    return {
      shot: { ...shot, timing: { ...timing, durationS, featherInS, featherOutS } },
      instruction: `Take ${trim(durationS, 1)} s for it`,
    };
  });
}

/** Shorter feathers in the same time: the move is at its pace sooner. */
export function quicker({ shot }: Scene): Adjustment {
  const { timing } = shot;
  return [0.7, 0.5, 0.35].map((share) => {
    const [inS, outS] = [timing.featherInS, timing.featherOutS].map((s) => Math.round(s * share * 10) / 10);
    return {
      shot: { ...shot, timing: { ...timing, featherInS: inS, featherOutS: outS } },
      instruction: `Feather over ${trim(inS, 1)} s at the start and ${trim(outS, 1)} s at the stop`,
    };
  });
}

export function fasterFrames({ shot, camera }: Scene): Adjustment {
  return camera.frameRatesHz
    .filter((hz) => hz > shot.frameRateHz)
    .sort((a, b) => a - b)
    .map((frameRateHz) => ({
      shot: { ...shot, frameRateHz, captureRateHz: Math.max(frameRateHz, shot.captureRateHz) },
      instruction: `Film and show ${frameRateHz} frames a second`,
    }));
}

/** Recording more frames than are shown: everything takes longer on screen. */
export function slowMotion({ shot, camera }: Scene): Adjustment {
  return camera.frameRatesHz
    .filter((hz) => hz > shot.captureRateHz && hz <= shot.frameRateHz * 5)
    .sort((a, b) => a - b)
    .map((captureRateHz) => ({
      shot: { ...shot, captureRateHz },
      instruction: `Film ${captureRateHz} frames a second for slow motion`,
    }));
}

/** Fewer frames recorded: less slow, and within what the camera can keep. */
export function fewerFrames({ shot, camera }: Scene): Adjustment {
  return camera.frameRatesHz
    .filter((hz) => hz < shot.captureRateHz && hz >= shot.frameRateHz)
    .sort((a, b) => b - a)
    .map((captureRateHz) => ({
      shot: { ...shot, captureRateHz },
      instruction: `Film ${captureRateHz} frames a second`,
    }));
}

/** Played no slower than the recorded frames last for. */
export function noSlower({ shot }: Scene): Adjustment {
  const { playback } = shot;
  const least = shot.frameRateHz / shot.captureRateHz;
  if (playback.ramp.every(({ speed }) => speed >= least)) return [];
  const ramp = playback.ramp.map((point) => ({ ...point, speed: Math.max(least, point.speed) }));
  return [
    {
      shot: { ...shot, playback: { ...playback, ramp } },
      instruction: `Play it no slower than ${trim(least, 2)} times life`,
    },
  ];
}

/** Recorded at a whole multiple of what is shown. */
export function evenSteps({ shot, camera }: Scene): Adjustment {
  return camera.frameRatesHz
    .filter(
      (hz) => hz >= shot.frameRateHz && Math.abs(hz / shot.frameRateHz - Math.round(hz / shot.frameRateHz)) < 1e-3,
    )
    .sort((a, b) => Math.abs(a - shot.captureRateHz) - Math.abs(b - shot.captureRateHz))
    .map((captureRateHz) => ({
      shot: { ...shot, captureRateHz },
      instruction: `Film ${captureRateHz} frames a second`,
    }));
}

/** A ramp that changes over longer: its points drawn apart about their middle, as far as the action goes. */
export function gentlerRamp({ shot }: Scene): Adjustment {
  const { playback } = shot;
  if (playback.ramp.length < 2) return [];
  const middle = (playback.ramp[0].atS + playback.ramp[playback.ramp.length - 1].atS) / 2;
  const lengthS = shotDurationS(shot);
  return [1.3, 1.6, 2, 2.5, 3].flatMap((times) => {
    const ramp = playback.ramp.map((point) => ({
      ...point,
      atS: Math.round((middle + (point.atS - middle) * times) * 10) / 10,
    }));
    if (ramp[0].atS < 0 || ramp[ramp.length - 1].atS > lengthS) return [];
    return [
      {
        shot: { ...shot, playback: { ...playback, ramp } },
        instruction:
          `Adjustment the speed from ${trim(ramp[0].atS, 1)} s to ${trim(ramp[ramp.length - 1].atS, 1)} ` +
          's of the action',
      },
    ];
  });
}
