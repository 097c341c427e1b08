import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const folder = join(
  dirname(createRequire(import.meta.url).resolve('dejavu-fonts-ttf/package.json')),
  'ttf',
);

/**
 * The fonts of papers, asked for by their files: by a name of their own they would be read anew for
 * every cell of a table.
 */
export const paperFonts = {
  plain: join(folder, 'DejaVuSansCondensed.ttf'),
  bold: join(folder, 'DejaVuSansCondensed-Bold.ttf'),
} as const;
