/**
 * The shots as a story: what of each is in the cut, how they meet, what the whole film comes to, and its timeline.
 *
 * @example
 * joinsOf(shoot).find(({ grade }) => grade === 'jolt')?.findings[0].sentence; // the first cut that jolts, and why
 */
export { type BestCut, bestCut } from './best-frame';
export { type Edge, edgeAt, edgeOf, type EdgeSubject } from './edge';
export { type BoardShot, boardShot, SEEN_SIDES, SEEN_SIZES } from './board-shot';
export { type Coverage, coverageOf, tickOf } from './coverage';
export { type FilmFinding, filmFindings } from './film';
export { type JoinCure, joinCures } from './join-cures';
export { type JoinFinding, kindWords } from './join-finding';
export { type Ends, endsOf, judgeEnds, judgeJoin, type JoinReading, joinsOf } from './joins';
export { type Answers, layOut, patternFrom, PATTERNS } from './patterns';
export { type PictureMotion, pictureMotion, speedOf } from './picture-motion';
export { timecode } from './timecode';
export { filmRateHz, filmSeconds, type FilmFrame, type FilmStretch, framesAt, shownAt, timelineOf } from './timeline';
export { cutFrames, type CutFrames, cutSeconds, framesOf, Tellings, type Told, tell } from './told';
