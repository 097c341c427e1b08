// npm run attack [-- seed]: thousands of hostile requests with the health watched, then kill upon kill.
import { compile, install } from './steps.mjs';

install();
compile({ quiet: true });
const { runAttack } = await import('../apps/server/dist/cli/attack.js');
const seed = process.argv[2];
process.exitCode = (await (seed === undefined ? runAttack() : runAttack(Number(seed)))) ? 0 : 1;
