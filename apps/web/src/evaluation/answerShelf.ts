import type { KeptAnswers } from '@brookrain/core';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** What keeps the answers to builds on this device, so that a later session begins with them. */
export interface AnswerShelf {
  put(build: string, answers: KeptAnswers): Promise<void>;
  /** what this very program kept of a build */
  of(build: string): Promise<KeptAnswers | undefined>;
}

/** Builds of which answers are kept: those that were worked at last. */
export const MOST_BUILDS = 4;

interface Kept extends DBSchema {
  answers: {
    key: [program: string, build: string];
    value: { answers: KeptAnswers; at: number };
    indexes: { 'by-time': number };
  };
}

/** Answers in the browser’s own database, those of another version of the program left out. */
export class KeptAnswerShelf implements AnswerShelf {
  private readonly program: string;
  private readonly database: Promise<IDBPDatabase<Kept>>;

  constructor(program: string) {
    this.program = program;
    this.database = openDB<Kept>('brookrain-answers', 1, {
      upgrade(database) {
        database.createObjectStore('answers').createIndex('by-time', 'at');
      },
    });
  }

  async put(build: string, answers: KeptAnswers): Promise<void> {
    const change = (await this.database).transaction('answers', 'readwrite');
    await change.store.put({ answers, at: Date.now() }, [this.program, build]);
    const keys = await change.store.index('by-time').getAllKeys();
    const own = keys.filter(([program]) => program === this.program).slice(-MOST_BUILDS);
    for (const key of keys) if (!own.includes(key)) await change.store.delete(key);
    await change.done;
  }

  async of(build: string): Promise<KeptAnswers | undefined> {
    return (await (await this.database).get('answers', [this.program, build]))?.answers;
  }
}
