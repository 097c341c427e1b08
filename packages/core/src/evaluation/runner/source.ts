import type { Catalogue } from '../../catalogue/index.ts';
import type { Build } from '../../model/index.ts';

/** What an evaluation starts from. */
export interface RunnerInput {
  readonly build: Build;
  readonly catalogue: Catalogue;
}

/** A part of what an evaluation starts from. */
export interface Slice<Value> {
  readonly type: 'slice';
  readonly name: string;
  readonly read: (input: RunnerInput) => Value;
}

/** What a stage may read: parts of the build, the catalogue, and what other stages gave. */
export type Source<Value> = Slice<Value> | Stage<Value>;
type Sources = Readonly<Record<string, Source<unknown>>>;
/** The values of sources by name. */
export type ValuesOf<Reads extends Sources> = {
  readonly [Name in keyof Reads]: Reads[Name] extends Source<infer Value> ? Value : never;
};

/** One step of an evaluation. Nothing but what it reads reaches it. */
export interface Stage<Value> {
  readonly type: 'stage';
  /** its key in the table of stages */
  readonly name: string;
  /** what it gives, in a few words of English */
  readonly gives: string;
  readonly reads: Sources;
  readonly run: (inputs: never) => Value;
  /** what it gives answers when it is asked: functions, which are not kept between sessions */
  readonly holdsFunctions?: true;
}

/** Declares a part of the build that stages read. */
export const slice = <Value>(name: string, read: (input: RunnerInput) => Value): Slice<Value> => ({
  type: 'slice',
  name,
  read,
});

/** Declares a step: what it reads and what it makes of it. */
export const stage = <Reads extends Sources, Value>(parts: {
  readonly name: string;
  readonly gives: string;
  readonly reads: Reads;
  readonly run: (inputs: ValuesOf<Reads>) => Value;
  readonly holdsFunctions?: true;
}): Stage<Value> => ({ type: 'stage', ...parts });
