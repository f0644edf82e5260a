import { DEFAULT_KIT } from './defaults';
import type { Kit } from './kit';

const STARTS_WITH: Record<'cameras' | 'lenses' | 'rigs' | 'filters', readonly string[]> = {
  cameras: ['cam-heron'],
  lenses: ['lens-fern-2470', 'lens-moss-35'],
  rigs: ['rig-tripod', 'rig-hand', 'rig-gimbal', 'rig-slider-120'],
  filters: ['filter-vnd', 'filter-pol'],
};

/**
 * The small kit that an own shoot starts with: one camera, two lenses, four ways to carry it. Everything else of the
 * made-up kit can be copied in. Names and figures are invented.
 */
export const STARTER_KIT: Kit = {
  ...DEFAULT_KIT,
  ...Object.fromEntries(
    Object.entries(STARTS_WITH).map(([list, ids]) => [
      list,
      DEFAULT_KIT[list as keyof typeof STARTS_WITH].filter(({ id }) => ids.includes(id)),
    ]),
  ),
  parts: [],
  builds: [],
};
