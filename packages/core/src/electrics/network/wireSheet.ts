import type { SizedGroup, SizedWire } from '../power/sizeWires.ts';
import type { ElectricDesign } from './electricStage.ts';

/** One wire with its run, and the inrush of what it feeds. */
export interface WireSheet {
  readonly sized: SizedWire;
  readonly group: SizedGroup;
  readonly inrush: { readonly factor: number; readonly time: number };
}

/** A wire to be looked at closely; undefined where there is none of that id. */
export function wireSheet(design: ElectricDesign, wireId: string): WireSheet | undefined {
  for (const { group } of design.runs) {
    const sized = group.wires.find(({ wire }) => wire.id === wireId);
    if (!sized) continue;
    const nodes = new Set(group.wires.flatMap(({ wire }) => [wire.from.node, wire.to.node]));
    const fed = design.netlist.parts.find((part) =>
      part.inside.some((e) => e.kind === 'load' && nodes.has(e.from)),
    );
    return { sized, group, inrush: fed?.inrush ?? { factor: 1, time: 1e-3 } };
  }
  return undefined;
}
