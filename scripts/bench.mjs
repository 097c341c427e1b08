// npm run bench: prints the measured figures beside their goals.
import { buildWeb, compile, ensureChromium, install } from './steps.mjs';

install();
compile({ quiet: true });
buildWeb();
ensureChromium();
const { runBench } = await import('../apps/server/dist/cli/bench.js');
await runBench();
const { benchDrag } = await import('./benchDrag.mjs');
await benchDrag();
