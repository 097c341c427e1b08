import type { SwitchLine } from '@brookrain/core';

/** What commands a switch, in words: sink or source, at which pin. */
export function commandInWords(command: SwitchLine['command']): string {
  switch (command.by) {
    case 'output': {
      const { side, pin, controllerName } = command.output;
      return `${controllerName} ${pin}, ${side === 'low-side' ? 'sinks' : 'sources'}`;
    }
    case 'unassigned':
      return 'a controller: no pin yet';
    case 'wiring':
      return command.from.length > 0 ? command.from.join(', ') : 'its wiring';
  }
}
