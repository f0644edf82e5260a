import { type Shot, withLeg } from '../model';
import { fallS } from '../supports';

/**
 * The shot with one of its moves timed as a fall from rest through a height: it gains all the way and ends at its
 * fastest, where it is caught. Its holds stay.
 */
export function asFall(shot: Shot, index: number, sinkM: number): Shot {
  const lastsS = Math.round(fallS(sinkM) * 100) / 100;
  return withLeg(shot, index, (leg) => {
    const { holdStartS, holdEndS } = leg.timing;
    return {
      ...leg,
      timing: {
        ...leg.timing,
        durationS: Math.max(0.2, Math.round((holdStartS + lastsS + holdEndS) * 100) / 100),
        featherInS: lastsS,
        featherOutS: 0,
        featherShape: 'constantAcceleration',
      },
    };
  });
}
