// npm run -s restore -- SNAPSHOT.db: puts a snapshot in the place of the data file.
import { bundleServer, compile, install } from './steps.mjs';

install();
compile({ quiet: true });
bundleServer({ quiet: true });
const { runRestore } = await import('../apps/server/bundle/restore.js');
process.exitCode = runRestore(process.argv[2], process.env);
