import { fileURLToPath } from 'node:url';
import { join } from 'node:path';

/** Where the server keeps data and listens. */
export interface ServerConfig {
  readonly dataFolder: string;
  readonly host: string;
  readonly port: number;
  readonly webFolder: string;
}

/** Where it serves unless it is told otherwise: nobody else reaches it there. */
export const LOOPBACK = '127.0.0.1';

const root = fileURLToPath(new URL('../../..', import.meta.url));

/** Reads the configuration from the environment. */
export function readConfig(env: NodeJS.ProcessEnv): ServerConfig {
  return {
    dataFolder: env['BROOKRAIN_DATA'] ?? join(root, 'data'),
    host: env['BROOKRAIN_HOST'] ?? LOOPBACK,
    port: Number(env['BROOKRAIN_PORT'] ?? 4477),
    webFolder: env['BROOKRAIN_WEB'] ?? join(root, 'apps/web/dist'),
  };
}
