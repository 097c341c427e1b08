import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const here = dirname(fileURLToPath(import.meta.url));

function folderWith(file: string, from: string): string {
  if (existsSync(join(from, file))) return from;
  const above = dirname(from);
  if (above === from) throw new Error(`there is no ${file} above ${here}`);
  return folderWith(file, above);
}

/** The folder of the server, whether it runs from source, compiled or bundled. */
export const serverFolder = folderWith('package.json', here);

/** The folder of the whole program. */
export const programFolder = dirname(dirname(serverFolder));

/** Whether it runs from the files that `scripts/bundle.mjs` writes. */
export const isBundled = here === join(serverFolder, 'bundle');
