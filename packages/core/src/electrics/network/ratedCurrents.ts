import type { ElectricElement } from '../solver/circuit.ts';
import { CompiledCircuit } from '../solver/compiledCircuit.ts';
import type { Netlist } from '../netlist/netlist.ts';
import { type ElectricCase } from './electricCases.ts';
import type { LoadAt } from './liveLoads.ts';

/** Current A through each wire and each fuse. */
export interface RatedCurrents {
  readonly wires: ReadonlyMap<string, number>;
  readonly fuses: ReadonlyMap<string, number>;
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

/** What each wire and fuse carries with the given loads at their rated currents. */
export function ratedCurrents(input: {
  readonly netlist: Netlist;
  readonly loads: readonly LoadAt[];
  readonly isOn: (each: LoadAt, inCase: ElectricCase) => boolean;
  readonly inCase: ElectricCase;
  readonly voltage: number;
}): RatedCurrents {
  const { netlist, loads, isOn, inCase, voltage } = input;
  const elements: ElectricElement[] = [
    ...passiveElements(netlist, { wire: () => UNIT, fuse: () => UNIT }),
    ...netlist.sources.map((source): ElectricElement => ({
      kind: 'source',
      id: source.id,
      from: source.negative,
      to: source.node,
      voltage,
      resistance: UNIT,
    })),
    ...loads
      .filter((each) => isOn(each, inCase))
      .map(({ load }): ElectricElement => ({
        kind: 'current',
        id: load.id,
        from: load.from,
        to: load.to,
        current: load.current * load.duty,
      })),
  ];
  const solution = new CompiledCircuit({ ground: netlist.ground, elements }).solve();
  const of = (id: string): number =>
    solution.state === 'solved' ? Math.abs(solution.currents.get(id) ?? 0) : 0;
  return {
    wires: new Map(netlist.wires.map(({ id }) => [id, of(id)])),
    fuses: new Map(
      netlist.parts.flatMap(({ id, sort }) =>
        sort === 'fuse' ? [[id, of(`${id} element`)] as const] : [],
      ),
    ),
  };
}
