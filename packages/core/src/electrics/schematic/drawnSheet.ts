import type { DerivedWire, WireEnd } from '../netlist/derivedWire.ts';
import { CHASSIS, type NetPart, type Netlist } from '../netlist/netlist.ts';
import {
  type SchematicBlock,
  type SchematicPin,
  type SchematicSheet,
  type SchematicWire,
  columnOf,
  symbolOf,
} from './schematicSheet.ts';

/** What stands on a wire, over it and under it. */
export type WireTold = (wireId: string) => SchematicWire['label'];

/** A netlist with its parts by their pins, asked for every sheet. */
export interface DrawnNetlist {
  readonly netlist: Netlist;
  readonly owner: ReadonlyMap<string, NetPart>;
  readonly columnOf: (part: NetPart) => number;
  readonly told: WireTold;
}

/** A netlist ready to be drawn. */
export function drawnNetlist(netlist: Netlist, told: WireTold): DrawnNetlist {
  const owner = new Map(
    netlist.parts.flatMap((part) => part.pins.map(({ node }) => [node, part] as const)),
  );
  const fedBy = new Map(
    netlist.direct.flatMap(({ from, to, partId }) => {
      const source = owner.get(from.node);
      return source && owner.get(to.node)?.id === partId ? [[partId, source] as const] : [];
    }),
  );
  return { netlist, told, owner, columnOf: (part) => columnOf(part, fedBy.get(part.id)) };
}

interface End {
  readonly part: NetPart;
  readonly pin: NetPart['pins'][number];
}

/** Puts the wires given on one sheet, the parts in `home` as boxes, others as the flags of their ends. */
export function drawnSheet(
  { owner, told, columnOf: columnAt }: DrawnNetlist,
  sheet: { readonly id: string; readonly title: string },
  wires: readonly DerivedWire[],
  home: ReadonlySet<string>,
): SchematicSheet {
  const boxes = new Map<string, { part: NetPart; pins: Map<string, SchematicPin> }>();
  const flags: SchematicBlock[] = [];
  const isBox = ({ sort, id }: NetPart): boolean =>
    id !== CHASSIS && sort !== 'ground' && (sort === 'controller' || home.has(id));
  const endOf = ({ node }: WireEnd): End | undefined => {
    const part = owner.get(node);
    const pin = part?.pins.find((each) => each.node === node);
    return part && pin && { part, pin };
  };
  const drawEnd = (wire: DerivedWire, { part, pin }: End, side: SchematicPin['side']): string => {
    if (!isBox(part)) {
      const id = `${wire.id} ${side}`;
      const told = part.pins.length > 1 ? `${part.name} ${pin.pin}` : part.name;
      flags.push({
        id,
        partId: part.id,
        name: told,
        kind: 'flag',
        symbol: symbolOf(part),
        column: columnAt(part),
        pins: [{ id: `${id} pin`, pin: pin.pin, name: pin.name, side }],
      });
      return `${id} pin`;
    }
    const box = boxes.get(part.id) ?? { part, pins: new Map<string, SchematicPin>() };
    boxes.set(part.id, box);
    // A pin that is met from both sides is drawn on the side where it was met first.
    const id = `${part.id} ${pin.pin} ${side}`;
    box.pins.set(id, { id, pin: pin.pin, name: pin.name, side });
    return id;
  };
  const drawn = wires.flatMap((wire): SchematicWire[] => {
    const [from, to] = [endOf(wire.from), endOf(wire.to)];
    if (!from || !to) return [];
    const forward = columnAt(from.part) <= columnAt(to.part);
    const [left, right] = forward ? [from, to] : [to, from];
    return [
      {
        id: wire.id,
        name: wire.name,
        label: told(wire.id),
        role: wire.role,
        from: drawEnd(wire, left, 'east'),
        to: drawEnd(wire, right, 'west'),
      },
    ];
  });
  return {
    ...sheet,
    wires: drawn,
    blocks: [
      ...[...boxes.values()].map(({ part, pins }): SchematicBlock => ({
        id: part.id,
        partId: part.id,
        name: part.name,
        kind: 'box',
        symbol: symbolOf(part),
        column: columnAt(part),
        pins: [...pins.values()],
      })),
      ...flags,
    ],
  };
}
