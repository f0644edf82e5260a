import type { Cure } from '../search';
import { readFigures, type Reading } from '../reading';
import type { Shot } from '../model';

const number = (value: number): number | null => (Number.isFinite(value) ? value : null);

/**
 * A reading as plain JSON: what `arc read` prints and `POST /api/reading` answers. Every field is described in
 * docs/formats.md; what cannot be measured is null.
 */
export function readingJson(shotNumber: number, shot: Shot, reading: Reading, cures: readonly Cure[] = []) {
  const figures = readFigures(reading.picture);
  const { samples, subject, site, screen } = reading.picture;
  return {
    shot: shotNumber,
    id: shot.id,
    name: shot.name,
    frameRateHz: samples.frameRateHz,
    captureRateHz: samples.captureRateHz,
    frameWidthMm: samples.frameWidthMm,
    frameHeightMm: samples.frameHeightMm,
    samples: Array.from({ length: samples.count }, (_, i) => ({
      t: samples.tS[i],
      screenT: samples.screenS[i],
      position: [samples.xM[i], samples.yM[i], samples.zM[i]],
      panDeg: samples.panDeg[i],
      tiltDeg: samples.tiltDeg[i],
      rollDeg: samples.rollDeg[i],
      focalLengthMm: samples.focalLengthMm[i],
      crop: samples.crop[i],
      focusDistanceM: number(samples.focusDistanceM[i]),
      subject: {
        u: number(subject.u[i]),
        v: number(subject.v[i]),
        height: number(subject.height[i]),
        visible: number(reading.picture.visible[i]),
      },
      body: {
        bobM: samples.body.bobM[i],
        swayM: samples.body.swayM[i],
        panDeg: samples.body.panDeg[i],
        tiltDeg: samples.body.tiltDeg[i],
        rollDeg: samples.body.rollDeg[i],
      },
      screenSpeed: {
        near: number(site.near.speed[i]),
        subject: number(subject.speed[i]),
        far: number(site.far.speed[i]),
      },
      parallax: { near: number(site.near.againstSubject[i]), far: number(site.far.againstSubject[i]) },
      screenAcceleration: number(screen.acceleration[i]),
    })),
    findings: reading.findings.map((finding) => ({
      ...finding,
      value: number(finding.value),
      limit: number(finding.limit),
      cures: cures
        .filter((cure) => cure.findingId === finding.id)
        .map(({ sentence, instruction, effect, costs, removes, shot: changed, pieces }) => ({
          sentence,
          instruction,
          effect,
          costs,
          removes,
          shot: changed,
          pieces,
        })),
    })),
    layers: figures.layers.map(({ speed, atS, crossingS, blurShare, blurPx, parallax, slide, growth, layer }) => ({
      layer,
      speed,
      atS,
      crossingS: number(crossingS),
      blurShare,
      blurPx,
      parallax,
      slide,
      growth,
    })),
    speedLimits: { ...figures.speedLimits, window: number(figures.speedLimits.window) },
    evenness: figures.evenness,
    marks: figures.marks,
    pieces: figures.pieces,
    units: {
      speed: 'frame widths/s',
      parallax: 'frame widths/s',
      crossingS: 's',
      blurShare: 'frame widths',
      blurPx: 'pixels of the delivery',
      slide: 'frame widths',
      growth: '×',
      speedLimits: 'frame widths/s, window null: no limit',
      largestShare: 'share of the frame',
      inside: 'frame widths',
    },
    cautions: reading.cautions,
    approaches: reading.approaches,
    passes: reading.passes,
  };
}
