import { cavityChanges, changeInWords } from '../harness/index.ts';
import type { Build } from '../model/index.ts';

/** A cavity of a kept plug as a line of a list. */
export interface RepinnedLine {
  readonly plug: string;
  readonly cavity: string;
  readonly before: string;
  readonly after: string;
  readonly work: string;
  readonly reversible: 'yes' | 'no';
}

/** Every cavity of every kept plug, before and after, with what is done. */
export const repinningList = ({ harness }: Pick<Build, 'harness'>): readonly RepinnedLine[] =>
  harness.repinned.flatMap((plug) =>
    cavityChanges(plug).map((change): RepinnedLine => ({
      plug: plug.name,
      cavity: change.cavity,
      before: change.before,
      after: change.after,
      work: changeInWords(change),
      reversible: change.reversible ? 'yes' : 'no',
    })),
  );
