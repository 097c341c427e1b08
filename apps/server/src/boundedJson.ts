import { jsonFault, jsonTooMuch } from '@brookrain/contract';
import express, { type RequestHandler } from 'express';
import { MOST_SENT, isEditRoute, jsonLimit } from './bodyLimits.ts';

const refused = new WeakMap<object, string>();

/** Why the body of a request was not read; undefined where it was, or was too large. */
export const unreadBecause = (request: object): string | undefined => refused.get(request);

const passed = new WeakMap<object, number>();

/** Most bytes that would have been taken of a body that was too large; undefined where it was not. */
export const limitPassedBy = (request: object): number | undefined => passed.get(request);

/** What the reader of bodies calls that which stopped it. */
function faultOf(error: unknown): string | undefined {
  const { type } = error as { readonly type?: string };
  if (type === 'entity.parse.failed') return `the request is ${jsonFault(error)}`;
  if (type?.startsWith('encoding.') || type?.startsWith('charset.')) {
    return 'the request is not plain UTF-8';
  }
  return undefined;
}

const isTooMuch = (request: object, body: Uint8Array): void => {
  const tooMuch = jsonTooMuch(body);
  if (tooMuch === undefined) return;
  refused.set(request, tooMuch);
  throw new Error(tooMuch);
};

/**
 * Reads JSON bodies, looked through before: a few megabytes of brackets take a second to read. Bodies of
 * edits stay bytes.
 */
export function boundedJson(): RequestHandler {
  const readers = new Map<number, RequestHandler>();
  const readerOf = (limit: number): RequestHandler => {
    const known =
      readers.get(limit) ?? express.json({ limit, verify: (r, _, b) => isTooMuch(r, b) });
    readers.set(limit, known);
    return known;
  };
  const raw = express.raw({ type: 'application/json', limit: MOST_SENT });
  return (request, response, next) => {
    const { method, path } = request;
    const read = isEditRoute(method, path) ? raw : readerOf(jsonLimit(path));
    return read(request, response, (error?: unknown) => {
      const fault = error === undefined ? undefined : faultOf(error);
      const { type, limit } = (error ?? {}) as { readonly type?: string; readonly limit?: number };
      if (type === 'entity.too.large' && limit !== undefined) passed.set(request, limit);
      // What comes of the error on its way no longer says what it was.
      if (fault !== undefined && !refused.has(request)) refused.set(request, fault);
      next(error);
    });
  };
}
