import { inPresentMemory } from '../../numerics/index.ts';
import type { EcuItem } from '../../catalogue/index.ts';
import type { JudgedDesign } from '../running/design.ts';
import {
  type InjectorCandidate,
  type PumpCandidate,
  injectorCandidates,
  pumpCandidates,
} from './candidates.ts';

/** Every part of the catalogue judged in its place; worked out when it is first asked for. */
export interface Candidates {
  /** by injector row */
  injectors(): Readonly<Record<string, readonly InjectorCandidate[]>>;
  /** by pump element */
  pumps(): Readonly<Record<string, readonly PumpCandidate[]>>;
}

/** Works something out once, when it is first asked for. */
function once<Value>(work: () => Value): () => Value {
  let known: { readonly value: Value } | undefined;
  const remembering = inPresentMemory(work);
  return () => (known ??= { value: remembering() }).value;
}

/** The candidates of every row and every pump of a design. */
export const candidatesOf = (design: JudgedDesign, ecu: EcuItem): Candidates => ({
  injectors: once(() =>
    Object.fromEntries(
      design.circuits.flatMap((circuit) =>
        circuit.rows.map((row) => [
          row.row.id,
          injectorCandidates(design, circuit, row, ecu.injectorDriver),
        ]),
      ),
    ),
  ),
  pumps: once(() =>
    Object.fromEntries(
      design.circuits.flatMap((circuit) =>
        circuit.circuit.elements
          .filter((e) => e.kind === 'pump')
          .map((e) => [e.id, pumpCandidates(design, circuit, e.id)]),
      ),
    ),
  ),
});
