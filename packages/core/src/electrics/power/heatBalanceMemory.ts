import { presentMemory } from '../../numerics/index.ts';
import { type HeatedWire, conductorTemperature, permissibleCurrent } from './heatBalance.ts';

/** Answers that are kept; a loom has many wires that are alike. */
const MOST = 20_000;

type Known = Map<number, Known | number>;

/** What is kept under a number, begun where there is nothing yet. */
function under(known: Known, value: number): Known {
  const present = known.get(value);
  if (present instanceof Map) return present;
  const begun: Known = new Map();
  known.set(value, begun);
  return begun;
}

/** A function of a heated wire and one number that answers the same question once. */
function remembering(of: (wire: HeatedWire, value: number) => number) {
  const begin = () => ({ known: new Map() as Known, count: 0 });
  return (wire: HeatedWire, value: number): number => {
    const memory = presentMemory().of(begin);
    const { known } = memory;
    const ofSize = under(under(known, wire.outsideDiameter), wire.resistancePerMetre);
    const answers = under(under(ofSize, wire.ambient), wire.loadedTogether);
    const last = answers.get(value);
    if (typeof last === 'number') return last;
    const answer = of(wire, value);
    if (memory.count >= MOST) {
      known.clear();
      memory.count = 0;
      return answer;
    }
    answers.set(value, answer);
    memory.count += 1;
    return answer;
  };
}

/** Conductor temperature K at a current A, as the heat balance gives it. */
export const temperatureOf = remembering(conductorTemperature);
/** Permissible current A at a limit temperature K, as the heat balance gives it. */
export const permissibleOf = remembering(permissibleCurrent);
