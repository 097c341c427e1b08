import type { Connection } from '../../electrics/index.ts';
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

const isNamed = (value: unknown): value is { readonly name: string } =>
  typeof value === 'object' && value !== null && 'name' in value && typeof value.name === 'string';

/** "Rear fan put in"; undefined for what has no name of its own, or was there before. */
function putIn(build: BuildDocument, path: Path, value: unknown): string | undefined {
  return isNamed(value) && valueAt(build, path) === undefined ? `${value.name} put in` : undefined;
}

/** "Rear fan taken out"; what has no name of its own is told by what it is in. */
function takenOut(build: BuildDocument, path: Path): string {
  const place = placeInWords(build, path);
  const entry = valueAt(build, path);
  return isNamed(entry) ? `${capital(place)} removed` : `Removed from ${place}`;
}

/** What the entry at a path is called in a build, else its id. */
function calledAt(build: BuildDocument, path: Path): string {
  const entry = valueAt(build, path);
  return isNamed(entry) ? entry.name : (path.at(-1) ?? '');
}

/** What an element is called in a build, else its id. */
const nameOf = (build: BuildDocument, circuitId: string, elementId: string): string =>
  calledAt(build, ['fuelCircuits', circuitId, 'elements', elementId]);

/** A controller of a build, in words. */
const controllerIn = (build: BuildDocument, id: string): string =>
  Object.hasOwn(build.controllers, id) ? calledAt(build, ['controllers', id]) : 'the ECU';

/** What a pin is wired to, in words. */
function wiredTo(build: BuildDocument, connection: Connection): string {
  switch (connection.to) {
    case 'part':
      return `${calledAt(build, ['devices', connection.partId])} ${connection.pin}`;
    case 'controller':
      return `${controllerIn(build, connection.controllerId)} ${connection.pin}`.trimEnd();
    case 'signal':
      return calledAt(build, ['vehicleSignals', connection.signalId]);
    case 'ground':
      return calledAt(build, ['grounds', connection.groundId]);
  }
}

/** An edit in plain words, with the names of things and what stood there before. */
export function editInWords(before: BuildDocument, command: BuildCommand): string {
  switch (command.name) {
    case 'set':
      return (
        changed(before, command.path, command.value) ??
        putIn(before, command.path, command.value) ??
        `Change ${placeInWords(before, command.path) || 'the build'}`
      );
    case 'remove':
      return takenOut(before, command.path);
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
      return `${command.element.name} inserted after ${after}`;
    }
    case 'remove-element':
      return `${nameOf(before, command.circuitId, command.elementId)} removed`;
    case 'move-element': {
      const side = command.direction === 'towards-tank' ? 'tank' : 'engine';
      return `${nameOf(before, command.circuitId, command.elementId)} moved towards the ${side}`;
    }
    case 'remove-device':
      return `${calledAt(before, ['devices', command.deviceId])} taken off the list of devices`;
    case 'connect-pin': {
      const { owner, pin, connection } = command;
      const whose =
        owner.kind === 'device'
          ? calledAt(before, ['devices', owner.id])
          : controllerIn(before, owner.id);
      const to = connection ? `wired to ${wiredTo(before, connection)}` : 'wired to nothing';
      return `${capital(whose)} ${pin} ${to}`;
    }
    case 'assign-pins':
      return `Pins of ${controllerIn(before, command.controllerId)} assigned`;
    case 'choose-fuse': {
      const fuse = calledAt(before, ['devices', command.deviceId]);
      return `${fuse}: ${command.item ? command.item.id : 'by the rules'}`;
    }
    case 'remove-circuit':
      return `${calledAt(before, ['fuelCircuits', command.circuitId])} removed`;
    default:
      return describeCommand(command);
  }
}
