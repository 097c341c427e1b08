import type { CurrentLoad, ElectricElement } from '../solver/circuit.ts';
import { CompiledCircuit } from '../solver/compiledCircuit.ts';
import type { Netlist } from '../netlist/netlist.ts';
import { type ElectricCase } from './electricCases.ts';
import type { LoadAt } from './liveLoads.ts';

/** What a relay's contact carries, A: all together, and the motors alone. */
export interface ContactCurrents {
  readonly total: number;
  readonly motors: number;
}

/** Current A through each wire, each fuse and the contact of each relay. */
export interface RatedCurrents {
  readonly wires: ReadonlyMap<string, number>;
  readonly fuses: ReadonlyMap<string, number>;
  readonly contacts: ReadonlyMap<string, ContactCurrents>;
}

/** Every wire is taken as equal: how a current divides between two ways is not known before. */
const UNIT = 1e-3;

/** Elements of a netlist that are there whatever the loads do, with wires and fuses of given Ω. */
export function passiveElements(
  netlist: Netlist,
  ohm: { readonly wire: (id: string) => number; readonly fuse: (partId: string) => number },
): ElectricElement[] {
  return [
    ...netlist.wires.map((wire): ElectricElement => ({
      kind: 'resistor',
      id: wire.id,
      from: wire.from.node,
      to: wire.to.node,
      resistance: ohm.wire(wire.id),
    })),
    ...netlist.parts.flatMap((part): ElectricElement[] => {
      const [a, b] = part.pins;
      const fuse: ElectricElement[] =
        part.sort === 'fuse' && a && b
          ? [
              {
                kind: 'resistor',
                id: `${part.id} element`,
                from: a.node,
                to: b.node,
                resistance: ohm.fuse(part.id),
              },
            ]
          : [];
      return [
        ...fuse,
        ...part.inside.flatMap((element): ElectricElement[] =>
          element.kind === 'load'
            ? []
            : [element.kind === 'contact' ? { ...element, kind: 'resistor' } : element],
        ),
      ];
    }),
  ];
}

/** What each wire, fuse and relay carries in some cases, with the loads at their rated currents. */
export function ratedCurrents<Case extends ElectricCase>(input: {
  readonly netlist: Netlist;
  readonly loads: readonly LoadAt[];
  readonly isOn: (each: LoadAt, inCase: ElectricCase) => boolean;
  readonly cases: readonly Case[];
  readonly voltage: number;
}): Readonly<Record<Case, RatedCurrents>> {
  const { netlist, loads, isOn, cases, voltage } = input;
  const taking = loads.map((each): readonly [LoadAt, CurrentLoad] => [
    each,
    {
      kind: 'current',
      id: each.load.id,
      from: each.load.from,
      to: each.load.to,
      current: each.load.current * each.load.duty,
    },
  ]);
  const compiled = new CompiledCircuit({
    ground: netlist.ground,
    elements: [
      ...passiveElements(netlist, { wire: () => UNIT, fuse: () => UNIT }),
      ...netlist.sources.map((source): ElectricElement => ({
        kind: 'source',
        id: source.id,
        from: source.negative,
        to: source.node,
        voltage,
        resistance: UNIT,
      })),
      ...taking.map(([, element]) => element),
    ],
  });
  const fuses = netlist.parts.filter(({ sort }) => sort === 'fuse');
  const relayContacts = netlist.parts.flatMap(({ id, sort, inside }) =>
    sort === 'relay'
      ? inside.flatMap((element) => (element.kind === 'contact' ? [[id, element.id] as const] : []))
      : [],
  );
  /** What flows where some loads take nothing. */
  const flowing = (isOff: (each: LoadAt) => boolean): ((id: string) => number) => {
    const off = taking.filter(([each]) => isOff(each));
    const solution = compiled.solve(
      new Map(off.map(([, element]) => [element.id, { ...element, current: 0 }])),
    );
    return (id) => (solution.state === 'solved' ? Math.abs(solution.currents.get(id) ?? 0) : 0);
  };
  return Object.fromEntries(
    cases.map((inCase): [Case, RatedCurrents] => {
      const of = flowing((each) => !isOn(each, inCase));
      const ofMotors = flowing((each) => each.load.behaviour !== 'motor' || !isOn(each, inCase));
      return [
        inCase,
        {
          wires: new Map(netlist.wires.map(({ id }) => [id, of(id)])),
          fuses: new Map(fuses.map(({ id }) => [id, of(`${id} element`)])),
          contacts: new Map(
            relayContacts.map(([id, contact]) => [
              id,
              { total: of(contact), motors: ofMotors(contact) },
            ]),
          ),
        },
      ];
    }),
  ) as Record<Case, RatedCurrents>;
}
