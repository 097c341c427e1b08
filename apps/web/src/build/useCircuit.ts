import {
  type CircuitScope,
  type FuelCircuit,
  type ToldFluid,
  circuitScope,
  entryAt,
  firstOf,
} from '@brookrain/core';
import { useSearchParams } from 'react-router';
import { useBuild } from './BuildContext.ts';

/** The circuit that is looked at: named in the address, else the first. */
export interface OpenCircuit {
  readonly circuit: FuelCircuit;
  readonly index: number;
  readonly fluid: ToldFluid;
  /** names the circuit in its figures */
  readonly scope: CircuitScope;
  choose(circuitId: string): void;
}

/** The circuit of the open build that the page is about. */
export function useCircuit(): OpenCircuit {
  const { document: build, evaluation } = useBuild();
  const [query, setQuery] = useSearchParams();
  const asked = query.get('circuit');
  const asElement = query.get('element');
  const holds = build.fuelCircuits.findIndex((c) => c.elements.some((e) => e.id === asElement));
  const named = build.fuelCircuits.findIndex((c) => c.id === asked);
  const index = Math.max(0, named >= 0 ? named : holds);
  const circuit = entryAt(build.fuelCircuits, index);
  return {
    circuit,
    index,
    // While an edit that adds a circuit is worked out, the last answer has one less.
    fluid:
      evaluation.fluids.find((f) => f.design.circuit.id === circuit.id) ??
      firstOf(evaluation.fluids),
    scope: circuitScope(index, circuit.id),
    choose: (circuitId) => setQuery({ circuit: circuitId }, { replace: true }),
  };
}
