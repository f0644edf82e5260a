/** A figure of ours: where its joints are, in heads from between the feet; x to the right, y up. */
export interface Stick {
  head: [number, number];
  neck: [number, number];
  hips: [number, number];
  elbows: [[number, number], [number, number]];
  hands: [[number, number], [number, number]];
  knees: [[number, number], [number, number]];
  feet: [[number, number], [number, number]];
  /** The camera, and what holds it up, if anything. */
  camera: [number, number];
  stand?: [[number, number], [number, number]];
}

/** How to hold and step: one way, its figure, what it does and what goes wrong. */
export interface HoldCard {
  id: string;
  title: string;
  figure: Stick;
  steps: string[];
  wrong: string[];
  /** Of the usual bob of a plain walk, and of the hands' trembling, so much is left. Common practice. */
  bobLeft: number;
  shakeLeft: number;
}

const STANDING: Stick = {
  head: [0, 7.4],
  neck: [0, 6.6],
  hips: [0, 4],
  elbows: [
    [-0.9, 5.3],
    [0.9, 5.3],
  ],
  hands: [
    [0.6, 5.6],
    [1.3, 5.6],
  ],
  knees: [
    [-0.5, 2],
    [0.5, 2],
  ],
  feet: [
    [-0.6, 0],
    [0.6, 0],
  ],
  camera: [1.5, 5.9],
};

const card = (
  id: string,
  title: string,
  figure: Partial<Stick>,
  steps: string[],
  wrong: string[],
  [bobLeft, shakeLeft]: [number, number],
): HoldCard => ({ id, title, figure: { ...STANDING, ...figure }, steps, wrong, bobLeft, shakeLeft });

/** What is left of bob and trembling is common practice, no published source. */
export const CARDS: readonly HoldCard[] = [
  card(
    'knees',
    'Knees soft',
    {
      hips: [-0.1, 3.6],
      knees: [
        [-0.9, 2],
        [0.7, 1.9],
      ],
      head: [0, 7],
      neck: [0, 6.2],
      elbows: [
        [-0.6, 4.8],
        [0.7, 4.7],
      ],
      hands: [
        [0.7, 5.1],
        [1.3, 5.1],
      ],
      camera: [1.5, 5.4],
    },
    [
      'Sink a hand’s breadth and stay there: the hips go straight, the knees take up every step.',
      'Look where you will be in two seconds, not at your feet.',
      'Small steps, even ones: shorter than you walk.',
    ],
    ['Straight knees: each heel comes through.', 'Sinking more and more on the way: the frame goes down.'],
    [0.33, 0.6],
  ),
  card(
    'elbows',
    'Elbows in',
    {
      elbows: [
        [-0.45, 5],
        [0.5, 5],
      ],
      hands: [
        [0.6, 5.4],
        [1.0, 5.4],
      ],
      camera: [1.1, 5.7],
    },
    [
      'Elbows at the ribs and at a right angle: three points of contact, two hands and the body.',
      'Turn from the hips; shoulders and wrists stay as they are.',
      'Breathe out on the move.',
    ],
    ['Arms out: they shake within a minute.', 'Both elbows winged: every breath is in the frame.'],
    [0.9, 0.4],
  ),
  card(
    'heelToToe',
    'Heel to toe',
    {
      hips: [0, 3.8],
      knees: [
        [-0.7, 1.9],
        [0.9, 2.1],
      ],
      feet: [
        [-1.1, 0],
        [1.2, 0],
      ],
    },
    [
      'Set the heel down first and roll over the edge of the foot to the toe; the other leaves from the toe.',
      'One foot before the other, on one line; a free hand may look for the way behind.',
      'Backwards: toe first, somebody’s hand at your back.',
    ],
    ['Stamping: the heel is heard in the picture.', 'Feet apart: the frame sways from side to side.'],
    [0.4, 0.7],
  ),
  card(
    'plantTurn',
    'Plant and turn',
    {
      knees: [
        [-0.8, 2],
        [0.9, 2],
      ],
      feet: [
        [-1.3, 0],
        [1.2, 0.0],
      ],
      elbows: [
        [-0.3, 5.1],
        [0.9, 5.0],
      ],
    },
    [
      'Feet where the move ends, comfortable there; wind the hips back to where it starts.',
      'Unwind: hips first, shoulders with them, elbows still at the ribs.',
      'The move ends where your body is at rest.',
    ],
    ['Feet placed for the start: the stop is a strain, and shakes.', 'Turning with the arms alone: it ends in a bump.'],
    [0.1, 0.5],
  ),
  card(
    'hip',
    'At the hip',
    {
      hips: [0, 4],
      elbows: [
        [-0.6, 4.9],
        [0.8, 4.7],
      ],
      hands: [
        [0.5, 4.2],
        [0.9, 4.1],
      ],
      camera: [1.2, 4.3],
      stand: [
        [0.5, 4],
        [1.1, 4.2],
      ],
    },
    [
      'A small stand or the handle’s end pressed to the hip bone, the other hand under the lens.',
      'Shift your weight from one foot to the other: half a metre of slide.',
      'Breathe out and let the hip lead.',
    ],
    ['Held off the body: it is only hand-held then.', 'Twisting instead of shifting: a slide becomes a pan.'],
    [0.3, 0.3],
  ),
  card(
    'shoulder',
    'On the shoulder',
    {
      elbows: [
        [-0.5, 5.4],
        [0.9, 5.6],
      ],
      hands: [
        [0.6, 6.6],
        [1.2, 6.7],
      ],
      camera: [0.6, 7.2],
    },
    [
      'Weight over the shoulder, one hand forward under the lens, the elbow down.',
      'The head stays beside it: look through, do not lean to it.',
      'Walk from the hips.',
    ],
    ['Shoulder raised: the neck tires and the horizon leans.', 'Head tilted to the finder: so is the picture.'],
    [0.7, 0.35],
  ),
  card(
    'squat',
    'Squat to overhead',
    {
      head: [0.1, 4.9],
      neck: [0.1, 4.2],
      hips: [-0.7, 1.7],
      knees: [
        [0.3, 2.1],
        [0.9, 2],
      ],
      elbows: [
        [0, 3],
        [0.9, 3],
      ],
      hands: [
        [1, 2.6],
        [1.4, 2.6],
      ],
      camera: [1.7, 2.8],
    },
    [
      'Heels down in the squat, the camera close; rise with the legs first, then the arms.',
      'The wrists keep it level; look at the horizon line, not at her.',
      'Practise the last third: arms stretched are where it shakes.',
    ],
    ['Legs and arms at once: it stops in the middle.', 'Up on the toes: it sways at the end.'],
    [0.4, 0.8],
  ),
  card(
    'lengthwise',
    'Lengthwise, a hand at each end',
    {
      elbows: [
        [-1, 5.1],
        [1.1, 5.1],
      ],
      hands: [
        [-0.9, 4.6],
        [1.2, 4.6],
      ],
      camera: [0.2, 4.4],
    },
    [
      'The gimbal lies like a tray, a hand at each end, elbows bent.',
      'Both hands move together; the one behind leads on a turn.',
      'Low moves and close passes: knees, not back.',
    ],
    ['One hand higher: the roll motor runs to its end.', 'Stiff arms: every step is in the frame.'],
    [0.75, 0.5],
  ),
  card(
    'monopod',
    'On one leg',
    {
      hands: [
        [0.7, 5.7],
        [1, 5.2],
      ],
      camera: [1.2, 6.3],
      stand: [
        [1.2, 0],
        [1.2, 6],
      ],
    },
    [
      'The foot planted, both hands high on it; lean, do not lift.',
      'Start leaned back, pass the upright slowly, end leaned forward: less than a metre.',
      'Tape the place of the foot.',
    ],
    ['Lifting the foot on the way: a jump.', 'Leaning past what the arms hold: it drops at the end.'],
    [0.2, 0.15],
  ),
  card(
    'twoHands',
    'Two hands, arms only',
    {
      elbows: [
        [-0.8, 5.2],
        [0.8, 5.1],
      ],
      hands: [
        [1, 5.2],
        [1.6, 5.2],
      ],
      camera: [1.9, 5.5],
    },
    [
      'Both hands on it, feet still and apart, knees loose.',
      'From close to the chest to half an arm’s length: no farther.',
      'Start after a breath out.',
    ],
    ['Arms stretched to the end: it shakes there, where it has to rest.', 'Feet together: the whole body sways.'],
    [0.1, 0.6],
  ),
];
