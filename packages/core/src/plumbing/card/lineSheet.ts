import {
  type Catalogue,
  type FittingItem,
  type JointSchool,
  endsFor,
  refOf,
  schoolsFor,
} from '../../catalogue/index.ts';
import { quantity } from '../../quantities/index.ts';
import {
  type AsMade,
  type Change,
  type StoredAssembly,
  type StoredAssemblyEnd,
  writeEnd,
} from '../../model/index.ts';
import type { MadeEnd, MadeLine } from '../assemblies/madeLine.ts';
import {
  adaptersFor,
  changesOfEnds,
  endWith,
  proposedEnds,
  schoolOf,
} from '../proposals/proposedEnds.ts';
import { type WorkCard, workCard } from './workCard.ts';

/** An end that a line may be given, and what that changes. */
export interface EndChoice {
  readonly item: FittingItem;
  readonly changes: readonly Change[];
}

/** Everything that is decided and read of one line at the bench. */
export interface LineSheet {
  readonly card: WorkCard;
  readonly school: JointSchool | undefined;
  /** schools its hose can be made in, each with both ends as they would be */
  readonly schools: readonly {
    readonly school: JointSchool;
    readonly changes: readonly Change[];
  }[];
  /** ends that hold its hose */
  readonly ends: Readonly<Record<MadeEnd['side'], readonly EndChoice[]>>;
  readonly adapters: Readonly<Record<MadeEnd['side'], readonly string[]>>;
  /** what is written down when the hose is cut as the card says; undefined where nothing can be cut yet */
  readonly asCut: AsMade | undefined;
}

const OPEN: StoredAssemblyEnd = { item: null, onto: null, adapters: {} };

/** A hose that is cut as its card says, in whole millimetres and degrees, as facts. */
function asCut({ hose, assembly }: MadeLine, { cut, clocking }: WorkCard): AsMade | undefined {
  if (!assembly || cut === undefined) return undefined;
  const degrees = clocking === undefined ? undefined : Math.round((clocking * 180) / Math.PI);
  return {
    cut: quantity(Math.round(cut * 1e3), 'length', 'mm'),
    clocking: degrees === undefined ? null : quantity(degrees, 'angle', '°'),
    hose: hose ? refOf(hose) : null,
    from: assembly.from.item,
    to: assembly.to.item,
  };
}

/** What a screen shows of one line: its card, and the ends that it may be given. */
export function lineSheet(line: MadeLine, catalogue: Catalogue): LineSheet {
  const { hose, assembly, pressure } = line;
  const both: Pick<StoredAssembly, 'from' | 'to'> = assembly
    ? { from: writeEnd(assembly.from), to: writeEnd(assembly.to) }
    : { from: OPEN, to: OPEN };
  const adapters = adaptersFor(catalogue, pressure);
  const holding = hose ? endsFor(catalogue, hose) : [];
  const choices = (end: MadeEnd): EndChoice[] =>
    holding.map((item) => ({
      item,
      changes: changesOfEnds(
        line,
        { ...both, [end.side]: { onto: both[end.side].onto, ...endWith(end, item, adapters) } },
        catalogue,
      ),
    }));
  const [from, to] = line.ends;
  const words = (end: MadeEnd): string[] => end.adapters.map(({ designation }) => designation);
  const card = workCard(line, catalogue);
  return {
    card,
    asCut: asCut(line, card),
    school: schoolOf(line, catalogue),
    schools: (hose ? schoolsFor(catalogue, hose) : []).flatMap((school) => {
      const ends = proposedEnds(line, school, catalogue);
      return ends ? [{ school, changes: changesOfEnds(line, ends, catalogue) }] : [];
    }),
    ends: { from: choices(from), to: choices(to) },
    adapters: { from: words(from), to: words(to) },
  };
}
