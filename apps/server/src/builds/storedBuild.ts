import type { BuildText } from '../work/workMessages.ts';

/** A build as it stands, as text: it is parsed only where somebody looks into it. */
export interface StoredBuild {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  readonly updatedAt: string;
  /** generation of the data that the revision belongs to */
  readonly generation: string;
  /** words of what undo and redo would do; null when there is nothing */
  readonly undo: string | null;
  readonly redo: string | null;
  readonly asText: BuildText;
}

/** Names a revision of a build among all that any data folder ever held. */
export const revisionKey = (generation: string, id: string, revision: number): string =>
  `${generation} ${id} ${revision}`;

/** The reply of the API, put together from what is text already. */
export function buildReplyJson(build: StoredBuild): string {
  const { id, revision, generation, undo, redo, updatedAt, asText } = build;
  const head = JSON.stringify({ id, revision, generation, undo, redo, updatedAt });
  return `${head.slice(0, -1)},"document":${asText.text}}`;
}
