import type { Limits } from '../../model/index.ts';
import { fuseResistance } from '../power/contacts.ts';
import { contactsOf } from '../power/wireContacts.ts';
import type { ElectricCircuit, ElectricElement } from '../solver/circuit.ts';
import { type ElectricCase, dutyIn } from './electricCases.ts';
import type { LoadAt } from './liveLoads.ts';
import { passiveElements } from './ratedCurrents.ts';
import type { SizedNetwork } from './sizeNetwork.ts';
import { switchedLoadsOn } from './switchedLoads.ts';
import type { WiringBuild } from './wiringBuild.ts';

/** The elements of a sized network without its loads and sources. */
function ofNetwork({ netlist, wires, fuses }: SizedNetwork): ElectricElement[] {
  const ohm = new Map(wires.map((sized) => [sized.wire.id, sized.resistance + contactsOf(sized)]));
  return passiveElements(netlist, {
    wire: (id) => ohm.get(id) ?? 0,
    fuse: (id) => fuseResistance(fuses.get(id)?.judged.fuse.rating ?? 1),
  });
}

/** V of the battery in each case. */
export const systemVoltage = (
  inCase: ElectricCase,
  limits: Pick<Limits, 'voltageRunning' | 'voltageLow' | 'voltageCranking'>,
): number => {
  switch (inCase) {
    case 'keyOn':
    case 'worst':
      return limits.voltageLow.value;
    case 'cranking':
      return limits.voltageCranking.value;
    case 'idle':
    case 'cruiseHot':
      return limits.voltageRunning.value;
  }
};

/** The share of the battery's voltage that a wire found shows in a case, as it was measured. */
export function isLive(
  signal: WiringBuild['vehicleSignals'][number] | undefined,
  inCase: ElectricCase,
): boolean {
  if (!signal) return true;
  const measured = inCase === 'cranking' ? signal.crank : signal.run;
  return measured === null || measured.value > 5;
}

function elementOf({ load }: LoadAt, duty = load.duty): ElectricElement {
  const between = { id: load.id, from: load.from, to: load.to };
  const current = load.current * duty;
  switch (load.behaviour) {
    case 'resistive':
      return { kind: 'resistor', ...between, resistance: load.voltage / current };
    case 'motor':
      return { kind: 'current', ...between, current };
    case 'electronic':
      return {
        kind: 'power',
        ...between,
        power: current * load.voltage,
        ratedVoltage: load.voltage,
      };
  }
}

/** A load that is off: it takes nothing. */
function switchedOff(element: ElectricElement): ElectricElement {
  switch (element.kind) {
    case 'resistor':
      return { ...element, resistance: Infinity };
    case 'current':
      return { ...element, current: 0 };
    case 'power':
      return { ...element, power: 0 };
    case 'source':
    case 'diode':
      return element;
  }
}

/** One circuit with every load, and what is other in it in a case: loads off, sources dead. */
export interface CaseCircuits {
  readonly circuit: ElectricCircuit;
  readonly changedIn: (inCase: ElectricCase) => ReadonlyMap<string, ElectricElement>;
  /** nothing is on, and every source holds its voltage: what pumps see of their supply */
  readonly bare: ReadonlyMap<string, ElectricElement>;
}

/** The circuit of a network, and how each case differs from it. */
export function caseCircuits(network: SizedNetwork, document: WiringBuild): CaseCircuits {
  const { netlist, loads } = network;
  const signals = new Map(document.vehicleSignals.map((signal) => [signal.id, signal]));
  const isOn = switchedLoadsOn(netlist, loads, document.switched);
  const sources = (inCase: ElectricCase): ElectricElement[] => {
    const voltage = systemVoltage(inCase, document.limits);
    return netlist.sources.map((source) => ({
      kind: 'source',
      id: source.id,
      from: source.negative,
      to: source.node,
      voltage: isLive(signals.get(source.signalId ?? ''), inCase) ? voltage : 0,
      // The voltage of a case is what stands at the battery's poles.
      resistance: source.found ? source.resistance : 0,
    }));
  };
  const taking = loads.filter(({ load }) => load.current * load.duty > 0);
  const elementsOf = new Map(taking.map((each) => [each, elementOf(each)]));
  return {
    bare: new Map(
      [...elementsOf.values()].map((element) => [element.id, switchedOff(element)] as const),
    ),
    circuit: {
      ground: netlist.ground,
      elements: [...ofNetwork(network), ...sources('worst'), ...elementsOf.values()],
    },
    changedIn: (inCase) =>
      new Map([
        ...sources(inCase).map((source) => [source.id, source] as const),
        ...[...elementsOf].flatMap(([each, element]) => {
          if (!isOn(each, inCase)) return [[element.id, switchedOff(element)] as const];
          const duty = dutyIn(each.load, inCase);
          return duty === each.load.duty ? [] : [[element.id, elementOf(each, duty)] as const];
        }),
      ]),
  };
}
