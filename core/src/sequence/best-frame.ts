import { turnWithin } from './edge';
import { joinLimits } from './join-finding';
import { type PictureMotion, pictureMotion, speedOf } from './picture-motion';
import type { Told } from './told';

/** Where two shots could be cut so that their motions agree: searched over the end of one and the beginning of the other. */
export interface BestCut {
  /** Moments of the first shot at which it could be left, s on screen, and how ill the best entry fits there. */
  outS: number[];
  misfit: number[];
  /** The best of all: leave at `outS`, come in at `inS`. */
  best: { outS: number; inS: number; misfit: number };
  /** As it is cut now. */
  now: { outS: number; inS: number; misfit: number };
}

const LOOKS_HZ = 10;
/** So much of each shot is searched, s. */
const WITHIN_S = 5;
const LEAST_S = 0.5;

interface Look {
  /** Of what is as deep as the subject, and of what is far behind it. */
  motions: PictureMotion[];
  screenS: number;
  rollDeg: number;
}

/**
 * How ill two motions fit, in frame widths a second: the difference of their shifts, and that of turn and growth as it
 * shows at a quarter of the frame's width from its middle, with a horizon that tips.
 */
function misfit(a: Look, b: Look): number {
  const apart = a.motions.map((one, k) => {
    const other = b.motions[k];
    const shift = Math.hypot(one.rightwards - other.rightwards, one.upwards - other.upwards);
    const turn = ((one.turnDegps - other.turnDegps) * Math.PI) / 180 / 4;
    return Math.hypot(shift, turn, (one.growth - other.growth) / 4);
  });
  return Math.max(...apart) + Math.abs(turnWithin(a.rollDeg - b.rollDeg)) / 100;
}

function look({ samples }: Told, row: number, which: 'in' | 'out'): Look {
  const rows = Math.max(1, Math.round(samples.frameRateHz / 12));
  const [from, to] = which === 'in' ? [row, Math.min(samples.count - 1, row + rows)] : [Math.max(0, row - rows), row];
  const depth = Math.max(0.1, samples.subjectDistanceM[row]);
  return {
    motions: [depth, depth * 4].map((deep) => pictureMotion(samples, from, to, () => deep)),
    screenS: samples.screenS[row],
    rollDeg: samples.rollDeg[row],
  };
}

/** Looks of a shot's stretch, from one row to another. */
function looks(told: Told, from: number, to: number, which: 'in' | 'out'): Look[] {
  const step = Math.max(1, Math.round(told.samples.frameRateHz / LOOKS_HZ));
  const rows: Look[] = [];
  for (let row = from; row <= to; row += step) rows.push(look(told, row, which));
  return rows;
}

/** Where two whips or two turns are to be one, only what whips or turns is looked at; all where nothing does. */
function wantedOf({ shot, scene }: Told): (looks: Look[]) => Look[] {
  const { whipSpeed, spinDegps } = joinLimits(scene.limits);
  const does = ({ motions: [near] }: Look): boolean =>
    shot.join.kind === 'whip'
      ? speedOf(near) >= whipSpeed
      : shot.join.kind !== 'spin' || Math.abs(near.turnDegps) >= spinDegps;
  return (rows) => {
    const found = rows.filter(does);
    return found.length > 0 ? found : rows;
  };
}

/** The best frames to cut two told shots at. A still stretch fits a still one: of equals the least is cut away. */
export function bestCut(one: Told, other: Told): BestCut {
  const { rateHz: f, first: inOfOne, whole } = one.frames;
  const { rateHz: g, first: inNow, end: endOfOther } = other.frames;
  const outFrom = Math.max(inOfOne + Math.round(LEAST_S * f), whole - Math.round(WITHIN_S * f));
  const wanted = wantedOf(one);
  const outs = wanted(looks(one, Math.min(outFrom, whole - 1), whole - 1, 'out'));
  const lastIn = Math.min(Math.round(WITHIN_S * g), endOfOther - Math.round(LEAST_S * g));
  const ins = wanted(looks(other, 0, Math.max(0, lastIn), 'in'));
  const [endOfA] = outs.slice(-1);
  const fits = (a: Look, b: Look) => misfit(a, b) + 0.004 * (endOfA.screenS - a.screenS + b.screenS);
  const found = outs.map((a) => {
    let least = { inS: 0, misfit: Infinity };
    for (const b of ins) {
      const value = fits(a, b);
      if (value < least.misfit) least = { inS: b.screenS, misfit: value };
    }
    // It is left after the frame that was looked at.
    return { outS: a.screenS + 1 / f, ...least };
  });
  const best = found.reduce((least, row) => (row.misfit < least.misfit ? row : least));
  const [a, b] = [look(one, one.frames.end - 1, 'out'), look(other, inNow, 'in')];
  return {
    outS: found.map((row) => row.outS),
    misfit: found.map((row) => row.misfit),
    best,
    now: { outS: one.frames.end / f, inS: b.screenS, misfit: fits(a, b) },
  };
}
