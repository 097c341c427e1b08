import type { CommandOf } from '../../model/command.ts';
import { layOutCircuit, removeCircuit } from './circuits.ts';
import { insertElementCommand, moveElementCommand, removeElementCommand } from './elements.ts';
export { type StoredInserted, writeInserted } from './elements.ts';
import { chooseInjector, choosePart } from './parts.ts';

/** Edits of injectors, circuits and their parts. */
export const fuelCommands = [
  chooseInjector,
  choosePart,
  insertElementCommand,
  removeElementCommand,
  moveElementCommand,
  layOutCircuit,
  removeCircuit,
] as const;
export type FuelCommand = CommandOf<(typeof fuelCommands)[number]>;
