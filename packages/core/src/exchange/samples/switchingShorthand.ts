import type { StoredCondition } from '../../electrics/model.ts';
import type { SwitchRow } from '../../model/index.ts';
import { q } from './shorthand.ts';

type Bare<T> = T extends unknown ? Omit<T, 'order'> : never;
type Condition = Bare<StoredCondition>;

export const inRun: Condition = { kind: 'key', position: 'run' };
export const turning: Condition = { kind: 'engine', state: 'turning' };

/** Above a temperature until it has fallen to another, °C. */
export const above = (deviceId: string, on: number, off: number): Condition => ({
  kind: 'temperature',
  deviceId,
  on: q(on, 'temperature', '°C'),
  off: q(off, 'temperature', '°C'),
});

/** A button of a keypad that is pressed. */
export const button = (deviceId: string, pressed: number): Condition => ({
  kind: 'input',
  deviceId,
  button: pressed,
  is: 'on',
});

/** When a relay is on, or an output "controller/pin": one of some ways, of which each asks for all. */
export function when(
  target: string,
  ways: readonly (readonly Condition[])[],
  { prime = 0, afterRun = 0 }: { readonly prime?: number; readonly afterRun?: number } = {},
): SwitchRow {
  const [partId = '', pin = ''] = target.split('/');
  return {
    id: target.replace('/', '-').toLowerCase(),
    partId,
    pin,
    ways: Object.fromEntries(
      ways.map((conditions, i) => [
        `way-${i + 1}`,
        {
          order: 1000 * (i + 1),
          conditions: Object.fromEntries(
            conditions.map((each, j) => [
              `condition-${j + 1}`,
              { ...each, order: 1000 * (j + 1) } as StoredCondition,
            ]),
          ),
        },
      ]),
    ),
    prime: q(prime, 'time', 's'),
    afterRun: q(afterRun, 'time', 's'),
  };
}
