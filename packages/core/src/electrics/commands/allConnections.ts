import type { DocumentDraft } from '../../model/edit.ts';
import type { Connection } from '../slices/connections.ts';

/** Where the pins of a part are wired to, by pin. */
export type Connections = Record<string, Connection>;

/** The connections of every part of a draft. */
export const allConnections = (draft: DocumentDraft): Connections[] => [
  draft.power.ecuConnections as Connections,
  ...Object.values(draft.devices).map((each) => each.connections as Connections),
  ...Object.values(draft.controllers).map((each) => each.connections as Connections),
];
