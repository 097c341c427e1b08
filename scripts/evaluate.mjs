// npm run -s evaluate -- FILE.json: the evaluation of a build file on standard output.
import { bundleServer, compile, install } from './steps.mjs';

install();
compile({ quiet: true });
bundleServer({ quiet: true });
const { runEvaluate } = await import('../apps/server/bundle/evaluate.js');
process.exitCode = runEvaluate(process.argv[2]);
