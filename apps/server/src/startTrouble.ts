import { ConfigTrouble, type ServerConfig } from './config.ts';
import { LostData, NewerData } from './storage/database.ts';
import { FolderHeld } from './storage/folderLock.ts';
import { isDamaged } from './storage/isDamaged.ts';
import { DAMAGED, storageTrouble } from './storage/storageTrouble.ts';

/** Errors that say themselves what happened and what to do. */
const told = [ConfigTrouble, FolderHeld, LostData, NewerData];

/** Why the program could not start, and what to do; never how it is built inside. */
export function startTrouble(
  error: unknown,
  { dataFolder, host, port }: Pick<ServerConfig, 'dataFolder' | 'host' | 'port'>,
): string {
  const { code, message } = error as { code?: string; message?: string };
  if (told.some((kind) => error instanceof kind))
    return `Brookrain did not start: ${message ?? ''}`;
  switch (code) {
    case 'EADDRINUSE':
      return `Brookrain did not start: port ${String(port)} is in use. Is the program already running? Otherwise set another port with BROOKRAIN_PORT`;
    case 'EACCES':
    case 'EPERM':
      if (port < 1024) {
        return `Brookrain did not start: port ${String(port)} needs special rights. Set a port above 1023 with BROOKRAIN_PORT`;
      }
      break;
    case 'EADDRNOTAVAIL':
    case 'ENOTFOUND':
      return `Brookrain did not start: this machine has no address ${host}. Change BROOKRAIN_HOST`;
    case 'EEXIST':
    case 'ENOTDIR':
      return `Brookrain did not start: its data folder ${dataFolder} is a file, or inside one. Change BROOKRAIN_DATA`;
  }
  const trouble = isDamaged(dataFolder) ? DAMAGED : storageTrouble(error)?.message;
  return trouble !== undefined
    ? `Brookrain cannot use its data folder ${dataFolder}: ${trouble}`
    : `Brookrain could not start: ${message ?? String(error)}`;
}
