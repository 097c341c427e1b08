import type { Brief } from '../../model/index.ts';

/** What of the brief the engine runs by: neither words nor what is only told. */
export type EngineBrief = Omit<
  Brief,
  'vehicle' | 'engine' | 'use' | 'firingOrder' | 'cruisePower' | 'cruiseRoadSpeed'
>;

/** The part of a brief that the engine runs by. */
export function engineBrief(brief: Brief): EngineBrief {
  const {
    vehicle: _vehicle,
    engine: _engine,
    use: _use,
    firingOrder: _order,
    cruisePower: _power,
    cruiseRoadSpeed: _speed,
    ...rest
  } = brief;
  return rest;
}
