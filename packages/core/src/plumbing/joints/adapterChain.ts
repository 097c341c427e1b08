import { type FittingItem, type PortCode, mate } from '../../catalogue/index.ts';

/** An adapter in a chain, and the port that it offers to what comes next. */
interface Link {
  readonly offers: PortCode;
  readonly chain: readonly FittingItem[];
  readonly price: number;
}

/** More joints than this nobody stacks. */
const LONGEST = 3;

const isPort = (code: FittingItem['firstPort']): code is PortCode => code !== 'none';

/** Every way to screw an adapter onto a port, with what it offers then. */
function onto(port: PortCode, adapter: FittingItem): readonly PortCode[] {
  const { firstPort, secondPort } = adapter;
  if (!isPort(firstPort) || !isPort(secondPort)) return [];
  return [
    ...(mate(port, firstPort) ? [secondPort] : []),
    ...(mate(port, secondPort) ? [firstPort] : []),
  ];
}

const better = (a: Link, b: Link): number =>
  a.chain.length - b.chain.length ||
  a.price - b.price ||
  a.chain
    .map(({ id }) => id)
    .join()
    .localeCompare(b.chain.map(({ id }) => id).join());

/**
 * The adapters between the port of a part and an end: fewest joints, then least price; none where
 * the two mate. Undefined where no chain of up to three leads from one to the other.
 */
export function adapterChain(
  port: PortCode,
  end: PortCode,
  adapters: readonly FittingItem[],
): readonly FittingItem[] | undefined {
  let reached: Link[] = [{ offers: port, chain: [], price: 0 }];
  for (let joints = 0; joints <= LONGEST; joints++) {
    const [there] = reached.filter(({ offers }) => mate(offers, end)).sort(better);
    if (there) return there.chain;
    const next = new Map<PortCode, Link>();
    for (const { offers, chain, price } of reached) {
      for (const adapter of adapters) {
        for (const after of onto(offers, adapter)) {
          const link = { offers: after, chain: [...chain, adapter], price: price + adapter.price };
          const known = next.get(after);
          if (!known || better(link, known) < 0) next.set(after, link);
        }
      }
    }
    reached = [...next.values()];
  }
  return undefined;
}

/** What a port offers after adapters have been screwed onto it in turn; undefined where one does not fit. */
export function offeredBy(port: PortCode, adapters: readonly FittingItem[]): PortCode | undefined {
  return adapters.reduce<PortCode | undefined>(
    (offered, adapter) => (offered === undefined ? undefined : onto(offered, adapter)[0]),
    port,
  );
}
