import type {
  BuildReply,
  BuildSummary,
  CatalogueReply,
  ConflictReply,
  ErrorReply,
  ImportPreview,
  Issue,
  RevisionReply,
} from '@brookrain/contract';
import type { BuildCommand } from '@brookrain/core';

/** A reply that is not what was asked for; `conflict` when the edit was stale. */
export class ApiError extends Error {
  readonly status: number;
  readonly issues: readonly Issue[];
  readonly conflict: ConflictReply | undefined;
  constructor(status: number, reply: ErrorReply | ConflictReply) {
    super(reply.message);
    this.name = 'ApiError';
    this.status = status;
    this.issues = 'issues' in reply && reply.issues ? reply.issues : [];
    this.conflict = reply.code === 'conflict' ? reply : undefined;
  }
}

async function ask<Reply>(path: string, init?: RequestInit): Promise<Reply> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, init);
  } catch {
    throw new ApiError(0, {
      code: 'internal',
      message: 'The server does not answer. Your last accepted edit is kept; try again.',
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
const postText = (body: string): RequestInit => ({
  method: 'POST',
  headers: { 'content-type': 'text/plain' },
  body,
});

export const api = {
  builds: () => ask<BuildSummary[]>('/builds'),
  build: (id: string) => ask<BuildReply>(`/builds/${encodeURIComponent(id)}`),
  revisions: (id: string) => ask<RevisionReply[]>(`/builds/${encodeURIComponent(id)}/revisions`),
  catalogue: () => ask<CatalogueReply>('/catalogue'),
  edit: (id: string, baseRevision: number, command: BuildCommand) =>
    ask<BuildReply>(`/builds/${encodeURIComponent(id)}/commands`, post({ baseRevision, command })),
  step: (id: string, baseRevision: number, direction: 'undo' | 'redo') =>
    ask<BuildReply>(`/builds/${encodeURIComponent(id)}/${direction}`, post({ baseRevision })),
  importNew: (text: string) => ask<BuildReply>('/builds/import', postText(text)),
  previewImport: (id: string, text: string) =>
    ask<ImportPreview>(`/builds/${encodeURIComponent(id)}/import/preview`, postText(text)),
  importOver: (id: string, baseRevision: number, text: string) =>
    ask<BuildReply>(
      `/builds/${encodeURIComponent(id)}/import?baseRevision=${baseRevision}`,
      postText(text),
    ),
};
