// Bundles the compiled server and command line: one file each, so that a start reads few files.
import { build } from 'esbuild';
import { root } from './steps.mjs';

const folder = `${root}/apps/server`;

/** Packages that bring files of their own, and those that Nest asks for and goes without. */
const external = [
  'better-sqlite3',
  'dejavu-fonts-ttf',
  'elkjs',
  'fontkit',
  'pdfkit',
  '@fastify/static',
  '@nestjs/microservices',
  '@nestjs/websockets',
  'class-transformer',
];

/** What is bundled: the server, its threads, and the commands. */
export const bundled = {
  main: 'dist/main.js',
  documentThread: 'dist/work/documentThread.js',
  workThread: 'dist/work/workThread.js',
  evaluate: 'dist/cli/evaluate.js',
  restore: 'dist/cli/restore.js',
};

await build({
  absWorkingDir: folder,
  entryPoints: bundled,
  outdir: 'bundle',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  external: external.flatMap((name) => [name, `${name}/*`]),
  // What was written for `require` asks for Node's own modules by it.
  banner: {
    js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
  },
  logLevel: 'warning',
});
