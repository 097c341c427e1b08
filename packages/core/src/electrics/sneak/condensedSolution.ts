import { CompiledCircuit } from '../solver/compiledCircuit.ts';
import type { ElectricElement } from '../solver/circuit.ts';
import type { Branch, Condensed } from './condensed.ts';

/** V of battery and found wires, and of an alternator that turns. */
const BATTERY = 12.6;
const CHARGING = 14;
/** Ω of a closed contact, of a battery, of an alternator: little beside any load. */
const CLOSED = 0.005;
const SOURCE = 0.01;

/** What feeds a condensed circuit, and what of it is open. */
export interface Setting {
  readonly open: (gate: Branch & { readonly kind: 'gate' }) => boolean;
  /** regions that found wires feed */
  readonly fed: ReadonlySet<string>;
  readonly battery: boolean;
  /** regions that alternators feed */
  readonly generated: readonly string[];
}

/** A condensed circuit, or a part of it, analysed once: volts of its regions in any setting. */
export class CondensedCircuit {
  private readonly compiled: CompiledCircuit;
  private readonly sources: readonly { readonly id: string; readonly region: string }[];

  constructor(
    private readonly whole: Condensed,
    private readonly branches: readonly Branch[] = whole.branches,
  ) {
    const { plus, minus, found, generated } = whole;
    const regions = [...new Set([plus, ...found.map(({ region }) => region), ...generated])];
    this.sources = regions
      .filter((region) => region !== minus)
      .map((region, i) => ({ id: `source ${String(i)}`, region }));
    this.compiled = new CompiledCircuit({
      ground: minus,
      elements: [
        ...this.sources.map(({ id, region }) => this.source(id, region, 0, Infinity)),
        ...this.branches.map((branch) => this.element(branch, false)),
      ],
    });
  }

  private source(id: string, to: string, voltage: number, resistance: number): ElectricElement {
    return { kind: 'source', id, from: this.whole.minus, to, voltage, resistance };
  }

  private element(branch: Branch, open: boolean): ElectricElement {
    const { id, from, to } = branch;
    const resistance =
      branch.kind === 'load' ? branch.load.voltage / branch.load.current : open ? Infinity : CLOSED;
    return { kind: 'resistor', id, from, to, resistance };
  }

  /** Volts of the regions against the battery’s negative; undefined where nothing was found. */
  volts(setting: Setting): ((region: string) => number) | undefined {
    const generated = new Set(setting.generated);
    const changed = new Map<string, ElectricElement>();
    for (const { id, region } of this.sources) {
      const fed = setting.fed.has(region) || (setting.battery && region === this.whole.plus);
      const voltage = generated.has(region) ? CHARGING : fed ? BATTERY : 0;
      const live = generated.has(region) || fed;
      changed.set(id, this.source(id, region, voltage, live ? SOURCE : Infinity));
    }
    for (const branch of this.branches) {
      if (branch.kind === 'gate')
        changed.set(branch.id, this.element(branch, setting.open(branch)));
    }
    const solution = this.compiled.solve(changed);
    if (solution.state === 'failed') return undefined;
    return (region) => solution.voltages.get(region) ?? 0;
  }
}
