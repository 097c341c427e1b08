import { type ControllerPin, type EcuItem, refOf } from '../../catalogue/index.ts';
import type { Build, Change } from '../../model/index.ts';
import type { Netlist } from '../netlist/netlist.ts';
import type { Connection } from '../slices/connections.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import { firstAllocation } from './firstAllocation.ts';
import { tooFew } from './tooFew.ts';
import { controllerSignals, problemOf } from './problemOf.ts';

type Connections = Readonly<Record<string, Connection>>;

const alike = (a: ControllerPin, b: ControllerPin): boolean =>
  a.capabilities.some((each) => b.capabilities.includes(each));

/**
 * The values that put another unit in the ECU's place: every signal on a pin of it that serves, its
 * references, grounds and supplies where the ones of the old unit were wired. Undefined where a
 * signal finds no pin on it.
 */
export function exchangeUnit(input: {
  readonly wired: Pick<Build, 'devices' | 'controllers' | 'power'>;
  readonly netlist: Netlist;
  readonly from: EcuItem;
  readonly to: EcuItem;
  /** signals that have to find a pin; others that the new unit cannot serve have none then */
  readonly must: readonly string[];
  /** cylinders in the order in which they fire, where that is known */
  readonly order: readonly number[] | undefined;
}): Change[] | undefined {
  const { wired, netlist, from, to } = input;
  // What fires in turn does so as the new unit has it.
  const turned = { ...from, sequence: to.sequence };
  const signals = controllerSignals(wired, netlist, ENGINE_CONTROLLER, turned, input.order);
  const loose = signals.map((signal) => ({
    ...signal,
    assigned: '',
    locked: false,
    need: { ...signal.need, locked: undefined },
  }));
  const lacking = new Set(tooFew(problemOf(to, loose).problem).flatMap((each) => each.signals));
  if (input.must.some((id) => lacking.has(id))) return undefined;
  const found = firstAllocation(
    problemOf(
      to,
      loose.filter(({ id }) => !lacking.has(id)),
    ).problem,
  );
  if (!found) return undefined;
  const moved = new Map<string, string>();
  for (const { id, assigned } of signals) {
    const pin = found.get(id);
    if (assigned !== '' && pin !== undefined && !moved.has(assigned)) moved.set(assigned, pin);
  }
  const taken = new Set(found.values());
  /** The pin that does for the new unit what one did for the old. */
  const instead = (pin: string): string | undefined => {
    const known = moved.get(pin);
    if (known !== undefined) return known;
    const old = from.pins.find(({ id }) => id === pin);
    return old && to.pins.find((each) => alike(each, old) && !taken.has(each.id))?.id;
  };
  const changes: Change[] = [{ path: ['power', 'ecu'], value: refOf(to) }];
  let isWhole = true;
  const move = (path: readonly string[], partId: string, connections: Connections): void => {
    for (const [pin, target] of Object.entries(connections)) {
      if (target.to !== 'controller' || target.controllerId !== ENGINE_CONTROLLER) continue;
      const id = `${partId}~${pin}`;
      const next = lacking.has(id) ? '' : (found.get(id) ?? instead(target.pin));
      if (next === undefined) isWhole = false;
      else changes.push({ path: [...path, pin], value: { ...target, pin: next, locked: false } });
    }
  };
  for (const { id, state, connections } of wired.devices) {
    if (state !== 'removed') move(['devices', id, 'connections'], id, connections);
  }
  for (const { id, connections } of wired.controllers) {
    move(['controllers', id, 'connections'], id, connections);
  }
  const own: Record<string, Connection> = {};
  for (const pin of to.pins) {
    const before = from.pins.find(
      (old) => alike(old, pin) && wired.power.ecuConnections[old.id] !== undefined,
    );
    const target = before && wired.power.ecuConnections[before.id];
    if (target && !taken.has(pin.id)) own[pin.id] = target;
  }
  changes.push({ path: ['power', 'ecuConnections'], value: own });
  return isWhole ? changes : undefined;
}
