import { CompiledCircuit } from '../solver/compiledCircuit.ts';
import { type ElectricCase, dutyIn, electricCases } from './electricCases.ts';
import { type CaseCircuits, caseCircuits } from './networkCircuit.ts';
import type { SizedNetwork } from './sizeNetwork.ts';
import { switchedLoadsOn } from './switchedLoads.ts';
import type { WiringBuild } from './wiringBuild.ts';

/** What one case of the circuit comes to: volts at every pin, amps through every wire. */
export type CaseVoltages =
  | {
      readonly state: 'solved';
      readonly volts: ReadonlyMap<string, number>;
      /** through every element: wires by their id */
      readonly amps: ReadonlyMap<string, number>;
    }
  | { readonly state: 'failed'; readonly reason: string };

/** Volts across a load in a case, and at both of its ends. */
export interface LoadVoltage {
  readonly partId: string;
  readonly name: string;
  readonly inCase: ElectricCase;
  readonly supply: number;
  readonly back: number;
  readonly current: number;
}

/** A network’s circuit, analysed once. */
export interface SolvableNetwork {
  readonly circuits: CaseCircuits;
  readonly compiled: CompiledCircuit;
}

/** Analyses the circuit of a network. */
export function solvableNetwork(network: SizedNetwork, document: WiringBuild): SolvableNetwork {
  const circuits = caseCircuits(network, document);
  return { circuits, compiled: new CompiledCircuit(circuits.circuit) };
}

/** The circuit solved in each case. */
export function caseVoltages({
  circuits,
  compiled,
}: SolvableNetwork): Readonly<Record<ElectricCase, CaseVoltages>> {
  return Object.fromEntries(
    electricCases.map((inCase): [ElectricCase, CaseVoltages] => {
      const solution = compiled.solve(circuits.changedIn(inCase));
      if (solution.state === 'failed') return [inCase, solution];
      const { voltages, currents } = solution;
      return [inCase, { state: 'solved', volts: voltages, amps: currents }];
    }),
  ) as Record<ElectricCase, CaseVoltages>;
}

/** What each part gets in each case in which it is on: its largest load stands for it. */
export function loadVoltages(
  network: SizedNetwork,
  cases: Readonly<Record<ElectricCase, CaseVoltages>>,
  switched: WiringBuild['switched'],
): LoadVoltage[] {
  const isOn = switchedLoadsOn(network.netlist, network.loads, switched);
  const names = new Map(network.netlist.parts.map(({ id, name }) => [id, name]));
  return electricCases.flatMap((inCase) => {
    const solved = cases[inCase];
    if (solved.state === 'failed') return [];
    const largest = new Map<string, LoadVoltage>();
    for (const each of network.loads) {
      const { partId, load } = each;
      const current = load.current * dutyIn(load, inCase);
      if (!isOn(each, inCase) || (largest.get(partId)?.current ?? 0) >= current) continue;
      largest.set(partId, {
        partId,
        name: names.get(partId) ?? partId,
        inCase,
        supply: solved.volts.get(load.from) ?? 0,
        back: solved.volts.get(load.to) ?? 0,
        current,
      });
    }
    return [...largest.values()];
  });
}
