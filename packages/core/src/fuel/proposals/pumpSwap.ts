import { type BuildCommand, type FuelCircuit, type ItemRef } from '../../model/index.ts';
import { pumpDuties, withElement } from '../circuits/circuitRun.ts';

/** Pumps that are exchanged together: those of one duty with the same part, the named one first. */
export function pumpsTogether(circuit: FuelCircuit, elementId: string): string[] {
  const { main, lift } = pumpDuties(circuit);
  const group = [main, lift].find((pumps) => pumps.some((p) => p.id === elementId)) ?? [];
  const named = group.find((p) => p.id === elementId);
  const alike = group.filter((p) => p !== named && p.item.id === named?.item.id);
  return named ? [named.id, ...alike.map((p) => p.id)] : [];
}

/** A circuit with a pump, and those that go with it, exchanged. */
export const withPump = (circuit: FuelCircuit, elementId: string, item: ItemRef): FuelCircuit =>
  pumpsTogether(circuit, elementId).reduce(
    (changed, id) => withElement(changed, id, { item }),
    circuit,
  );

/** The edit that exchanges a pump and those that go with it. */
export function pumpSwapCommand(input: {
  circuit: FuelCircuit;
  elementId: string;
  item: ItemRef;
}): BuildCommand {
  const { circuit, elementId, item } = input;
  const together = pumpsTogether(circuit, elementId);
  if (together.length < 2) {
    return { name: 'choose-part', circuitId: circuit.id, elementId, item };
  }
  return {
    name: 'set-several',
    label: `Choose ${item.id} for ${together.length} pumps`,
    changes: together.map((id) => ({
      path: ['fuelCircuits', circuit.id, 'elements', id, 'item'],
      value: item,
    })),
  };
}
