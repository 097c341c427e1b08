import { type Plain, plain } from './plain.ts';

const share = (value: number) => ({ value, unit: '%' });

/** 12: what an alternator gives at idle and hot, how much of a battery can be used, and panels. */
export const supplyBudget = (document: Plain): Plain => ({
  ...document,
  version: 12,
  panels: {},
  limits: {
    ...plain(document['limits']),
    alternatorAtIdle: share(0.45),
    alternatorHot: share(0.85),
    batteryUsable: share(0.5),
  },
});
