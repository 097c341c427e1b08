import { join } from 'node:path';
import { programFolder } from './serverFolder.ts';

/** Where the server keeps data and listens. */
export interface ServerConfig {
  readonly dataFolder: string;
  readonly host: string;
  readonly port: number;
  readonly webFolder: string;
  /** so many requests that write, of each kind and from each address, are taken in ten seconds */
  readonly writes: number;
  /** address on which it is served to the workshop; undefined: every one of this machine */
  readonly workshop: string | undefined;
}

/** More than a workshop full of people does; a program run wild is held up by it. */
export const USUAL_WRITES = 1500;

/** Where it serves unless it is told otherwise: nobody else reaches it there. */
export const LOOPBACK = '127.0.0.1';

/** A setting that cannot be. */
export class ConfigTrouble extends Error {}

/** A port as it is given; without one the usual. Throws ConfigTrouble for what is none. */
function portOf(text: string | undefined): number {
  if (text === undefined) return 4477;
  const port = /^\d{1,5}$/.test(text) ? Number(text) : 0;
  if (port >= 1 && port <= 65_535) return port;
  throw new ConfigTrouble(`BROOKRAIN_PORT "${text}" must be a whole number from 1 to 65535`);
}

/** A limit on writes as it is given; without one the usual. Throws ConfigTrouble for what is none. */
function writesOf(text: string | undefined): number {
  if (text === undefined) return USUAL_WRITES;
  const writes = /^\d{1,9}$/.test(text) ? Number(text) : 0;
  if (writes >= 1) return writes;
  throw new ConfigTrouble(`BROOKRAIN_WRITES "${text}" must be a whole number from 1`);
}

/** Reads the configuration from the environment. Throws ConfigTrouble for what cannot be. */
export function readConfig(env: NodeJS.ProcessEnv): ServerConfig {
  return {
    dataFolder: env['BROOKRAIN_DATA'] ?? join(programFolder, 'data'),
    host: env['BROOKRAIN_HOST'] ?? LOOPBACK,
    port: portOf(env['BROOKRAIN_PORT']),
    writes: writesOf(env['BROOKRAIN_WRITES']),
    workshop: env['BROOKRAIN_WORKSHOP'],
    webFolder: env['BROOKRAIN_WEB'] ?? join(programFolder, 'apps/web/dist'),
  };
}
