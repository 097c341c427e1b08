// npm start: installs what is missing, builds, serves.
import { buildWeb, compile, install } from './steps.mjs';

install();
compile();
buildWeb();
await import('../apps/server/dist/main.js');
