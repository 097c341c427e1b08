import {
  type ConditionWords,
  type SwitchTable,
  electricCaseWords,
  electricCases,
  switchLines,
  waysInWords,
} from '../electrics/index.ts';
import type { Evaluation } from '../evaluation/index.ts';

/** One switch as a module is set by: current A, times s. */
export type SwitchingLine = Readonly<Record<string, string | number>>;

/** Names of everything a condition may tell of. */
export function conditionWords(netlist: Evaluation['electrics']['netlist']): ConditionWords {
  const names = new Map(netlist.parts.map(({ id, name }) => [id, name]));
  return {
    nameOf: (id) => names.get(id) ?? id,
    quantityText: ({ value }, kind) =>
      kind === 'temperature'
        ? `${String(Number((value - 273.15).toFixed(1)))} °C`
        : `${String(Number((value / 1e3).toFixed(1)))} kPa`,
  };
}

/** When everything that is switched is on, a line for each relay and output. */
export function switchingList(
  table: SwitchTable,
  netlist: Evaluation['electrics']['netlist'],
): SwitchingLine[] {
  const words = conditionWords(netlist);
  return switchLines(table).map((line) => {
    const { command } = line;
    const output = command.by === 'output' ? command.output : undefined;
    return {
      controller: output?.controllerName ?? '',
      output: output?.pin ?? '',
      side: output ? (output.side === 'low-side' ? 'sinks' : 'sources') : '',
      relay: line.kind === 'relay' ? line.name : '',
      loads: line.loads.join('; '),
      'current A': Number(line.current.toFixed(2)),
      'on when':
        command.by === 'wiring'
          ? `wired to ${command.from.join(', ')}`
          : waysInWords(line.ways, words),
      'prime s': line.prime,
      'after-run s': line.afterRun,
      ...Object.fromEntries(
        electricCases.map((inCase) => [
          electricCaseWords[inCase],
          line.on ? (line.on[inCase] ? 'on' : 'off') : '',
        ]),
      ),
      settled: line.source,
    };
  });
}
