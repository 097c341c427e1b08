import { readConfig } from './config.ts';
import { createServer } from './createServer.ts';

const config = readConfig(process.env);
const server = await createServer(config);
await server.app.listen(config.port, config.host);
console.log(`Brookrain is ready on http://${config.host}:${config.port}`);

const stop = (): void => {
  void server.close().then(() => process.exit(0));
};
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
