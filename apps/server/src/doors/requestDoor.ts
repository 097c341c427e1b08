import { isIP } from 'node:net';
import { fileTypes } from '@brookrain/core';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import { RefusedRequest } from '../errors.ts';

/** What a door looks at of a request. */
export interface Knock {
  readonly method: string;
  readonly path: string;
  /** `Host`, with its port */
  readonly host: string | undefined;
  readonly origin: string | undefined;
  /** `Sec-Fetch-Site` and `Sec-Fetch-Mode`, as browsers send them */
  readonly fetchSite: string | undefined;
  readonly fetchMode: string | undefined;
  readonly contentType: string | undefined;
  /** address and port at which it came in from the workshop network; undefined: from this machine */
  readonly cameInAt?: string | undefined;
}

/** Names under which this machine is itself. */
const OWN_NAMES: ReadonlySet<string> = new Set(['localhost', '127.0.0.1', '[::1]', '::1']);
/** Addresses that stand for every one of the machine. */
const EVERYWHERE: ReadonlySet<string> = new Set(['0.0.0.0', '::']);
const READING: ReadonlySet<string> = new Set(['GET', 'HEAD']);
const TAKEN: ReadonlySet<string> = new Set(['application/json', fileTypes.json, fileTypes.csv]);

/** The name in a `Host` header, without its port. */
function nameIn(host: string): string {
  if (host.startsWith('[')) return host.slice(0, host.indexOf(']') + 1).toLowerCase();
  return host.replace(/:\d{1,5}$/, '').toLowerCase();
}

/**
 * Whether the program is asked under a name of its own: this machine's, the one it was told to serve
 * on, or, served on every address, any address but no name, which could be anyone's.
 */
function isOwnName(host: string | undefined, servedOn: string): boolean {
  if (host === undefined) return false;
  const name = nameIn(host);
  if (OWN_NAMES.has(name) || name === servedOn.toLowerCase()) return true;
  return EVERYWHERE.has(servedOn) && isIP(name.replace(/^\[|\]$/g, '')) !== 0;
}

/** From the workshop the program is asked under the address that it came in at, or the name it was told. */
function isGoodName({ host, cameInAt }: Knock, servedOn: string): boolean {
  if (cameInAt === undefined) return isOwnName(host, servedOn);
  return host === cameInAt || (!OWN_NAMES.has(servedOn) && isOwnName(host, servedOn));
}

const refuse = (status: number, message: string): RefusedRequest =>
  new RefusedRequest(status, { code: 'refused', message });

/**
 * Why a request is not let in; undefined where it is. Another page in the same browser may neither
 * read nor write: it asks under a foreign name, says that it is from elsewhere, or sends what needs no
 * leave to be sent.
 */
export function refusalOf(knock: Knock, servedOn: string): RefusedRequest | undefined {
  const { method, path, host, origin, fetchSite, fetchMode, contentType } = knock;
  if (!isGoodName(knock, servedOn)) {
    return refuse(
      403,
      'Brookrain is not served under this name: open it at the address that it printed when it started',
    );
  }
  const isWrite = !READING.has(method);
  const fromElsewhere =
    fetchSite !== undefined && fetchSite !== 'same-origin' && fetchSite !== 'none';
  const isVisit = !isWrite && fetchMode === 'navigate';
  if (/^\/api\//i.test(path) && fromElsewhere && !isVisit) {
    return refuse(403, 'another page asked for this, and is not let in');
  }
  if (!isWrite) return undefined;
  if (
    origin !== undefined &&
    origin !== `http://${host ?? ''}` &&
    origin !== `https://${host ?? ''}`
  ) {
    return refuse(403, 'another page asked for this, and is not let in');
  }
  const type = (contentType ?? '').split(';')[0]?.trim().toLowerCase() ?? '';
  if (!TAKEN.has(type)) {
    return refuse(
      415,
      `send it as application/json, a build file as ${fileTypes.json}, a table as ${fileTypes.csv}`,
    );
  }
  return undefined;
}

const first = (value: string | string[] | undefined): string | undefined =>
  Array.isArray(value) ? value[0] : value;

/** Lets in only what comes from the program's own page, or from no page at all. */
export const requestDoor =
  (servedOn: string, cameInAt: (request: Request) => string | undefined): RequestHandler =>
  (request: Request, response: Response, next: NextFunction): void => {
    const { headers, method, path } = request;
    const refused = refusalOf(
      {
        method,
        path,
        host: headers.host,
        origin: headers.origin,
        fetchSite: first(headers['sec-fetch-site']),
        fetchMode: first(headers['sec-fetch-mode']),
        contentType: headers['content-type'],
        cameInAt: cameInAt(request),
      },
      servedOn,
    );
    if (!refused) next();
    else response.status(refused.status).json(refused.reply);
  };
