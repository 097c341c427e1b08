import { sum } from '../../numerics/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { HarnessChecked } from '../checked.ts';
import { coveringSeconds } from '../bundles/covering.ts';
import { storedCut } from './cutWires.ts';
import { OPENED, WORK_ON_WIRE } from './work.ts';

/** A way to make wires reach again, with the work that it is. */
export interface Repair {
  readonly words: string;
  /** s */
  readonly work: number;
  readonly changes: readonly { readonly path: readonly string[]; readonly value: unknown }[];
}

/** Work on one loop, and on one splice with its shrink, s. */
const LOOP = 180;
const SPLICE = 900;

const mm = (metres: number) => quantity(Math.round(metres * 1e4) / 10, 'length', 'mm');

/** What makes the wires that were cut too short reach again, the least work first. */
export function repairsOf({ led, decidedHarness, harness }: HarnessChecked): readonly Repair[] {
  const short = led.wires.flatMap((wire) => {
    const missing = wire.needed ? wire.needed.value - wire.length.value : 0;
    return wire.cut && missing > 1e-6 ? [{ ...wire, missing }] : [];
  });
  if (short.length === 0) return [];
  const bundles = new Map(harness.bundles.map((bundle) => [bundle.segmentId, bundle]));
  const closed = new Set(decidedHarness.segments.filter((each) => each.closed).map(({ id }) => id));
  const worked = (id: string): number => {
    const bundle = bundles.get(id);
    if (!bundle || !closed.has(id)) return 0;
    return OPENED * bundle.length * coveringSeconds[bundle.cover];
  };
  /** Seconds to open and close again the covers of some segments, each once. */
  const opening = (ids: readonly string[]): number => sum([...new Set(ids)].map(worked));
  const along = short.flatMap(({ parts }) => parts.map(({ segmentId }) => segmentId));
  // A piece is spliced in at the end where less has to be opened.
  const atEnds = short.flatMap(({ parts }) => {
    const [first, last] = [parts[0]?.segmentId, parts.at(-1)?.segmentId];
    if (first === undefined || last === undefined) return [];
    return worked(first) <= worked(last) ? [first] : [last];
  });
  const asCut = storedCut(decidedHarness.cut);
  const lengthened = Object.fromEntries(
    short.map(({ wireId, needed, length, cut }) => {
      const reaches = Math.ceil((needed?.value ?? length.value) * 1e3 - 1e-6) / 1e3;
      const piece = (cut?.spliced.value ?? 0) + reaches - length.value;
      return [wireId, { length: mm(reaches), spliced: mm(piece) }];
    }),
  );
  const repairs: (Repair | undefined)[] = [
    fromLoops(short, decidedHarness, closed),
    {
      words: `Splice a piece into ${short.length === 1 ? 'it' : `each of the ${short.length}`}`,
      work: SPLICE * short.length + opening(atEnds),
      changes: [{ path: ['harness', 'cut'], value: { ...asCut, ...lengthened } }],
    },
    {
      words: `Cut ${short.length === 1 ? 'it' : `the ${short.length}`} again`,
      work: WORK_ON_WIRE * short.length + opening(along),
      changes: [
        {
          path: ['harness', 'cut'],
          value: Object.fromEntries(Object.entries(asCut).filter(([id]) => !(id in lengthened))),
        },
      ],
    },
  ];
  return repairs.flatMap((repair) => repair ?? []).sort((a, b) => a.work - b.work);
}

/** Gives up loops on the ways of short wires, where those of open covers are enough for all of them. */
function fromLoops(
  short: readonly {
    readonly parts: HarnessChecked['led']['wires'][number]['parts'];
    readonly missing: number;
  }[],
  { segments }: HarnessChecked['decidedHarness'],
  closed: ReadonlySet<string>,
): Repair | undefined {
  const left = new Map(
    segments
      .filter(({ id, loop }) => loop.value > 0 && !closed.has(id))
      .map(({ id, loop }) => [id, loop.value]),
  );
  const before = new Map(left);
  // Which wire comes first does not matter: what one takes of a loop, all in it have.
  for (const { parts, missing } of short) {
    const ids = parts.map(({ segmentId }) => segmentId);
    const given = ids.reduce((all, id) => all + ((before.get(id) ?? 0) - (left.get(id) ?? 0)), 0);
    let wanting = missing - given;
    for (const id of ids) {
      const there = left.get(id) ?? 0;
      const taken = Math.min(there, Math.max(0, wanting));
      if (taken <= 0) continue;
      left.set(id, there - taken);
      wanting -= taken;
    }
    if (wanting > 1e-6) return undefined;
  }
  const changed = [...left].filter(([id, loop]) => loop < (before.get(id) ?? 0) - 1e-9);
  return {
    words: `Give up ${changed.length === 1 ? 'a loop' : `${changed.length} loops`} on the way`,
    work: LOOP * changed.length,
    changes: changed.map(([id, loop]) => ({
      path: ['harness', 'segments', id, 'loop'],
      value: mm(Math.max(0, Math.floor(loop * 1e4 + 1e-6) / 1e4)),
    })),
  };
}
