import {
  type Catalogue,
  type FittingItem,
  type JointSchool,
  endAt,
  endsFor,
  lookUp,
  newestOf,
  refOf,
  schoolsFor,
} from '../../catalogue/index.ts';
import type { Change, StoredAssembly, StoredAssemblyEnd } from '../../model/index.ts';
import { type MadeEnd, type MadeLine, jointState } from '../assemblies/madeLine.ts';
import { adapterChain } from '../joints/adapterChain.ts';

/** Adapters from the part to the hose, as they are stored. */
export const adaptersInOrder = (adapters: readonly FittingItem[]): StoredAssemblyEnd['adapters'] =>
  Object.fromEntries(
    adapters.map((item, i) => [`a${i + 1}`, { order: 1000 * (i + 1), item: refOf(item) }]),
  );

/** Adapters that stand a pressure Pa. */
export const adaptersFor = (catalogue: Catalogue, pressure: number): FittingItem[] =>
  newestOf(catalogue, 'fitting').filter(
    (each) => each.form === 'adapter' && each.pressureRating >= pressure,
  );

/** An end with the adapters that it needs; none where no chain leads to its seat. */
export function endWith(
  end: MadeEnd,
  item: FittingItem,
  adapters: readonly FittingItem[],
): Omit<StoredAssemblyEnd, 'onto'> {
  const { partner } = end;
  const chain =
    partner && item.firstPort !== 'none'
      ? adapterChain(partner.port, item.firstPort, adapters)
      : undefined;
  return { item: refOf(item), adapters: adaptersInOrder(chain ?? []) };
}

/** What an end is taken for: how far the line turns there, else the angle that it has. */
const angleOf = (end: MadeEnd): number => end.turn ?? end.item?.angle ?? 0;

/** Both ends of a line in a school of joint, with angles from its way and the adapters they need. */
export function proposedEnds(
  line: MadeLine,
  school: JointSchool,
  catalogue: Catalogue,
): Pick<StoredAssembly, 'from' | 'to'> | undefined {
  const { hose, assembly, pressure } = line;
  if (!hose) return undefined;
  const ends = endsFor(catalogue, hose).filter(
    (each) => each.joint === school && each.pressureRating >= pressure,
  );
  const adapters = adaptersFor(catalogue, pressure);
  const propose = (end: MadeEnd): StoredAssemblyEnd | undefined => {
    const onto = assembly?.[end.side].onto ?? null;
    const bare: MadeEnd = { ...end, item: undefined, adapters: [] };
    if (jointState(bare, hose) === 'straight-on') return { onto, item: null, adapters: {} };
    const item = endAt(ends, angleOf(end));
    return item && { onto, ...endWith(end, item, adapters) };
  };
  const from = propose(line.ends[0]);
  const to = propose(line.ends[1]);
  return from && to && { from, to };
}

/** The school in which a line is made: that of the ends it has, else the first its hose can be made by. */
export function schoolOf(line: MadeLine, catalogue: Catalogue): JointSchool | undefined {
  const chosen = line.ends.map(({ item }) => item?.joint).find((each) => each !== undefined);
  return chosen ?? (line.hose && schoolsFor(catalogue, line.hose)[0]);
}

/** The key under which a line is kept as it is made. */
const keyOf = (line: MadeLine): string =>
  line.assembly?.id ??
  (line.circuitId === undefined ? `other-${line.lineId}` : line.lineId).slice(0, 40);

/** Ends of a line, as changes of the build; fittings counted on it that hold a hose give way to them. */
export function changesOfEnds(
  line: MadeLine,
  ends: Pick<StoredAssembly, 'from' | 'to'>,
  catalogue: Catalogue,
): Change[] {
  const { assembly, of } = line;
  const value: StoredAssembly = {
    of,
    ...ends,
    slack: assembly?.slack ?? null,
    asMade: assembly?.asMade ?? null,
  };
  return [
    { path: ['assemblies', keyOf(line)], value },
    ...(of.kind === 'line'
      ? [
          {
            path: ['fuelCircuits', of.circuitId, 'elements', of.elementId, 'fittings'],
            value: Object.fromEntries(
              line.loose
                .filter(
                  ({ item }) => lookUp(catalogue, 'fitting', item, of.elementId).joint === 'none',
                )
                .map((use) => [use.item.id, use]),
            ),
          },
        ]
      : []),
  ];
}
