import {
  type Catalogue,
  type EcuItem,
  type PinCapability,
  capabilityOf,
  lookUp,
} from '../../catalogue/index.ts';
import type { Build } from '../../model/index.ts';
import type { Netlist } from '../netlist/netlist.ts';
import type { Connection } from '../slices/connections.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import type { AllocationProblem } from './allocationProblem.ts';
import { assignmentFaults } from './assignmentFaults.ts';
import { firingOrder } from './firingOrder.ts';
import { type ControllerSignal, controllerSignals, problemOf } from './problemOf.ts';
import { sparePins } from './sparePins.ts';

type Wired = Pick<Build, 'devices' | 'power' | 'controllers' | 'brief'>;

/** What is on a pin of a controller, in words. */
export interface PinUseOnSheet {
  readonly pin: EcuItem['pins'][number];
  readonly uses: readonly string[];
  readonly signals: readonly string[];
  readonly troubled: boolean;
}

/** A controller with what is on its pins, what has none, and what is left. Plain data. */
export interface PinSheet {
  readonly controllerId: string;
  readonly name: string;
  readonly designation: string;
  readonly pins: readonly PinUseOnSheet[];
  readonly signals: readonly ControllerSignal[];
  readonly spare: readonly { readonly capability: PinCapability; readonly count: number }[];
  readonly problem: AllocationProblem;
}

const leadsTo = (target: Connection, controllerId: string, pin: string): boolean =>
  target.to === 'controller' && target.controllerId === controllerId && target.pin === pin;

/** Where a controller's own pin is wired to, in words. */
function ownUse(
  document: Wired,
  netlist: Netlist,
  controllerId: string,
  pin: string,
): readonly string[] {
  const own =
    controllerId === ENGINE_CONTROLLER
      ? document.power.ecuConnections
      : (document.controllers.find(({ id }) => id === controllerId)?.connections ?? {});
  const target = own[pin];
  if (!target) return [];
  const id =
    target.to === 'part'
      ? target.partId
      : target.to === 'signal'
        ? target.signalId
        : target.to === 'ground'
          ? target.groundId
          : target.controllerId;
  return [netlist.parts.find((part) => part.id === id)?.name ?? id];
}

/** Supplies, grounds and references are no pins for signals: what is left of them says nothing. */
const isForSignals = (capability: PinCapability): boolean => capabilityOf(capability).forSignals;

/** The pins of a controller as a sheet; undefined where there is no such controller. */
export function pinSheet(input: {
  readonly document: Wired;
  readonly netlist: Netlist;
  readonly catalogue: Catalogue;
  readonly controllerId: string;
}): PinSheet | undefined {
  const { document, netlist, catalogue, controllerId } = input;
  const other = document.controllers.find(({ id }) => id === controllerId);
  const ref = controllerId === ENGINE_CONTROLLER ? document.power.ecu : other?.item;
  if (!ref) return undefined;
  const item = lookUp(catalogue, 'ecu', ref, controllerId);
  const order = firingOrder(document.brief.firingOrder, document.brief.cylinders);
  const signals = controllerSignals(document, netlist, controllerId, item, order);
  const { problem, assigned } = problemOf(item, signals);
  const faulty = new Set(assignmentFaults(problem, assigned).flatMap(({ pins }) => pins));
  const spare = sparePins(problem, assigned);
  const byId = new Map(signals.map((signal) => [signal.id, signal]));
  return {
    controllerId,
    name: other?.name ?? item.designation,
    designation: item.designation,
    pins: item.pins.map((pin) => {
      const here = signals.filter(({ id }) => assigned.get(id) === pin.id);
      const shared = document.devices.flatMap(({ id, name, state, connections }) =>
        state !== 'removed' &&
        Object.entries(connections).some(
          ([from, target]) => leadsTo(target, controllerId, pin.id) && !byId.has(`${id}~${from}`),
        )
          ? [name]
          : [],
      );
      return {
        pin,
        uses: [
          ...here.map(({ need }) => need.name),
          ...shared,
          ...ownUse(document, netlist, controllerId, pin.id),
        ],
        signals: here.map(({ id }) => id),
        troubled: faulty.has(pin.id),
      };
    }),
    signals,
    spare: [...spare].flatMap(([capability, pins]) =>
      isForSignals(capability) ? [{ capability, count: pins.length }] : [],
    ),
    problem,
  };
}
