import {
  type BuildCommand,
  type FuelCircuit,
  type ItemRef,
  pumpDuties,
  withValueAt,
} from '../build/index.ts';

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
    (changed, id) =>
      withValueAt(changed, `elements.${circuit.elements.findIndex((e) => e.id === id)}.item`, item),
    circuit,
  );

/** The edit that exchanges a pump and those that go with it. */
export function pumpSwapCommand(input: {
  circuit: FuelCircuit;
  circuitIndex: number;
  elementId: string;
  item: ItemRef;
}): BuildCommand {
  const { circuit, circuitIndex, elementId, item } = input;
  const together = pumpsTogether(circuit, elementId);
  if (together.length < 2) {
    return { name: 'choose-part', circuitId: circuit.id, elementId, item };
  }
  return {
    name: 'set-several',
    label: `Choose ${item.id} for ${together.length} pumps`,
    changes: together.map((id) => ({
      path: `fuelCircuits.${circuitIndex}.elements.${circuit.elements.findIndex((e) => e.id === id)}.item`,
      value: item,
    })),
  };
}
