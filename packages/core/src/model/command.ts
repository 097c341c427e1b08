import type { ElectricsCommand } from '../electrics/commands/index.ts';
import type { EngineCommand } from '../engine/commands/index.ts';
import type { FuelCommand } from '../fuel/commands/index.ts';
import type { HarnessCommand } from '../harness/commands/index.ts';
import { NotFound } from '../quantities/index.ts';
import type { VehicleCommand } from '../vehicle/commands/index.ts';
import type { ModelCommand } from './commands/index.ts';
import type { DocumentDraft } from './edit.ts';
import type { Fields, OfFields } from './spec.ts';

/** A small named edit. Every change of a build is one of these. */
export type BuildCommand =
  ModelCommand | EngineCommand | VehicleCommand | ElectricsCommand | FuelCommand | HarnessCommand;
export type CommandName = BuildCommand['name'];

/** One kind of edit: what it carries, how the history calls it, what it does. */
export interface CommandKind<Name extends string = string, F extends Fields = Fields> {
  readonly name: Name;
  readonly fields: F;
  /** the edit in plain words */
  readonly words: (command: never) => string;
  /** throws BadInput or NotFound where it does not fit */
  readonly recipe: (draft: DocumentDraft, command: never) => void;
}

/** The edit that a kind describes. */
export type CommandOf<Kind> =
  Kind extends CommandKind<infer Name, infer F> ? { readonly name: Name } & OfFields<F> : never;

/** Declares a kind of edit. */
export const command = <const Name extends string, F extends Fields>(parts: {
  readonly name: Name;
  readonly fields: F;
  readonly words: (command: OfFields<F>) => string;
  readonly recipe: (draft: DocumentDraft, command: OfFields<F>) => void;
}): CommandKind<Name, F> => parts;

/** The entry of a collection; throws NotFound with what a person calls it. */
export function entryOf<Entry>(collection: Record<string, Entry>, id: string, what: string): Entry {
  const entry = Object.hasOwn(collection, id) ? collection[id] : undefined;
  if (entry === undefined) throw new NotFound(`there is no ${what} "${id}" in this build`, id);
  return entry;
}
