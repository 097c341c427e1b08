import anyAscii from 'any-ascii';
import type { Response } from 'express';

/** A build's name as part of a file name: letters and digits of any script. */
const fileName = (name: string): string =>
  name
    .replace(/[^\p{L}\p{M}\p{N}_-]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase() || 'build';

/** A name as a header may carry it, RFC 8187. */
const encoded = (name: string): string =>
  encodeURIComponent(name).replace(/['()*]/g, (sign) => `%${sign.charCodeAt(0).toString(16)}`);

/**
 * What names the file that an answer is kept as, after the build it belongs to; in Latin letters for
 * what reads no others.
 */
export function disposition(buildName: string, rest: string): string {
  const whole = `${fileName(buildName)}${rest}`;
  const plain = anyAscii(whole).replace(/[^\w.-]+/g, '-');
  const attachment = `attachment; filename="${plain}"`;
  return plain === whole ? attachment : `${attachment}; filename*=UTF-8''${encoded(whole)}`;
}

/** Names the file that an answer is kept as. */
export function asAttachment(response: Response, buildName: string, rest: string): void {
  response.setHeader('content-disposition', disposition(buildName, rest));
}
