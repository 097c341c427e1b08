import { createHash } from 'node:crypto';
import {
  mkdirSync,
  readFileSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { deserialize, serialize } from 'node:v8';
import type { KeptAnswers } from '@brookrain/core';

/** So many builds are kept, those that were asked for last. */
const MOST_BUILDS = 8;

/**
 * What was worked out of builds, kept between runs of the program: a file each. Whatever goes wrong
 * with a file, nothing is lost but time: the build is evaluated from nothing.
 */
export class AnswerShelf {
  /**
   * @param program names the program that worked them out: another one never reads them
   */
  constructor(
    private readonly folder: string,
    private readonly program: string,
  ) {}

  private fileOf(key: string): string {
    const name = createHash('sha256').update(`${this.program}\n${key}`).digest('hex');
    return join(this.folder, `${name.slice(0, 32)}.answers`);
  }

  /** What is kept of a build; undefined where nothing is, or it cannot be read. */
  take(key: string): KeptAnswers | undefined {
    try {
      const kept: unknown = deserialize(readFileSync(this.fileOf(key)));
      return kept instanceof Map ? (kept as KeptAnswers) : undefined;
    } catch {
      return undefined;
    }
  }

  /** Keeps what was worked out of a build; the oldest of too many goes. */
  put(key: string, answers: KeptAnswers): void {
    const file = this.fileOf(key);
    const unfinished = `${file}.${process.pid}`;
    try {
      mkdirSync(this.folder, { recursive: true });
      writeFileSync(unfinished, serialize(answers));
      renameSync(unfinished, file);
      this.forgetOldest();
    } catch {
      this.leave(unfinished);
    }
  }

  private leave(file: string): void {
    try {
      rmSync(file, { force: true });
    } catch {
      // A folder that cannot be written to holds nothing of it.
    }
  }

  private forgetOldest(): void {
    const files = readdirSync(this.folder).map((name) => {
      const path = join(this.folder, name);
      return { path, changed: statSync(path).mtimeMs };
    });
    files.sort((a, b) => b.changed - a.changed);
    for (const { path } of files.slice(MOST_BUILDS)) rmSync(path, { force: true });
  }
}
