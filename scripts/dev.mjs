// npm run dev: compiler, server and web app, each following its sources.
import { bin, compile, compiler, install, run } from './steps.mjs';

install();
compile();
run(bin('concurrently'), [
  '--names',
  'compile,server,web',
  `node ${compiler} -b apps/server -w --preserveWatchOutput`,
  'node --watch apps/server/dist/main.js',
  'vite apps/web',
]);
