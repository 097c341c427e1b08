import type { Evaluation } from '../evaluation/index.ts';
import { terminalText } from '../electrics/index.ts';
import { colourText, cutTo } from '../harness/index.ts';

/** One wire as it is cut: length m, area mm², drop V. */
export interface WireLine {
  readonly wire: string;
  readonly name: string;
  readonly from: string;
  readonly to: string;
  readonly role: string;
  readonly size: string;
  readonly area: number;
  readonly length: number;
  readonly lengthIsFrom: 'by hand' | 'harness' | 'map';
  readonly colour: string;
  readonly current: number;
  readonly drop: number;
  readonly protectedBy: string;
}

const rounded = (value: number, decimals: number): number => Number(value.toFixed(decimals));

/** Every wire of the vehicle with its size. */
export function wireList(evaluation: Evaluation): WireLine[] {
  const led = new Set(evaluation.led.wires.map(({ wireId }) => wireId));
  const colours = new Map(evaluation.harness.colours.map((each) => [each.wireId, each]));
  return evaluation.electrics.wires.map((sized) => {
    const coloured = colours.get(sized.wire.id);
    const known = sized.wire.decision?.length;
    return {
      wire: sized.wire.id,
      name: sized.wire.name,
      from: terminalText(sized.wire.from.terminal),
      to: terminalText(sized.wire.to.terminal),
      role: sized.wire.role,
      size: sized.size.size,
      area: rounded(sized.size.area * 1e6, 3),
      length: cutTo(sized.task.length),
      lengthIsFrom:
        known?.typed || known?.measured
          ? ('by hand' as const)
          : led.has(sized.wire.id)
            ? ('harness' as const)
            : ('map' as const),
      colour: coloured ? colourText(coloured) : '',
      current: rounded(sized.task.load, 2),
      drop: rounded(sized.drop, 4),
      protectedBy: sized.task.protection?.designation ?? '',
    };
  });
}
