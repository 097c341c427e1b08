import { MOST_BYTES, jsonTooMuch } from '@brookrain/contract';
import express, { type RequestHandler } from 'express';

/** A little above the limit of files, so that the file's own message is given first. */
export const MOST_SENT = MOST_BYTES + 1024;

const refused = new WeakMap<object, string>();

/** Why the body of a request was not read; undefined where it was. */
export const tooMuchIn = (request: object): string | undefined => refused.get(request);

/** Reads JSON bodies, looked through before: a few megabytes of brackets take a second to read. */
export const boundedJson = (): RequestHandler =>
  express.json({
    limit: MOST_SENT,
    verify: (request, _response, body) => {
      const tooMuch = jsonTooMuch(body);
      if (tooMuch === undefined) return;
      refused.set(request, tooMuch);
      throw new Error(tooMuch);
    },
  });
