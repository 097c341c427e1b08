import type { EcuItem } from '../../catalogue/index.ts';
import { addTo } from '../../numerics/index.ts';
import type { ControllerSignal } from './problemOf.ts';

/** Injectors of a row, or coils, on outputs that fire in another order than their cylinders. */
export interface OutOfSequence {
  readonly group: string;
  readonly signals: readonly ControllerSignal[];
  /** the pin that each belongs on, by signal, of those that they are on */
  readonly belongs: ReadonlyMap<string, string>;
}

/** The groups whose outputs are not in the order that the unit has for their cylinders. */
export function outOfSequence(
  item: EcuItem,
  signals: readonly ControllerSignal[],
): OutOfSequence[] {
  const numbers = new Map(item.pins.map(({ id, number }) => [id, number]));
  const groups = new Map<string, ControllerSignal[]>();
  for (const signal of signals) {
    const { group, position } = signal.need;
    if (group === undefined || position === undefined || !numbers.has(signal.assigned)) continue;
    addTo(groups, group, signal);
  }
  const numberOf = (pin: string): number => numbers.get(pin) ?? 0;
  return [...groups].flatMap(([group, members]): OutOfSequence[] => {
    // Several on one output fire together: there is no order among them.
    if (new Set(members.map(({ assigned }) => assigned)).size < members.length) return [];
    const pins = members.map(({ assigned }) => assigned).sort((a, b) => numberOf(a) - numberOf(b));
    const inOrder = [...members].sort((a, b) => (a.need.position ?? 0) - (b.need.position ?? 0));
    const belongs = new Map(inOrder.map(({ id }, i) => [id, pins[i] ?? '']));
    return members.every(({ id, assigned }) => belongs.get(id) === assigned)
      ? []
      : [{ group, signals: inOrder, belongs }];
  });
}
