import {
  type BuildCommand,
  type BuildDocument,
  type Path,
  placeInWords,
  valueAt,
  valueInWords,
} from '../../model/index.ts';
import { describeCommand } from './applyCommand.ts';

const capital = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

/** Longest text that is told with what stood there before. */
const MOST_LETTERS = 40;

/** Whether a value can be said in few words: not an entry of many fields, not a long text. */
function isShort(value: unknown): boolean {
  if (value === undefined) return false;
  const words = valueInWords(value);
  return words !== 'there' && words.length <= MOST_LETTERS;
}

/** "Boost 0.85 bar → 1.1 bar"; undefined where before or after cannot be said in few words. */
function changed(before: BuildDocument, path: Path, to: unknown): string | undefined {
  const from = valueAt(before, path);
  const place = placeInWords(before, path);
  if (place === '' || !isShort(from) || !isShort(to)) return undefined;
  return `${capital(place)} ${valueInWords(from)} → ${valueInWords(to)}`;
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
