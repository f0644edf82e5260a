import { USUAL_GAIT } from '../model/default-rigs';
import type { Finding } from '../model/finding';
import type { Setup } from '../model/shoot';
import { legAt, legsOf, slowFactor, STICK_SPEEDS, withLeg, type Shot } from '../model/shot';
import { sayLength, trim, type Units } from '../model/units';
import { settable } from '../motion/moves/recipe';
import { recipeOf } from '../motion/moves';
import { raised } from '../motion/moves/transform';

/** One way to change a shot, gentlest first. Each rung is a whole shot and the instruction that leads to it. */
export type Change = Rung[];

export interface Rung {
  shot: Shot;
  /** What to do, as a sentence without its end: `Lower the camera to 0.6 m`. */
  instruction: string;
}

/** A drone is only offered where hands and stands do not reach: common practice, no published source. */
const HAND_REACH_M = 2.4;
const LONGER = [1.15, 1.3, 1.5, 1.75, 2, 2.5, 3, 4];

/** Height of the lens where the move begins, above the subject's base. */
const heightOf = ({ move }: Shot): number => recipeOf(move).stand(move).heightM;

/** A duration as a person would set it: to half a second. */
const halfSeconds = (s: number) => Math.min(600, Math.ceil(s * 2 - 1e-9) / 2);

export function longer({ shot }: Setup): Change {
  return LONGER.map((times) => {
    const { timing } = shot;
    const feather = (s: number) => Math.round(s * times * 10) / 10;
    const featherInS = feather(timing.featherInS);
    const featherOutS = feather(timing.featherOutS);
    const durationS = halfSeconds(Math.max(timing.durationS * times, timing.holdStartS + timing.holdEndS + featherInS + featherOutS));
    return { shot: { ...shot, timing: { ...timing, durationS, featherInS, featherOutS } }, instruction: `Take ${trim(durationS, 1)} s for it` };
  });
}

export function softer({ shot }: Setup, end: 'featherInS' | 'featherOutS'): Change {
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

export function fasterFrames({ shot, camera }: Setup): Change {
  return camera.frameRatesHz
    .filter((hz) => hz > shot.frameRateHz)
    .sort((a, b) => a - b)
    .map((frameRateHz) => ({
      shot: { ...shot, frameRateHz, captureRateHz: Math.max(frameRateHz, shot.captureRateHz) },
      instruction: `Film and show ${frameRateHz} frames a second`,
    }));
}

/** Recording more frames than are shown: everything takes longer on screen. */
export function slowMotion({ shot, camera }: Setup): Change {
  return camera.frameRatesHz
    .filter((hz) => hz > shot.captureRateHz && hz <= shot.frameRateHz * 5)
    .sort((a, b) => a - b)
    .map((captureRateHz) => ({ shot: { ...shot, captureRateHz }, instruction: `Film ${captureRateHz} frames a second for slow motion` }));
}

export function gentlerGait({ shot, gait }: Setup, gaits: Setup['gait'][]): Change {
  return gaits
    .filter((row) => row.bobMm < gait.bobMm && row.usualMps > 0 && row.stepRateHz < 5)
    .sort((a, b) => b.bobMm - a.bobMm)
    .map((row) => ({ shot: { ...shot, gaitId: row.id }, instruction: `Go with ${row.name}` }));
}

/** A slower or faster stick. */
export function stick({ shot }: Setup): Change {
  return STICK_SPEEDS.slice(STICK_SPEEDS.indexOf(shot.stick) + 1).map((speed) => ({ shot: { ...shot, stick: speed }, instruction: `Fly or steer at ${speed} stick speed` }));
}

export function shutter({ shot }: Setup, anglesDeg: number[]): Change {
  return anglesDeg.map((shutterDeg) => ({ shot: { ...shot, shutterDeg }, instruction: `Set the shutter to ${shutterDeg}°` }));
}

export function lower({ shot }: Setup, units: Units): Change {
  return [0.9, 0.6, 0.4, 0.3, 0.2]
    .filter((heightM) => heightM < heightOf(shot) - 0.05)
    .map((heightM) => ({ shot: { ...shot, move: raised(shot.move, heightM - heightOf(shot)) }, instruction: `Lower the camera to ${sayLength(heightM, units)}` }));
}

export function atHeight({ shot }: Setup, byM: number, units: Units): Change {
  const heightM = settable(heightOf(shot) + byM);
  return [{ shot: { ...shot, move: raised(shot.move, heightM - heightOf(shot)) }, instruction: `${byM < 0 ? 'Lower' : 'Raise'} the camera to ${sayLength(heightM, units)}` }];
}

export function travel({ shot }: Setup, shares: number[], units: Units): Change {
  const recipe = recipeOf(shot.move);
  return shares.map((share) => {
    const move = recipe.scaleTravel(shot.move, share);
    return { shot: { ...shot, move }, instruction: capital(recipe.travelWords(move, units)) };
  });
}

export function distance({ shot }: Setup, shares: number[], units: Units): Change {
  const recipe = recipeOf(shot.move);
  return shares.map((share) => {
    const move = recipe.scaleDistance(shot.move, share);
    return { shot: { ...shot, move }, instruction: capital(recipe.distanceWords(move, units)) };
  });
}

/** Closer with a shorter lens, so that the subject keeps its size. */
export function sameFraming({ shot, lens }: Setup, shares: number[], units: Units): Change {
  const recipe = recipeOf(shot.move);
  return shares
    .map((share) => ({ share, focalLengthMm: Math.round(shot.focalLengthMm * share) }))
    .filter(({ focalLengthMm }) => focalLengthMm >= lens.focalLengthMinMm && focalLengthMm <= lens.focalLengthMaxMm)
    .map(({ share, focalLengthMm }) => {
      const move = recipe.scaleDistance(shot.move, share);
      return { shot: { ...shot, move, focalLengthMm }, instruction: `${capital(recipe.distanceWords(move, units))} with ${focalLengthMm} mm` };
    });
}

export function wider({ shot, lens }: Setup): Change {
  return [0.85, 0.7, 0.6, 0.5, 0.4, 0.3]
    .map((share) => Math.round(shot.focalLengthMm * share))
    .filter((mm) => mm >= lens.focalLengthMinMm)
    .map((focalLengthMm) => ({ shot: { ...shot, focalLengthMm }, instruction: `Go wider, to ${focalLengthMm} mm` }));
}

/** Another rig, carried as its kind usually is. */
export function otherRig({ shot, rig }: Setup, { rigs, gaits }: Pick<Choices, 'rigs' | 'gaits'>): Change {
  return rigs
    .filter((row) => row.id !== rig.id && (row.kind !== 'drone' || heightOf(shot) > HAND_REACH_M))
    .map((row) => {
      const usual = gaits.find((gait) => gait.id === USUAL_GAIT[row.kind]);
      return { shot: { ...shot, rigId: row.id, gaitId: row.kind === rig.kind || !usual ? shot.gaitId : usual.id }, instruction: `Take ${row.name}` };
    });
}

export function otherLens({ shot, lens }: Setup, lenses: Setup['lens'][]): Change {
  return lenses
    .filter((row) => row.id !== lens.id)
    .map((row) => ({
      shot: { ...shot, lensId: row.id, focalLengthMm: Math.min(row.focalLengthMaxMm, Math.max(row.focalLengthMinMm, shot.focalLengthMm)) },
      instruction: `Take ${row.name}`,
    }));
}

export function insideLens({ shot, lens }: Setup): Change {
  const focalLengthMm = Math.min(lens.focalLengthMaxMm, Math.max(lens.focalLengthMinMm, shot.focalLengthMm));
  return [{ shot: { ...shot, focalLengthMm }, instruction: `Set ${trim(focalLengthMm, 1)} mm` }];
}

export function followSubject({ shot }: Setup): Change {
  return shot.aim.mode === 'subject' ? [] : [{ shot: { ...shot, aim: { ...shot.aim, mode: 'subject' } }, instruction: 'Keep turning with the subject' }];
}

const SHORTER = [0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3, 0.2];
const FARTHER = [1.1, 1.25, 1.4, 1.6, 1.8, 2.2, 2.6, 3];
const NEARER = [0.85, 0.7, 0.6, 0.5, 0.4, 0.3];
const FURTHER_ALONG = [1.25, 1.5, 2, 2.5, 3, 4];

interface Choices {
  rigs: Setup['rig'][];
  lenses: Setup['lens'][];
  gaits: Setup['gait'][];
}

/** What could cure a finding, most natural first; of a chain, the move is changed in which the trouble lies. Empty when nothing but another idea helps. */
export function changesFor(finding: Finding, setup: Setup, kit: Choices, units: Units): Change[] {
  const { shot } = setup;
  const index = finding.id === 'start' ? 0 : finding.id === 'stop' ? shot.then.length : legAt(shot, finding.tS / slowFactor(shot));
  const { move, timing } = legsOf(shot)[index];
  // The changes see the one move as if it were the whole shot; what they make of it goes back to its place.
  const changes = changesOfMove(finding, { ...setup, shot: { ...shot, move, timing } }, kit, units);
  const back = (changed: Shot): Shot => withLeg({ ...changed, move: shot.move, timing: shot.timing }, index, (leg) => ({ ...leg, move: changed.move, timing: changed.timing }));
  return changes.map((change) => change.map((rung) => ({ ...rung, shot: back(rung.shot) })));
}

function changesOfMove(finding: Finding, setup: Setup, kit: Choices, units: Units): Change[] {
  const { limits } = setup;
  switch (finding.id) {
    case 'speed.near':
    case 'speed.subject':
    case 'speed.far':
      return [longer(setup), travel(setup, SHORTER, units), fasterFrames(setup)];
    case 'blur.subject':
      return [longer(setup), shutter(setup, [150, 120, 90])];
    case 'blur.shutter':
      return [shutter(setup, [90, 120, 180]), longer(setup)];
    case 'parallax':
      return [lower(setup, units), travel(setup, FURTHER_ALONG, units), sameFraming(setup, NEARER, units)];
    case 'size':
      return [longer(setup), travel(setup, SHORTER, units), otherLens(setup, kit.lenses)];
    case 'cutoff':
      return [followSubject(setup), distance(setup, FARTHER, units), wider(setup)];
    case 'join':
      return [softer(setup, 'featherInS'), longer(setup).slice(0, 5)];
    case 'reveal':
      return [travel(setup, FURTHER_ALONG, units)];
    case 'start':
      return [softer(setup, 'featherInS'), longer(setup).slice(0, 5)];
    case 'stop':
      return [softer(setup, 'featherOutS'), longer(setup).slice(0, 5)];
    case 'zoom.range':
      return [travel(setup, SHORTER, units), otherLens(setup, kit.lenses)];
    case 'zoom.rate':
      return [longer(setup), travel(setup, SHORTER, units)];
    case 'zoom.background':
      return [travel(setup, FURTHER_ALONG, units)];
    case 'rig.travel':
      return [finding.limit > 0 ? travel(setup, [(finding.limit / finding.value) * limits.tightShare * 0.99], units) : [], otherRig(setup, kit)];
    case 'rig.height':
      return [atHeight(setup, (finding.grade === 'tight' ? limits.tightShare * 0.98 : 1) * finding.limit - finding.value, units), otherRig(setup, kit)];
    case 'rig.speed':
    case 'rig.pan':
    case 'rig.climb':
    case 'rig.tiltRate':
      return [longer(setup), stick(setup), otherRig(setup, kit)];
    case 'rig.acceleration':
      return [softer(setup, 'featherInS'), softer(setup, 'featherOutS'), longer(setup), otherRig(setup, kit)];
    case 'rig.bank':
      return [longer(setup), distance(setup, FARTHER, units)];
    case 'rig.arm':
      return [otherRig(setup, kit)];
    case 'wobble':
      return [gentlerGait(setup, kit.gaits), otherRig(setup, kit), slowMotion(setup), distance(setup, FARTHER, units)];
    case 'rig.subject':
    case 'rig.clear':
    case 'rig.way':
    case 'rig.armClear':
    case 'rig.step':
    case 'rig.slope':
      return [travel(setup, SHORTER, units), distance(setup, [...NEARER.slice(0, 2), ...FARTHER.slice(0, 3)], units), otherRig(setup, kit)];
    case 'rig.turntable':
    case 'rig.rope':
    case 'rig.roll':
    case 'rig.path':
    case 'rig.tilt':
      return [otherRig(setup, kit)];
    case 'rig.lens':
      return [insideLens(setup), otherLens(setup, kit.lenses)];
    case 'rig.focus':
      return [distance(setup, FARTHER, units), otherLens(setup, kit.lenses)];
    default:
      return [];
  }
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
