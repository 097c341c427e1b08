import { type IncomingMessage, type RequestListener, type Server, createServer } from 'node:http';
import { type AddressInfo, isIP } from 'node:net';
import { networkInterfaces } from 'node:os';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import type { Database } from '../storage/database.ts';
import { settings } from '../storage/schema.ts';
import { DATABASE } from '../storage/token.ts';
import { ConnectionOrigins } from './connectionOrigins.ts';
import { PairingCodes } from './pairingCodes.ts';

/** The setting that says whether the program is open to the workshop network. */
const OPEN = 'workshop-open';

/** Addresses of this machine in the networks that it is in. */
const ownAddresses = (): string[] =>
  Object.values(networkInterfaces()).flatMap((addresses) =>
    (addresses ?? []).flatMap(({ family, internal, address }) =>
      family === 'IPv4' && !internal ? [address] : [],
    ),
  );

/** Hosts at which only this machine finds the program, and those that stand for every address. */
const OWN_HOSTS: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '::1']);
const EVERYWHERE: ReadonlySet<string> = new Set(['0.0.0.0', '::']);

const urlOf = (address: string, port: number): string =>
  `http://${isIP(address) === 6 ? `[${address}]` : address}:${port}`;

/**
 * The door to the workshop network: closed unless somebody opens it. Open, the program is served on
 * this machine's addresses too; what comes in there says so, and who it is from has to be paired.
 */
@Injectable()
export class Workshop implements OnModuleDestroy {
  readonly codes = new PairingCodes();
  private listeners: Server[] = [];
  private readonly origins = new ConnectionOrigins();
  private answer: RequestListener | undefined;
  private port = 0;
  /** where to serve in place of all addresses of this machine */
  private only: readonly string[] | undefined;
  /** where it is open because the program was started so */
  private always: readonly string[] | undefined;

  constructor(@Inject(DATABASE) private readonly database: Database) {}

  /**
   * Says who answers, where and on which port; opens where it was open when the program ended. Served
   * on another address than this machine's own it is open anyway.
   */
  async serve(
    answer: RequestListener,
    { host, port, only }: { host: string; port: number; only: string | undefined },
  ): Promise<void> {
    this.answer = answer;
    this.port = port;
    this.only = only === undefined ? undefined : [only];
    if (!OWN_HOSTS.has(host)) {
      this.always = (EVERYWHERE.has(host) ? ownAddresses() : [host]).map((address) =>
        urlOf(address, port),
      );
      return;
    }
    const row = this.database.select().from(settings).where(eq(settings.name, OPEN)).get();
    if (row?.value === 'yes') await this.listen();
  }

  /** Notes where the connections of the program's main server come from; called before it listens. */
  watch(server: Server): void {
    this.origins.watch(server);
  }

  /** Address at which a request came in from the workshop, '' if unknown; undefined: from this machine. */
  addressOf({ socket }: IncomingMessage): string | undefined {
    const { isThisMachine, cameInAt } = this.origins.of(socket);
    return isThisMachine ? undefined : cameInAt;
  }

  /** Where it is served besides this machine, as addresses for a browser. */
  urls(): readonly string[] {
    const opened = this.listeners.map((server) => {
      const { address, port } = server.address() as AddressInfo;
      return urlOf(address, port);
    });
    return [...(this.always ?? []), ...opened];
  }

  /** Whether it is for its settings to open and close it, not for how the program was started. */
  get isOfSettings(): boolean {
    return this.always === undefined;
  }

  async open(): Promise<void> {
    this.keep('yes');
    await this.listen();
  }

  async close(): Promise<void> {
    this.keep('no');
    this.codes.forget();
    await this.stop();
  }

  private keep(value: 'yes' | 'no'): void {
    this.database
      .insert(settings)
      .values({ name: OPEN, value })
      .onConflictDoUpdate({ target: settings.name, set: { value } })
      .run();
  }

  private async listen(): Promise<void> {
    const { answer } = this;
    if (!answer || this.always || this.listeners.length > 0) return;
    for (const address of this.only ?? ownAddresses()) {
      const server = createServer(answer);
      let port = this.port;
      this.origins.watch(server, () => `${address}:${port}`);
      const listens = await new Promise<boolean>((resolve) => {
        server.once('error', () => resolve(false));
        server.listen(this.port, address, () => {
          ({ port } = server.address() as AddressInfo);
          resolve(true);
        });
      });
      if (listens) this.listeners.push(server);
    }
  }

  private async stop(): Promise<void> {
    const ending = this.listeners;
    this.listeners = [];
    await Promise.all(
      ending.map(
        (server) =>
          new Promise<void>((resolve) => {
            server.close(() => resolve());
            server.closeAllConnections();
          }),
      ),
    );
  }

  async onModuleDestroy(): Promise<void> {
    await this.stop();
  }
}
