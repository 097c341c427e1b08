import { MOST_BYTES, jsonFault, jsonTooMuch } from '@brookrain/contract';
import express, { type RequestHandler } from 'express';

/** A little above the limit of files, so that the file's own message is given first. */
export const MOST_SENT = MOST_BYTES + 1024;

const refused = new WeakMap<object, string>();

/** Why the body of a request was not read; undefined where it was, or was too large. */
export const unreadBecause = (request: object): string | undefined => refused.get(request);

/** What the reader of bodies calls that which stopped it. */
function faultOf(error: unknown): string | undefined {
  const { type } = error as { readonly type?: string };
  if (type === 'entity.parse.failed') return `the request is ${jsonFault(error)}`;
  if (type?.startsWith('encoding.') || type?.startsWith('charset.')) {
    return 'the request is not plain UTF-8';
  }
  return undefined;
}

/** Reads JSON bodies, looked through before: a few megabytes of brackets take a second to read. */
export function boundedJson(): RequestHandler {
  const read = express.json({
    limit: MOST_SENT,
    verify: (request, _response, body) => {
      const tooMuch = jsonTooMuch(body);
      if (tooMuch === undefined) return;
      refused.set(request, tooMuch);
      throw new Error(tooMuch);
    },
  });
  return (request, response, next) =>
    read(request, response, (error?: unknown) => {
      const fault = error === undefined ? undefined : faultOf(error);
      // What comes of the error on its way no longer says what it was.
      if (fault !== undefined && !refused.has(request)) refused.set(request, fault);
      next(error);
    });
}
