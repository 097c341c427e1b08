import { createHash, randomBytes, randomUUID, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import { Inject, Injectable } from '@nestjs/common';
import { asc, eq } from 'drizzle-orm';
import type { Database } from '../storage/database.ts';
import { devicesPaired } from '../storage/schema.ts';
import { DATABASE } from '../storage/token.ts';

/** A device that may use the program over the workshop network. */
export interface PairedDevice {
  readonly id: string;
  readonly name: string;
  readonly pairedAt: string;
  readonly seenAt: string;
}

const derive = promisify(scrypt) as (secret: string, salt: string, size: number) => Promise<Buffer>;
const SIZE = 32;
/** So many devices are kept: a workshop has fewer. */
export const MOST_DEVICES = 50;
/** When a device was seen is written at most so often, ms. */
const SEEN_EVERY = 60_000;

const quick = (secret: string): string => createHash('sha256').update(secret).digest('base64url');

/** The devices that are paired. Of what they keep only a hash is kept here. */
@Injectable()
export class PairedDevices {
  /** secrets that were checked since the program runs, by device */
  private readonly checked = new Map<string, string>();
  private readonly seen = new Map<string, number>();

  constructor(@Inject(DATABASE) private readonly database: Database) {}

  list(): readonly PairedDevice[] {
    return this.database
      .select({
        id: devicesPaired.id,
        name: devicesPaired.name,
        pairedAt: devicesPaired.pairedAt,
        seenAt: devicesPaired.seenAt,
      })
      .from(devicesPaired)
      .orderBy(asc(devicesPaired.pairedAt))
      .all();
  }

  /** Pairs a device; the secret is told once, and to it alone. */
  async add(name: string): Promise<{ readonly id: string; readonly secret: string }> {
    const [id, secret, salt] = [
      randomUUID(),
      randomBytes(SIZE).toString('base64url'),
      randomBytes(16).toString('base64url'),
    ];
    const hash = (await derive(secret, salt, SIZE)).toString('base64url');
    const now = new Date().toISOString();
    this.database
      .insert(devicesPaired)
      .values({ id, name, salt, hash, pairedAt: now, seenAt: now })
      .run();
    return { id, secret };
  }

  /** The device that keeps a secret; undefined where there is none. */
  async withSecret(id: string, secret: string): Promise<PairedDevice | undefined> {
    const row = this.database.select().from(devicesPaired).where(eq(devicesPaired.id, id)).get();
    if (!row) return undefined;
    if (this.checked.get(id) !== quick(secret)) {
      const hash = await derive(secret, row.salt, SIZE);
      const kept = Buffer.from(row.hash, 'base64url');
      if (kept.length !== hash.length || !timingSafeEqual(kept, hash)) return undefined;
      this.checked.set(id, quick(secret));
    }
    this.note(id);
    return { id, name: row.name, pairedAt: row.pairedAt, seenAt: row.seenAt };
  }

  private note(id: string): void {
    const now = Date.now();
    if (now - (this.seen.get(id) ?? 0) < SEEN_EVERY) return;
    this.seen.set(id, now);
    this.database
      .update(devicesPaired)
      .set({ seenAt: new Date(now).toISOString() })
      .where(eq(devicesPaired.id, id))
      .run();
  }

  /** Drops a device; whether there was one. */
  drop(id: string): boolean {
    this.checked.delete(id);
    return this.database.delete(devicesPaired).where(eq(devicesPaired.id, id)).run().changes > 0;
  }
}
