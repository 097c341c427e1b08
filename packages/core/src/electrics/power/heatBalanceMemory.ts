import { type HeatedWire, conductorTemperature, permissibleCurrent } from './heatBalance.ts';

/** Answers that are kept; a loom has many wires that are alike. */
const MOST = 20_000;

/** A function of a heated wire and one number that answers the same question once. */
function remembering(of: (wire: HeatedWire, value: number) => number) {
  const known = new Map<string, number>();
  return (wire: HeatedWire, value: number): number => {
    const key = `${wire.outsideDiameter} ${wire.resistancePerMetre} ${wire.ambient} ${wire.loadedTogether} ${value}`;
    const last = known.get(key);
    if (last !== undefined) return last;
    const answer = of(wire, value);
    if (known.size >= MOST) known.clear();
    known.set(key, answer);
    return answer;
  };
}

/** Conductor temperature K at a current A, as the heat balance gives it. */
export const temperatureOf = remembering(conductorTemperature);
/** Permissible current A at a limit temperature K, as the heat balance gives it. */
export const permissibleOf = remembering(permissibleCurrent);
