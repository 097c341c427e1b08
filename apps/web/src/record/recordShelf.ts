import type { RecordEntryMessage } from '@brookrain/contract';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** An entry on its way: kept on this device until the server has it. */
export interface WaitingEntry {
  readonly buildId: string;
  readonly entry: RecordEntryMessage;
}

/** What keeps entries on this device, over a reload. */
export interface RecordShelf {
  put(waiting: WaitingEntry): Promise<void>;
  /** those of a build, the oldest first */
  of(buildId: string): Promise<readonly RecordEntryMessage[]>;
  take(ids: readonly string[]): Promise<void>;
}

interface Kept extends DBSchema {
  entries: { key: number; value: WaitingEntry; indexes: { 'by-id': string; 'by-build': string } };
}

/** Entries in the browser’s own database. */
class KeptShelf implements RecordShelf {
  private readonly database: Promise<IDBPDatabase<Kept>> = openDB<Kept>('brookrain-record', 1, {
    upgrade(database) {
      const store = database.createObjectStore('entries', { autoIncrement: true });
      store.createIndex('by-id', 'entry.id', { unique: true });
      store.createIndex('by-build', 'buildId');
    },
  });

  async put(waiting: WaitingEntry): Promise<void> {
    await (await this.database).add('entries', waiting);
  }

  async of(buildId: string): Promise<readonly RecordEntryMessage[]> {
    const all = await (await this.database).getAllFromIndex('entries', 'by-build', buildId);
    return all.map(({ entry }) => entry);
  }

  async take(ids: readonly string[]): Promise<void> {
    const change = (await this.database).transaction('entries', 'readwrite');
    for (const id of ids) {
      const key = await change.store.index('by-id').getKey(id);
      if (key !== undefined) await change.store.delete(key);
    }
    await change.done;
  }
}

/** Entries as long as the page is open: where the browser keeps nothing. */
export class OpenShelf implements RecordShelf {
  private waiting: readonly WaitingEntry[] = [];

  put(waiting: WaitingEntry): Promise<void> {
    this.waiting = [...this.waiting, waiting];
    return Promise.resolve();
  }

  of(buildId: string): Promise<readonly RecordEntryMessage[]> {
    return Promise.resolve(
      this.waiting.filter((each) => each.buildId === buildId).map(({ entry }) => entry),
    );
  }

  take(ids: readonly string[]): Promise<void> {
    this.waiting = this.waiting.filter(({ entry }) => !ids.includes(entry.id));
    return Promise.resolve();
  }
}

export const recordShelf: RecordShelf =
  typeof indexedDB === 'undefined' ? new OpenShelf() : new KeptShelf();
