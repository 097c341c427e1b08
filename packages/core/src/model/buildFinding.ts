import type { Finding, Rule } from '../results/index.ts';
import type { BuildCommand } from './command.ts';

/** A finding whose cures are edits of a build. */
export type BuildFinding = Finding<BuildCommand>;

/** What a finding says: plain data. Its cures are asked for where it is read. */
export type BareFinding = Omit<BuildFinding, 'cures'>;
/** A check of one domain on what that domain knows. */
export type BuildRule<Context> = Rule<Context, BuildCommand>;
