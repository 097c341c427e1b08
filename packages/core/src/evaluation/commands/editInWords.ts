import {
  type BuildCommand,
  type BuildDocument,
  type Path,
  fieldInWords,
  placeInWords,
  valueAt,
} from '../../model/index.ts';
import { describeCommand } from './applyCommand.ts';

const capital = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

/** Longest text that is told with what stood there before. */
const MOST_LETTERS = 40;

/** Whether a value can be said in few words: not an entry of many fields, not a long text. */
function isShort(value: unknown, words: string): boolean {
  return value !== undefined && words !== 'there' && words.length <= MOST_LETTERS;
}

/** Unit of a quantity as it was typed; nothing for what is none. */
const unitOf = (value: unknown): string =>
  typeof value === 'object' && value !== null && 'unit' in value ? String(value.unit) : '';

const bare = (words: string, unit: string): string =>
  words.slice(0, words.length - unit.length).trimEnd();

/** "Boost 0.85 → 1.1 bar"; undefined where before or after cannot be said in few words. */
function changed(build: BuildDocument, path: Path, to: unknown): string | undefined {
  const from = valueAt(build, path);
  const place = placeInWords(build, path);
  const then = fieldInWords(build, path, from);
  const after = fieldInWords(build, path, to);
  if (place === '' || !isShort(from, then) || !isShort(to, after)) return undefined;
  const unit = unitOf(to);
  // A unit that stays is said once.
  const before = unit !== '' && unit === unitOf(from) ? bare(then, unit) : then;
  return `${capital(place)} ${before} → ${after}`;
}

/** What an element is called in a build, else its id. */
function nameOf(before: BuildDocument, circuitId: string, elementId: string): string {
  const name = valueAt(before, ['fuelCircuits', circuitId, 'elements', elementId, 'name']);
  return typeof name === 'string' ? name : elementId;
}

/** An edit in plain words, with the names of things and what stood there before. */
export function editInWords(before: BuildDocument, command: BuildCommand): string {
  switch (command.name) {
    case 'set':
      return changed(before, command.path, command.value) ?? describeCommand(command);
    case 'choose-part': {
      const path = ['fuelCircuits', command.circuitId, 'elements', command.elementId, 'item'];
      return changed(before, path, command.item) ?? describeCommand(command);
    }
    case 'choose-injector': {
      const path = ['injectorRows', command.rowId, 'item'];
      return changed(before, path, command.item) ?? describeCommand(command);
    }
    case 'decide': {
      const option = before.options[command.optionId];
      const path = ['options', command.optionId, 'chosen'];
      return option
        ? `${option.title}: ${fieldInWords(before, path, option.chosen)} → ${fieldInWords(before, path, command.alternativeId)}`
        : describeCommand(command);
    }
    case 'insert-element': {
      const after = nameOf(before, command.circuitId, command.afterId);
      return `${command.element.name} put in behind ${after}`;
    }
    case 'remove-element':
      return `${nameOf(before, command.circuitId, command.elementId)} taken out`;
    case 'move-element': {
      const side = command.direction === 'towards-tank' ? 'tank' : 'engine';
      return `${nameOf(before, command.circuitId, command.elementId)} moved towards the ${side}`;
    }
    default:
      return describeCommand(command);
  }
}
