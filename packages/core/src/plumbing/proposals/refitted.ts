import {
  type Catalogue,
  type FittingItem,
  type HoseItem,
  type PortCode,
  endAt,
  endsFor,
  holds,
  itemAt,
  mate,
  refOf,
} from '../../catalogue/index.ts';
import type {
  Assembly,
  AssemblyEnd,
  Build,
  ItemRef,
  StoredAssemblyEnd,
} from '../../model/index.ts';
import { adapterChain, offeredBy } from '../joints/adapterChain.ts';
import { partnerAt } from '../joints/partnerAt.ts';
import { adaptersFor, adaptersInOrder } from './proposedEnds.ts';

type Side = 'from' | 'to';

/** An end of an assembly in a build, with what it is judged by. */
interface Judged {
  readonly end: AssemblyEnd;
  readonly hose: HoseItem | undefined;
  readonly port: PortCode | undefined;
}

const hoseOf = (ref: ItemRef | null, catalogue: Catalogue): HoseItem | undefined => {
  const item = ref ? itemAt(catalogue, ref) : undefined;
  return item?.category === 'hose' ? item : undefined;
};

const fittingOf = (ref: ItemRef | null, catalogue: Catalogue): FittingItem | undefined => {
  const item = ref ? itemAt(catalogue, ref) : undefined;
  return item?.category === 'fitting' ? item : undefined;
};

/** An end with the hose and the port that it has in a build; undefined where its line is gone. */
function judged(build: Build, { of, ...assembly }: Assembly, side: Side, catalogue: Catalogue) {
  const end = assembly[side];
  if (of.kind === 'other') {
    const line = build.otherLines.find(({ id }) => id === of.otherLineId);
    if (!line) return undefined;
    const hose = hoseOf(line.item, catalogue);
    return { end, hose, port: end.onto ?? undefined } satisfies Judged;
  }
  const circuit = build.fuelCircuits.find(({ id }) => id === of.circuitId);
  const line = circuit?.elements.find(({ id }) => id === of.elementId);
  if (!circuit || line?.kind !== 'line') return undefined;
  return {
    end,
    hose: hoseOf(line.item, catalogue),
    port: end.onto ?? partnerAt(circuit, line[side], catalogue)?.port,
  } satisfies Judged;
}

/** Whether an end holds its hose, and goes onto its port. */
function fits({ end, hose, port }: Judged, catalogue: Catalogue) {
  const item = fittingOf(end.item, catalogue);
  const adapters = end.adapters.flatMap((each) => fittingOf(each.item, catalogue) ?? []);
  const offered = port && offeredBy(port, adapters);
  const seat = item?.firstPort;
  return {
    hose: !item || !hose || holds(item, hose),
    port:
      !item ||
      port === undefined ||
      (offered !== undefined && seat !== undefined && seat !== 'none' && mate(offered, seat)),
  };
}

/** An end for another hose or another port: of the same school and angle where there is one. */
function refit(now: Judged, catalogue: Catalogue): StoredAssemblyEnd | undefined {
  const { end, hose, port } = now;
  const present = fittingOf(end.item, catalogue);
  if (!present || !hose) return undefined;
  const all = endsFor(catalogue, hose);
  const alike = all.filter(({ joint }) => joint === present.joint);
  const item = holds(present, hose)
    ? present
    : endAt(alike.length > 0 ? alike : all, present.angle);
  if (!item || item.firstPort === 'none') return undefined;
  const chain = port ? adapterChain(port, item.firstPort, adaptersFor(catalogue, 0)) : [];
  return chain && { onto: end.onto, item: refOf(item), adapters: adaptersInOrder(chain) };
}

/** An end of a line as it is to be stored. */
export interface RefittedEnd {
  readonly assemblyId: string;
  readonly side: Side;
  readonly end: StoredAssemblyEnd;
}

/**
 * Ends that fitted before an edit and no longer do after it, each as it fits again: a hose that is
 * exchanged takes its ends along, a part that is exchanged its adapters.
 */
export function refitted(before: Build, after: Build, catalogue: Catalogue): RefittedEnd[] {
  if (before.fuelCircuits === after.fuelCircuits && before.otherLines === after.otherLines) {
    return [];
  }
  return after.assemblies.flatMap((assembly) => {
    const old = before.assemblies.find(({ id }) => id === assembly.id);
    return (['from', 'to'] as const).flatMap((side): RefittedEnd[] => {
      // An end that the edit itself sets is meant so.
      if (!old || old[side] !== assembly[side]) return [];
      const was = judged(before, old, side, catalogue);
      const now = judged(after, assembly, side, catalogue);
      if (!was || !now) return [];
      const [then, since] = [fits(was, catalogue), fits(now, catalogue)];
      if (!(then.hose && !since.hose) && !(then.port && !since.port)) return [];
      const end = refit(now, catalogue);
      return end ? [{ assemblyId: assembly.id, side, end }] : [];
    });
  });
}
