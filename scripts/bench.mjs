// npm run bench: prints the measured figures beside their goals.
import { compile, install } from './steps.mjs';

install();
compile({ quiet: true });
const { runBench } = await import('../apps/server/dist/cli/bench.js');
await runBench();
