import type {
  BuildReply,
  BuildStateReply,
  BuildSummary,
  CatalogueReply,
  ConflictReply,
  ErrorReply,
  ImportItemsReply,
  ImportPreview,
  Issue,
  KeptItemReply,
  RevisionDocumentReply,
  RevisionReply,
  SnapshotReply,
  SnapshotsReply,
  StartReply,
  ThisDeviceReply,
  PairingReply,
  RecordEntryMessage,
  RecordReply,
  WhereUsedReply,
  WorkshopReply,
} from '@brookrain/contract';
import {
  type BuildCommand,
  type CatalogueCategory,
  type CatalogueItem,
  type StartAnswers,
  fileTypes,
} from '@brookrain/core';

/** A reply that is not what was asked for; `conflict` when the edit was stale. */
export class ApiError extends Error {
  readonly status: number;
  readonly code: string;
  readonly issues: readonly Issue[];
  readonly conflict: ConflictReply | undefined;
  constructor(status: number, reply: ErrorReply | ConflictReply) {
    super(reply.message);
    this.name = 'ApiError';
    this.status = status;
    this.code = reply.code;
    this.issues = 'issues' in reply && reply.issues ? reply.issues : [];
    this.conflict = reply.code === 'conflict' ? reply : undefined;
  }

  /** The server or its disk could not be reached: the same request may be made again. */
  get canBeSentAgain(): boolean {
    return this.status === 0 || this.code === 'storage' || this.status === 502;
  }
}

async function ask<Reply>(path: string, init?: RequestInit): Promise<Reply> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, init);
  } catch {
    throw new ApiError(0, {
      code: 'internal',
      message: 'The server does not answer. Your changes are kept here and sent later.',
    });
  }
  const body = (await response.json().catch(() => ({
    code: 'internal',
    message: `The server answered ${response.status}.`,
  }))) as Reply | ErrorReply;
  if (!response.ok) throw new ApiError(response.status, body as ErrorReply);
  return body as Reply;
}

const post = (body: unknown): RequestInit => ({
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
});
const postFile = (body: string, type: keyof typeof fileTypes = 'json'): RequestInit => ({
  method: 'POST',
  headers: { 'content-type': fileTypes[type] },
  body,
});
const buildPath = (id: string): string => `/builds/${encodeURIComponent(id)}`;

/** What every change carries. */
export interface ChangeHead {
  readonly baseRevision: number;
  /** generation of the data that the revision was read from */
  readonly generation: string | undefined;
  readonly editId: string;
  readonly author: string;
}

export const api = {
  builds: () => ask<BuildSummary[]>('/builds'),
  build: (id: string) => ask<BuildReply>(buildPath(id)),
  state: (id: string) => ask<BuildStateReply>(`${buildPath(id)}/state`),
  start: (answers: StartAnswers & { author: string }) =>
    ask<StartReply>('/builds/start', post(answers)),
  copy: (id: string, copy: { name: string; revision?: number; author: string }) =>
    ask<BuildReply>(`${buildPath(id)}/copy`, post(copy)),
  archive: (id: string, archived: boolean) =>
    ask<BuildReply>(`${buildPath(id)}/archive`, post({ archived })),
  resetDemos: () => ask<BuildSummary[]>('/demo/reset', post({})),
  revisions: (id: string, asked: { before?: number | undefined; find?: string } = {}) => {
    const query = new URLSearchParams();
    if (asked.before !== undefined) query.set('before', `${asked.before}`);
    if (asked.find) query.set('find', asked.find);
    const text = query.toString();
    return ask<RevisionReply[]>(`${buildPath(id)}/revisions${text === '' ? '' : `?${text}`}`);
  },
  revision: (id: string, number: number) =>
    ask<RevisionDocumentReply>(`${buildPath(id)}/revisions/${number}`),
  edit: (id: string, head: ChangeHead, command: BuildCommand) =>
    ask<BuildReply>(`${buildPath(id)}/commands`, post({ ...head, command })),
  step: (id: string, head: ChangeHead, direction: 'undo' | 'redo') =>
    ask<BuildReply>(`${buildPath(id)}/${direction}`, post(head)),
  goBack: (id: string, head: ChangeHead, revision: number) =>
    ask<BuildReply>(`${buildPath(id)}/go-back`, post({ ...head, revision })),
  importNew: (text: string) => ask<BuildReply>('/builds/import', postFile(text)),
  previewImport: (id: string, text: string) =>
    ask<ImportPreview>(`${buildPath(id)}/import/preview`, postFile(text)),
  importOver: (
    id: string,
    { baseRevision, generation }: Pick<ChangeHead, 'baseRevision' | 'generation'>,
    text: string,
  ) => {
    const query = new URLSearchParams({ baseRevision: `${baseRevision}` });
    if (generation !== undefined) query.set('generation', generation);
    return ask<BuildReply>(`${buildPath(id)}/import?${query.toString()}`, postFile(text));
  },
  thisDevice: () => ask<ThisDeviceReply>('/this-device'),
  record: (id: string) => ask<RecordReply>(`${buildPath(id)}/record`),
  addToRecord: (id: string, entries: readonly RecordEntryMessage[]) =>
    ask<RecordReply>(`${buildPath(id)}/record`, post({ entries })),
  catalogue: () => ask<CatalogueReply>('/catalogue'),
  keepItem: (item: CatalogueItem, author: string) =>
    ask<KeptItemReply>('/catalogue/items', post({ item, author })),
  importSheet: (category: CatalogueCategory, text: string) =>
    ask<ImportItemsReply>(
      `/catalogue/import?format=csv&category=${category}`,
      postFile(text, 'csv'),
    ),
  importItems: (text: string) =>
    ask<ImportItemsReply>('/catalogue/import?format=json', postFile(text)),
  whereUsed: (id: string) =>
    ask<WhereUsedReply>(`/catalogue/items/${encodeURIComponent(id)}/where-used`),
  snapshots: () => ask<SnapshotsReply>('/snapshots'),
  understoodLost: () => ask<SnapshotsReply>('/snapshots/lost/understood', post({})),
  workshop: () => ask<WorkshopReply>('/workshop'),
  openWorkshop: (open: boolean) =>
    ask<WorkshopReply>('/workshop', { ...post({ open }), method: 'PUT' }),
  pairingCode: () => ask<PairingReply>('/workshop/codes', post({})),
  dropDevice: (id: string) =>
    ask<WorkshopReply>(`/workshop/devices/${encodeURIComponent(id)}/drop`, post({})),
  takeSnapshot: () => ask<SnapshotReply>('/snapshots', post({})),
};
