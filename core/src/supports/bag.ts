import { sayMass, type Units } from '../model';
import { fact, type Fact } from './fact';

/**
 * A bag that a stand asks for, against the one that hangs there. `mend` says what else helps where no bag is enough.
 */
export function bagWords(
  key: string,
  label: string,
  neededKg: number,
  hangsKg: number,
  units: Units,
  mend: string,
): Fact {
  if (!Number.isFinite(neededKg)) return fact(key, label, `none is enough: ${mend}`, null, 'cannot');
  const missing = neededKg - hangsKg;
  const hangs = sayMass(hangsKg, units);
  const said =
    neededKg === 0
      ? hangsKg > 0
        ? `none asked for; ${hangs} hang there`
        : 'none asked for'
      : missing <= 1e-6
        ? `${sayMass(neededKg, units)} asked for; ${hangs} hang there`
        : hangsKg > 0
          ? `${sayMass(neededKg, units)} asked for: ${sayMass(missing, units)} more than hang there`
          : sayMass(neededKg, units);
  return fact(
    key,
    label,
    said,
    neededKg,
    missing > 1e-6 ? 'tight' : null,
    missing > 1e-6 ? 'Hang it before the camera goes out.' : '',
  );
}
