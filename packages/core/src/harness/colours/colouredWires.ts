import { type DerivedWire, type Netlist, nodeOf } from '../../electrics/index.ts';
import type { Harness, SettledColour, VehicleSignal } from '../../model/index.ts';
import type { HarnessConnector } from '../connectors/connectorsOf.ts';
import { type WireColour, wireColours } from '../model.ts';

/** The colour of a wire: base and stripe, and whether somebody settled it. */
export interface ColouredWire {
  readonly wireId: string;
  readonly colour: WireColour;
  readonly stripe: WireColour | null;
  readonly settled: boolean;
}

/** What a wire is usually by what it carries: the base colours that are tried first. */
const usually: Readonly<Record<DerivedWire['role'], readonly WireColour[]>> = {
  supply: ['red', 'orange', 'pink'],
  triggered: ['blue', 'violet', 'white'],
  ground: ['black'],
  'sensor ground': ['brown', 'black'],
  reference: ['orange', 'pink', 'red'],
  signal: ['green', 'yellow', 'white', 'blue', 'violet', 'grey'],
  bus: ['yellow', 'green', 'white'],
  shield: ['grey', 'white'],
};

type Pair = readonly [colour: WireColour, stripe: WireColour | null];

/** Every colour with and without a stripe, those that a role usually has first. */
function pairsFor(role: DerivedWire['role']): readonly Pair[] {
  const first = usually[role];
  const bases = [...first, ...wireColours.filter((colour) => !first.includes(colour))];
  const plain = first.map((colour): Pair => [colour, null]);
  const striped = first.flatMap((colour) =>
    wireColours.flatMap((stripe): Pair[] => (stripe === colour ? [] : [[colour, stripe]])),
  );
  const others = bases
    .slice(first.length)
    .flatMap((colour): Pair[] => [
      [colour, null],
      ...wireColours.flatMap((stripe): Pair[] => (stripe === colour ? [] : [[colour, stripe]])),
    ]);
  return [...plain, ...striped, ...others];
}

export const pairKey = ([colour, stripe]: Pair): string => colourText({ colour, stripe });

/** A colour in words: base, then its stripe. */
export const colourText = ({ colour, stripe }: Pick<ColouredWire, 'colour' | 'stripe'>): string =>
  stripe === null ? colour : `${colour}/${stripe}`;

/**
 * Gives every wire a colour so that no two in one connector are alike, where there are enough of
 * them: what is settled first, and what leads on from a wire found, then the others in the order of the netlist, each by what it carries.
 */
export function colouredWires(input: {
  readonly netlist: Pick<Netlist, 'wires'>;
  readonly connectors: readonly HarnessConnector[];
  readonly colours: Harness['colours'];
  readonly signals: readonly Pick<VehicleSignal, 'id' | 'base' | 'stripe'>[];
}): readonly ColouredWire[] {
  const { netlist, connectors, colours, signals } = input;
  const plugOf = new Map(
    connectors.flatMap(({ id, cavities }) => cavities.map(({ node }) => [node, id] as const)),
  );
  const taken = new Map<string, Set<string>>();
  const plugsOf = ({ from, to }: DerivedWire): string[] =>
    [from, to].flatMap(({ node }) => plugOf.get(node) ?? []);
  const take = (wire: DerivedWire, pair: Pair): void => {
    for (const plug of plugsOf(wire)) {
      const there = taken.get(plug) ?? new Set<string>();
      taken.set(plug, there.add(pairKey(pair)));
    }
  };
  const found = new Map(
    signals.flatMap(({ id, base, stripe }) =>
      base === null ? [] : [[nodeOf(id, 'wire'), { colour: base, stripe }] as const],
    ),
  );
  const settled = new Map<string, SettledColour>([
    // What leads on from a wire found has its colours.
    ...netlist.wires.flatMap(({ id, from, to }) => {
      const donor = found.get(from.node) ?? found.get(to.node);
      return donor ? [[id, { wireId: id, ...donor }] as const] : [];
    }),
    ...colours.map((each) => [each.wireId, each] as const),
  ]);
  for (const wire of netlist.wires) {
    const known = settled.get(wire.id);
    if (known) take(wire, [known.colour, known.stripe]);
  }
  const pairs = new Map<DerivedWire['role'], readonly Pair[]>();
  return netlist.wires.map((wire): ColouredWire => {
    const known = settled.get(wire.id);
    if (known) return { ...known, settled: true };
    const choices = pairs.get(wire.role) ?? pairsFor(wire.role);
    pairs.set(wire.role, choices);
    const plugs = plugsOf(wire);
    const free = choices.find((pair) =>
      plugs.every((plug) => !taken.get(plug)?.has(pairKey(pair))),
    );
    const [colour, stripe] = free ?? choices[0] ?? (['white', null] as const);
    take(wire, [colour, stripe]);
    return { wireId: wire.id, colour, stripe, settled: false };
  });
}
