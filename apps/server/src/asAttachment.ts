import type { Response } from 'express';

/** A build's name as part of a file name. */
const fileName = (name: string): string => name.replace(/[^\w-]+/g, '-').toLowerCase() || 'build';

/** Names the file that an answer is kept as, after the build it belongs to. */
export function asAttachment(response: Response, buildName: string, rest: string): void {
  response.setHeader('content-disposition', `attachment; filename="${fileName(buildName)}${rest}"`);
}
