/** What wires are there for, as a person looks for them. */
export const electricSystems = [
  'supply',
  'starting',
  'controllers',
  'pumps',
  'injection',
  'ignition',
  'sensors',
  'actuators',
  'cooling',
  'lamps',
  'bus',
] as const;
export type ElectricSystem = (typeof electricSystems)[number];

/** The systems in words. */
export const electricSystemWords: Readonly<Record<ElectricSystem, string>> = {
  supply: 'Supply and grounds',
  starting: 'Starting and charging',
  controllers: 'Controllers',
  pumps: 'Fuel pumps',
  injection: 'Injection',
  ignition: 'Ignition',
  sensors: 'Sensors and switches',
  actuators: 'Valves and actuators',
  cooling: 'Cooling',
  lamps: 'Lamps and gauges',
  bus: 'Bus',
};
