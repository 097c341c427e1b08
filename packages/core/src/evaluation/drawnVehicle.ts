import { type DrawnNetlist, drawnNetlist } from '../electrics/index.ts';
import { colourText } from '../harness/index.ts';
import type { Evaluation } from './evaluate.ts';

/**
 * The netlist of an evaluated build as it is drawn: over each wire its number, as on labels and
 * lists, under it size and colour.
 */
export function drawnVehicle({
  electrics,
  harness,
}: Pick<Evaluation, 'electrics' | 'harness'>): DrawnNetlist {
  const colours = new Map(harness.colours.map((each) => [each.wireId, colourText(each)]));
  const told = new Map(
    electrics.wires.map(({ wire, size }, i) => {
      const made = `${size.size} ${colours.get(wire.id) ?? ''}`.trimEnd();
      return [wire.id, [String(i + 1), made] as const];
    }),
  );
  return drawnNetlist(electrics.netlist, (id) => told.get(id) ?? ['', '']);
}
