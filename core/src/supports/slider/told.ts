import { sayLength, sayMass, type Slider, trim, type Units } from '../../model';
import { sliderStand } from './statics';
import { fact, type Told } from '../fact';
import { gradeOfMargin } from '../grade';
import { bagWords } from '../bag';

/** Margins to the edge of the feet that crews like to keep, m: common practice, no published source. */
const MARGIN_M = 0.05;
/** A hand pushes evenly against about as much, N: common practice, no published source. */
const EVEN_PUSH_N = 3;
const SLOPE_DEG = { shows: 0.1, most: 0.5 };

export function sliderTold(slider: Slider, headKg: number, units: Units): Told {
  const found = sliderStand(slider, headKg);
  const { worst } = found;
  const two = slider.stands === 'two';
  const most = Math.max(...found.rows.flatMap((row) => row.reactionsN));
  const least = Math.min(...found.rows.map((row) => Math.min(...(two ? row.reactionsN : [row.reactionsN[0]]))));
  const slope = Math.max(...found.rows.map((row) => row.slopeDeg));
  const meant = `${trim(Math.abs(slider.tiltDeg), 1)}°`;
  return {
    facts: [
      fact(
        'marginM',
        two ? 'Centre of mass inside the feet, at worst' : 'Centre of mass inside the feet, at worst of the whole turn',
        sayLength(worst.marginM, units),
        worst.marginM,
        gradeOfMargin(worst.marginM, MARGIN_M),
        worst.marginM <= 0
          ? `It tips with the carriage ${sayLength(Math.abs(worst.alongM), units)} from the middle.`
          : worst.marginM < MARGIN_M
            ? 'Bags on the feet, or a stand under each end.'
            : '',
      ),
      bagWords(
        'bagKg',
        two ? 'Bag on each stand' : 'Bag under the tripod',
        found.bagKg,
        slider.bagG / 1000,
        units,
        'spread the feet or take two stands',
      ),
      fact(
        'reactionMaxN',
        'A foot’s stand carries',
        two ? `${trim(least, 0)} to ${trim(most, 0)} N as the carriage goes` : `${trim(most, 0)} N`,
        most,
      ),
      fact(
        'slopeDeg',
        'The rail gives under the carriage',
        `${trim(slope, 2)}°`,
        slope,
        slope <= SLOPE_DEG.shows ? 'fits' : slope <= SLOPE_DEG.most ? 'tight' : 'cannot',
        slope <= SLOPE_DEG.shows
          ? ''
          : two
            ? 'The frame goes crooked on the way: a lighter camera or a stiffer rail.'
            : 'The frame goes crooked on the way: a stand under each end.',
      ),
      fact(
        'dragN',
        'Drag against a hand’s push',
        `${trim(found.frictionN, 1)} N`,
        found.frictionN,
        found.frictionN >= EVEN_PUSH_N ? 'fits' : 'tight',
        found.frictionN >= EVEN_PUSH_N
          ? ''
          : `Pushed by hand a light camera runs ahead of it: add ${trim(EVEN_PUSH_N - found.frictionN, 1)} N of drag, ` +
              'or mass on the carriage, or let a motor pull.',
      ),
      ...(slider.tiltDeg === 0
        ? []
        : [
            fact(
              'slipN',
              'Slides down by itself with',
              `${trim(found.slipN, 1)} N; drag holds ${trim(found.frictionN, 1)} N`,
              found.slipN,
              found.dragNeededN > 0 ? 'cannot' : 'fits',
              found.dragNeededN > 0
                ? `Add ${trim(found.dragNeededN, 1)} N of drag, a counterweight over a pulley, or hold it all the way.`
                : '',
            ),
          ]),
      fact('massKg', 'Stands on the ground', sayMass(found.massKg, units), found.massKg),
    ],
    steps: [
      slider.tiltDeg === 0
        ? 'Level the rail with the carriage in the middle, bags on.'
        : `Set the rail to its slope of ${meant} with the carriage held in the middle, bags on; level it across.`,
      slider.tiltDeg === 0
        ? 'Run the carriage to both ends: the bubble must stay.'
        : `Run the carriage to both ends by hand: the slope must stay at ${meant}, and the bubble across as well.`,
      'Mark start and stop with tape; note what stands at the frame’s edge at both.',
      `${slider.tiltDeg === 0 ? 'Level again' : 'Set slope and level again'} after every move of the rig, and after it ` +
        `has stood with the carriage at one end: the leg there carries ${trim(most, 0)} N and creeps.`,
      'Wipe rail and wheels and run it once over its whole length after dust, rain or a knock: a grain is a bump.',
    ],
  };
}
