import { type Plain, plain } from './plain.ts';

/** 13: when what is switched is on, and when the thermostat opens. */
export const switchingTable = (document: Plain): Plain => ({
  ...document,
  version: 13,
  switching: {},
  limits: {
    ...plain(document['limits']),
    thermostatOpens: { value: 355.15, unit: '°C' },
  },
});
