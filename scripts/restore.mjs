// npm run -s restore -- SNAPSHOT.db: puts a snapshot in the place of the data file.
import { compile, install } from './steps.mjs';

install();
compile({ quiet: true });
const { runRestore } = await import('../apps/server/dist/cli/restore.js');
process.exitCode = runRestore(process.argv[2], process.env);
