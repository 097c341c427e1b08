import type { Catalogue } from '../../catalogue/index.ts';
import type { Change } from '../../model/index.ts';
import { type MadeLine, jointState } from '../assemblies/madeLine.ts';
import { changesOfEnds, proposedEnds, schoolOf } from './proposedEnds.ts';

/** The ends that every open line would be given, each in its own school; empty where none is open. */
export const endsOfOpenLines = (made: readonly MadeLine[], catalogue: Catalogue): Change[] =>
  made.flatMap((line) => {
    const open = line.ends.some((end) => jointState(end, line.hose) === 'open');
    const school = schoolOf(line, catalogue);
    const ends = open && school ? proposedEnds(line, school, catalogue) : undefined;
    return ends ? changesOfEnds(line, ends, catalogue) : [];
  });
