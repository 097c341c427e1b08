import type { Build } from '../../model/index.ts';
import { type Result, derive, following } from '../../results/index.ts';
import { electricsFigure } from '../figureNames.ts';
import type { Netlist } from '../netlist/netlist.ts';
import type { SwitchTable } from '../switching/switchTable.ts';
import * as f from './formulas.ts';
import { type LeftAlive, leftAlive } from './leftAlive.ts';
import { type IsFed, type SneakProof, sneakPaths } from './sneakPaths.ts';

/** What is alive that should not be: proved over all states, with the key off, with one contact stuck. */
export interface Sneaks {
  readonly proof: SneakProof;
  readonly left: LeftAlive;
  readonly results: readonly Result[];
}

/** V from which a wire found counts as live. */
const LIVE = 5;

/** Which wires found are live in a position, as measured; unmeasured ones and the keyed feed as their kind is. */
export function fedBy(signals: Build['vehicleSignals']): IsFed {
  const known = new Map(signals.map((signal) => [signal.id, signal]));
  return (signalId, position) => {
    const signal = known.get(signalId ?? '');
    const measured = signal?.[position];
    if (measured) return measured.value > LIVE;
    return position === 'run' || position === 'crank' || signal?.use === 'constant feed';
  };
}

/** Everything that is alive of a vehicle where it should be dead. */
export function sneakStage(input: {
  readonly netlist: Netlist;
  readonly switching: SwitchTable;
  readonly vehicleSignals: Build['vehicleSignals'];
}): Sneaks {
  const { netlist, switching, vehicleSignals } = input;
  const isFed = fedBy(vehicleSignals);
  const proof = sneakPaths({ netlist, isFed });
  const left = leftAlive({ netlist, table: switching, isFed });
  const note = (
    figure: 'sneakPaths.count' | 'sneakPaths.states' | 'failures.pumpRunsOn',
    label: string,
    formula: (typeof f.sneakFormulas)[number],
    found: number,
  ): Result =>
    derive({
      figure: electricsFigure(figure),
      label,
      formula,
      inputs: { found: following(found, ['devices']) },
    });
  return {
    proof,
    left,
    results: [
      note('sneakPaths.count', 'Sneak paths', f.sneakCount, proof.paths.length),
      note('sneakPaths.states', 'Situations looked at', f.sneakSituations, proof.situations),
      note(
        'failures.pumpRunsOn',
        'Failures that leave a pump running',
        f.runningOn,
        left.pumpRunsOn.length,
      ),
    ],
  };
}
