// Hosts compiled servers for the browser tests: a new one, on a data folder of its own, each time
// it is asked. They share what takes long, loading the program.
import { readConfig } from '../apps/server/dist/config.js';
import { createServer } from '../apps/server/dist/createServer.js';

let running;
/** Where the last one listened: pages of the next find what the browser has compiled. */
let lastPort = 0;
const replace = async (dataFolder, port) => {
  // Pages that are still open hold their event streams.
  running?.app.getHttpServer().closeAllConnections();
  await running?.close();
  running = undefined;
  if (dataFolder === null) return undefined;
  const { webFolder } = readConfig(process.env);
  // To the workshop it is served on another address of this machine.
  running = await createServer({ dataFolder, webFolder, workshop: '127.0.0.2' });
  lastPort = await running.listen(port ?? lastPort, '127.0.0.1');
  return `http://127.0.0.1:${lastPort}`;
};

process.on('message', ({ dataFolder, port }) => {
  replace(dataFolder, port).then(
    (url) => process.send({ url }),
    (error) => process.send({ error: String(error?.stack ?? error) }),
  );
});
process.on('disconnect', () => process.exit(0));
process.send({ ready: true });
