import type { Server, Socket } from 'node:net';

/** Where a connection came from. */
export interface ConnectionOrigin {
  readonly isThisMachine: boolean;
  /** address and port at which it came in; of no use where it is from this machine */
  readonly cameInAt: string;
}

/** A connection of which nothing is known: a stranger's. */
const UNKNOWN: ConnectionOrigin = { isThisMachine: false, cameInAt: '' };

const isLoopback = (address: string | undefined): boolean =>
  address !== undefined && /^(::ffff:)?127\.|^::1$/.test(address);

/**
 * Notes where each connection comes from at the moment it is made. Later the socket may have been
 * reset and no longer knows its peer; what was never noted counts as foreign.
 */
export class ConnectionOrigins {
  private readonly noted = new WeakMap<Socket, ConnectionOrigin>();

  /** Notes every connection of a server; `workshopAt` says that all of them are foreign. */
  watch(server: Server, workshopAt?: () => string): void {
    server.prependListener('connection', (socket: Socket) => {
      const { remoteAddress, localAddress = '', localPort = 0 } = socket;
      this.noted.set(socket, {
        isThisMachine: workshopAt === undefined && isLoopback(remoteAddress),
        cameInAt: workshopAt?.() ?? `${localAddress.replace(/^::ffff:/, '')}:${localPort}`,
      });
    });
  }

  of(socket: Socket): ConnectionOrigin {
    return this.noted.get(socket) ?? UNKNOWN;
  }
}
