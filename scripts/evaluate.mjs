// npm run -s evaluate -- FILE.json: the evaluation of a build file on standard output.
import { compile, install } from './steps.mjs';

install();
compile({ quiet: true });
const { runEvaluate } = await import('../apps/server/dist/cli/evaluate.js');
process.exitCode = runEvaluate(process.argv[2]);
