import type { BuildCommand } from './command.ts';

const words = (path: string): string =>
  path
    .replace(/^(brief|limits|power|fuelCircuits|injectorRows|placements|fuels)\.?/, '')
    .replace(/\.(value|typed|measured)$/, '')
    .replace(/\d+\./g, '')
    .replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`)
    .replaceAll('.', ' ')
    .trim();

/** A command in plain words, for the history and for undo. */
export function describeCommand(command: BuildCommand): string {
  switch (command.name) {
    case 'set':
      return `Change ${words(command.path)}`;
    case 'set-several':
      return command.label;
    case 'pick-demand':
      return `Pick demand by ${command.school}`;
    case 'choose-injector':
      return `Choose injector ${command.item.id}`;
    case 'choose-part':
      return `Choose ${command.item.id} for ${command.elementId}`;
    case 'choose-fuse':
      return command.item ? `Choose fuse ${command.item.id}` : 'Let the rules choose the fuse';
    case 'choose-wire':
      return command.size
        ? `Choose wire ${command.size.id} for ${command.wireId}`
        : `Let the rules size ${command.wireId}`;
    case 'set-wire-length':
      return `Change the length of ${command.wireId}`;
    case 'decide':
      return `Decide ${command.optionId}: ${command.alternativeId}`;
    case 'replace-document':
      return `Import ${command.document.name}`;
  }
}
