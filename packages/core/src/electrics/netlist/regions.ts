import { Joined } from './joined.ts';
import type { NetPart, Netlist } from './netlist.ts';

/** Nodes that nothing parts but what breaks: joined by wires, whole fuses, and what is joined inside. */
export interface Regions {
  readonly of: (node: string) => string;
}

/** Whether a contact of a part can open: of a relay, a switch, an output of a controller. */
export const canOpen = ({ sort }: NetPart, element: { readonly output?: string }): boolean =>
  sort === 'relay' || sort === 'switch' || element.output !== undefined;

/** The regions of a netlist: contacts that can open part them, and loads do. */
export function regionsOf({ parts, wires }: Pick<Netlist, 'parts' | 'wires'>): Regions {
  const joined = new Joined();
  for (const { from, to } of wires) joined.join(from.node, to.node);
  for (const part of parts) {
    const [a, b] = part.pins;
    if (part.sort === 'fuse' && a && b) joined.join(a.node, b.node);
    for (const element of part.inside) {
      if (element.kind === 'contact' && !canOpen(part, element)) {
        joined.join(element.from, element.to);
      }
    }
  }
  return { of: (node) => joined.rootOf(node) };
}
