import type { Condition, Ways } from './conditions.ts';
import type { Switch, SwitchedLoad } from './switches.ts';

/** K above the opening of the thermostat: where a first fan goes on and off, and how much later the next one. */
const FAN_ON = 13;
const FAN_OFF = 8;
const NEXT_FAN = 5;
/** s for which a pump runs when the key is turned on. */
const PUMP_PRIME = 2;

/** When a switch is taken to be on, of which nobody said when. */
export interface TakenWays {
  readonly ways: Ways;
  readonly prime: number;
}

const order = 0;
const inRun: Condition = { kind: 'key', order, position: 'run' };

const celsius = (value: number) => ({ value, unit: '°C' });

/** A fan by a temperature, the later the more there are before it. */
const byTemperature = (deviceId: string, opens: number, before: number): Condition => ({
  kind: 'temperature',
  order,
  deviceId,
  on: celsius(opens + FAN_ON + before * NEXT_FAN),
  off: celsius(opens + FAN_OFF + before * NEXT_FAN),
});

/** When a switch is taken to be on, by what hangs on it. */
export function takenWays(input: {
  readonly loads: Switch['loads'];
  /** what measures the coolant; undefined without */
  readonly coolantId: string | undefined;
  /** K at which the thermostat opens */
  readonly thermostatOpens: number;
  /** switches by temperature that come before this one */
  readonly before: number;
}): TakenWays {
  const { loads, coolantId, thermostatOpens, before } = input;
  const has = (test: (each: SwitchedLoad) => boolean): boolean => loads.some(test);
  const ways = (...conditions: readonly Condition[]): TakenWays => ({
    ways: [conditions],
    prime: 0,
  });
  if (has(({ load }) => load.when === 'always')) return ways();
  if (loads.length > 0 && loads.every(({ part }) => part.sort === 'pump')) {
    return {
      ways: [[inRun, { kind: 'engine', order, state: 'turning' }]],
      prime: PUMP_PRIME,
    };
  }
  if (has(({ load }) => load.when === 'key on' || load.when === 'engine turning')) {
    return ways(inRun);
  }
  if (has(({ load }) => load.when === 'hot') && coolantId !== undefined) {
    return ways(inRun, byTemperature(coolantId, thermostatOpens, before));
  }
  if (has(({ load }) => load.when === 'cranking')) {
    return ways({ kind: 'key', order, position: 'crank' });
  }
  return ways(inRun);
}
