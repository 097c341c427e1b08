import type { BuildFinding, BuildCommand } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { MadeEnd, MadeLine } from '../assemblies/madeLine.ts';
import type { PlumbingChecked, PlumbingRule } from '../checked.ts';
import { changesOfEnds } from '../proposals/proposedEnds.ts';
import { type StoredAssembly, type StoredAssemblyEnd, writeEnd } from '../../model/index.ts';

/** What a rule of this room sees in a line, or at one of its ends. */
type Seen = Omit<BuildFinding, 'id' | 'rule' | 'where'>;

const where = (line: MadeLine): BuildFinding['where'] =>
  line.circuitId === undefined
    ? { stage: 'lines', line: line.lineId }
    : { stage: 'lines', circuit: line.circuitId, line: line.lineId };

/** A check that looks at every line as it is made. */
export const onMade = (
  id: string,
  source: string,
  look: (line: MadeLine, checked: PlumbingChecked) => Seen | undefined,
): PlumbingRule => ({
  id,
  source,
  check: (checked) =>
    checked.made.flatMap((line): BuildFinding[] => {
      const seen = line.assembly && look(line, checked);
      return seen ? [{ id: `${id}:${line.lineId}`, rule: id, where: where(line), ...seen }] : [];
    }),
});

/** A check that looks at both ends of every line as it is made. */
export const onEnds = (
  id: string,
  source: string,
  look: (end: MadeEnd, line: MadeLine, checked: PlumbingChecked) => Seen | undefined,
): PlumbingRule => ({
  id,
  source,
  check: (checked) =>
    checked.made.flatMap((line) =>
      line.ends.flatMap((end): BuildFinding[] => {
        const seen = line.assembly && look(end, line, checked);
        return seen
          ? [{ id: `${id}:${line.lineId}/${end.side}`, rule: id, where: where(line), ...seen }]
          : [];
      }),
    ),
});

/** The end of a line in a sentence. */
export const endInWords = (line: MadeLine, end: MadeEnd): string => {
  const at = end.side === 'from' ? 'where it begins' : 'where it ends';
  const { partner } = end;
  return partner && partner.name !== ''
    ? `${line.name}, at the ${partner.name.toLowerCase()}`
    : `${line.name}, ${at}`;
};

/** One end of a line exchanged, in one step. */
export function withEnd(
  line: MadeLine,
  side: MadeEnd['side'],
  change: Partial<StoredAssemblyEnd>,
  { catalogue }: PlumbingChecked,
  text: string,
): Cure<BuildCommand> {
  const { assembly } = line;
  if (!assembly) return { text };
  const both: Pick<StoredAssembly, 'from' | 'to'> = {
    from: writeEnd(assembly.from),
    to: writeEnd(assembly.to),
  };
  const ends = { ...both, [side]: { ...both[side], ...change } };
  return {
    text,
    command: {
      name: 'set-several',
      label: text.slice(0, 120),
      changes: changesOfEnds(line, ends, catalogue),
    },
  };
}
