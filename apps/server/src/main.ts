import { readConfig } from './config.ts';
import { createServer } from './createServer.ts';
import { startTrouble } from './startTrouble.ts';

/** So long requests that are under way may take when the program is told to stop. */
const DRAIN_MS = 5000;

let config = readConfig({});
try {
  config = readConfig(process.env);
  const server = await createServer(config);
  await server.listen(config.port, config.host);
  const stop = (): void => {
    // A request that is never sent to its end does not hold the program.
    setTimeout(() => process.exit(0), DRAIN_MS).unref();
    void server.close().then(() => process.exit(0));
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
  if (server.lost !== undefined) console.error(server.lost);
  console.log(`Brookrain is ready on http://${config.host}:${config.port}`);
} catch (error) {
  console.error(startTrouble(error, config));
  process.exit(1);
}
