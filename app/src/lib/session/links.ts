import { resolve } from '$app/paths';

/** Addresses of the screens. Ids come from files too: whatever is in one, its link leads to it. */
const coded = encodeURIComponent;

export const shotsHref = (shootId: string): string => resolve('/shoot/[shootId]', { shootId: coded(shootId) });
export const scoutHref = (shootId: string, shotId?: string): string =>
  resolve('/shoot/[shootId]/scout', { shootId: coded(shootId) }) +
  (shotId === undefined ? '' : `?shot=${coded(shotId)}`);
export const kitHref = (shootId: string, buildId?: string): string =>
  resolve('/shoot/[shootId]/kit', { shootId: coded(shootId) }) +
  (buildId === undefined ? '' : `?build=${coded(buildId)}`);
export const dayHref = (shootId: string): string => resolve('/shoot/[shootId]/day', { shootId: coded(shootId) });
export const takesHref = (shootId: string, shotId?: string): string =>
  resolve('/shoot/[shootId]/takes', { shootId: coded(shootId) }) +
  (shotId === undefined ? '' : `?shot=${coded(shotId)}`);
export const limitsHref = (shootId: string): string => resolve('/shoot/[shootId]/limits', { shootId: coded(shootId) });
export const moveHref = (shootId: string, shotId: string): string =>
  resolve('/shoot/[shootId]/shot/[shotId]', { shootId: coded(shootId), shotId: coded(shotId) });
export const lensHref = (shootId: string, shotId: string): string =>
  resolve('/shoot/[shootId]/shot/[shotId]/lens', { shootId: coded(shootId), shotId: coded(shotId) });
export const marksHref = (shootId: string, shotId: string): string =>
  resolve('/shoot/[shootId]/shot/[shotId]/marks', { shootId: coded(shootId), shotId: coded(shotId) });
export const rehearseHref = (shootId: string, shotId: string): string =>
  resolve('/shoot/[shootId]/shot/[shotId]/rehearse', { shootId: coded(shootId), shotId: coded(shotId) });
/** Where a shoot opens: its first shot, or its list when it has none. */
export const openHref = ({ id, shots }: { id: string; shots: readonly { id: string }[] }): string =>
  shots[0] ? moveHref(id, shots[0].id) : shotsHref(id);
