import type { BuildCommand } from './command.ts';

/** A path of the document in plain words: `brief.boost` is "boost". */
export const pathInWords = (path: string): string =>
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
      return `Change ${pathInWords(command.path)}`;
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
    case 'insert-element':
      return `Put ${command.element.name} in behind ${command.afterId}`;
    case 'remove-element':
      return `Take ${command.elementId} out`;
    case 'move-element':
      return `Move ${command.elementId} ${command.direction === 'towards-tank' ? 'towards the tank' : 'towards the engine'}`;
    case 'lay-out-circuit':
      return command.label;
    case 'remove-circuit':
      return `Remove circuit ${command.circuitId}`;
    case 'accept-finding':
      return `Accept "${command.acceptance.title}": ${command.acceptance.reason}`;
    case 'withdraw-acceptance':
      return 'Withdraw an acceptance';
    case 'use-revision':
      return `Use revision ${command.revision} of ${command.itemId}`;
    case 'replace-document':
      return `Import ${command.document.name}`;
  }
}
