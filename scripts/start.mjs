// npm start: installs what is missing, builds, serves; ends with the npm that started it.
import { endWithParent } from './endWithParent.mjs';
import { buildWeb, bundleServer, compile, install } from './steps.mjs';

if (process.env['npm_lifecycle_event'] === 'start') endWithParent();
install();
compile();
bundleServer();
buildWeb();
await import('../apps/server/bundle/main.js');
