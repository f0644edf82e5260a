import loaded from '@techstark/opencv-js';

/** The library in a box: it has a `then` of its own, so that nothing that awaits it would ever go on. */
export const box = { cv: loaded as unknown };
