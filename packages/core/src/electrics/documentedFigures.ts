import type { FigureDescription } from '../results/index.ts';

/** Figures of pins, wires, fuses, grounds and supply that readers may rely on. */
export const documentedElectricFigures: readonly FigureDescription[] = [
  {
    key: 'wire.pumpFeed.area',
    kind: 'area',
    meaning:
      'Conductor area of the pump feed (fuse to relay to pump, and pump to ground); the smallest if sizes differ.',
  },
  {
    key: 'wire.pumpFeed.drop',
    kind: 'voltage',
    meaning:
      'Voltage drop in the wire of the pump feed, out and back, at the pump’s highest data-sheet current and conductor temperature.',
  },
  {
    key: 'wire.pumpFeed.seriesResistance',
    kind: 'resistance',
    meaning: 'Battery to pump and back: wires, fuses, relay, contacts and crimps.',
  },
  {
    key: 'wire.mainFeed.drop',
    kind: 'voltage',
    meaning: 'Voltage drop in the wire from battery to pump fuse at the same current.',
  },
  { key: 'fuse.pumpFeed.rating', kind: 'current', meaning: 'Rating of the pump fuse.' },
  {
    key: 'pin.coolant~1',
    kind: 'count',
    meaning: 'Place of the pin that a signal (device and pin) is on, in the list of its ECU.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'spare.low-side',
    kind: 'count',
    meaning: 'Pins of the ECU left that can do it; one that can do several counts for each.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'voltage.fan-1.worst',
    kind: 'voltage',
    meaning: 'Volts across a device in a case: keyOn, cranking, idle, cruiseHot, worst.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'wire.fan-1~+.area',
    kind: 'area',
    meaning: 'Conductor of a wire, by the device and pin that it leaves.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'wire.fan-1~+.drop',
    kind: 'voltage',
    meaning: 'Drop along a wire at the current it is sized for.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'wire.fan-1~+.temperature',
    kind: 'temperature',
    meaning: 'Conductor temperature of a wire at the current it is sized for.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'wire.fan-1~+.decidedBy',
    kind: 'count',
    meaning:
      'What the next smaller size fails: 1 current, 2 drop, 3 mechanical, 4 short circuit, 5 fit, 6 fuse; 0: none.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'fuse.fuse-coils.rating',
    kind: 'current',
    meaning: 'Rating of a fuse.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'ground.engine-block.drop',
    kind: 'voltage',
    meaning: 'How far a ground stands above the battery’s negative with everything on.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'sensorError.fuel-pressure',
    kind: 'pressure',
    meaning: 'What a sensor reads wrong for its ground: pressure, or temperature at 90 °C.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'load.worst.total',
    kind: 'current',
    meaning:
      'What every load of a case takes together: `load.<case>.total`, case keyOn, cranking, idle, cruiseHot or worst (all at once).',
  },
  {
    key: 'alternator.worst.available',
    kind: 'current',
    meaning:
      'What alternator or stator give in a case in which the engine turns (idle, cruiseHot, worst): less at idle, less hot, both in worst.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'alternator.worst.margin',
    kind: 'ratio',
    meaning: 'How much more is given than taken, of what is taken: `alternator.<case>.margin`.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'battery.worst.covers',
    kind: 'endurance',
    meaning:
      'How long the battery makes up for what is short in a case; only where the alternator gives too little in it.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'panel.width',
    kind: 'length',
    meaning: 'Width of the plate with relays and fuses.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'panel.height',
    kind: 'length',
    meaning: 'Its height.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'battery.drain',
    kind: 'drain',
    meaning: 'What is taken with the key off: past no relay, switch or controller.',
  },
  {
    key: 'battery.daysUntilFlat',
    kind: 'days',
    meaning:
      'Days that the vehicle may stand until it no longer cranks; only where something is taken with the key off.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'switch.pump-relay.primeCharge',
    kind: 'charge',
    meaning:
      'What the prime of a relay or output takes from the battery; `switch.<relay>` or `switch.<controller>-<pin>`.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'switch.main-relay.afterRunCharge',
    kind: 'charge',
    meaning: 'What its after-run takes; only where it has one.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'sneakPaths.count',
    kind: 'count',
    meaning:
      'Loads that are alive while what switches them is off: with the circuit whole, and with one fuse out or one ground open.',
  },
  {
    key: 'sneakPaths.states',
    kind: 'count',
    meaning:
      'Situations that were looked at; each stands for every position of the other switches.',
  },
  {
    key: 'failures.pumpRunsOn',
    kind: 'count',
    meaning: 'Contacts and outputs that leave a pump running, key off, if they stay closed.',
  },
];
