import { BadInput, NotFound } from '@brookrain/core';
import type { ConflictReply, ErrorReply, Issue } from '@brookrain/contract';

/** A request that is answered with an error of the contract. */
export class RefusedRequest extends Error {
  readonly status: number;
  readonly reply: ErrorReply | ConflictReply;
  constructor(status: number, reply: ErrorReply | ConflictReply) {
    super(reply.message);
    this.name = 'RefusedRequest';
    this.status = status;
    this.reply = reply;
  }
}

/** A stale edit; the reply is written already, since it may hold much. */
export class ConflictRefused extends Error {
  readonly status = 409;
  constructor(
    message: string,
    readonly body: string,
  ) {
    super(message);
    this.name = 'ConflictRefused';
  }
}

/** 400 with every place that is wrong. */
export function badInput(issues: readonly Issue[]): RefusedRequest {
  const first = issues[0];
  const message = first
    ? `${first.path === '' ? '' : `${first.path}: `}${first.message}`
    : 'the input cannot be accepted';
  return new RefusedRequest(400, { code: 'bad-input', message, issues });
}

/** 404 for a thing that is not there. */
export function notFound(message: string): RefusedRequest {
  return new RefusedRequest(404, { code: 'not-found', message });
}

/** What an error of the core, or one that is a refusal already, is answered with; undefined: neither. */
export function refusalOf(error: unknown): RefusedRequest | undefined {
  if (error instanceof RefusedRequest) return error;
  if (error instanceof BadInput || error instanceof NotFound) {
    return badInput([{ path: error.where, message: error.message }]);
  }
  return undefined;
}
