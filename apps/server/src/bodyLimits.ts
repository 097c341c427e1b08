import { MOST_BYTES } from '@brookrain/contract';

/** A little above the limit of files, so that the file's own message is given first. */
export const MOST_SENT = MOST_BYTES + 1024;

/** Routes whose JSON bodies may be larger than others', bytes. */
const larger: readonly (readonly [route: RegExp, bytes: number])[] = [
  // a hundred entries, each as long as it may be
  [/^\/api\/builds\/[^/]+\/record\/?$/i, 600_000],
  // an item with its curves and pins
  [/^\/api\/catalogue\/items\/?$/i, 300_000],
];
const USUAL = 64_000;

/** Most bytes of a JSON body on a route: what is larger is refused before it is read. */
export const jsonLimit = (path: string): number =>
  larger.find(([route]) => route.test(path))?.[1] ?? USUAL;

/** Where edits come in: they may be large, and are read where they are made. */
export const isEditRoute = (method: string, path: string): boolean =>
  method === 'POST' && /^\/api\/builds\/[^/]+\/commands\/?$/i.test(path);
