import type { Condensed } from './condensed.ts';
import { meeting, reach } from './ways.ts';

/**
 * The relays of a starter whose coil is reached from what feeds it, and from its way back, over the
 * key alone: past no switch of clutch or gearbox, and no output of a controller.
 */
export function startsInGear(whole: Condensed, fed: ReadonlySet<string>): readonly string[] {
  const at = meeting(whole.branches);
  const byKey = (back: boolean) =>
    reach(
      at,
      back ? [whole.minus] : [whole.plus, ...fed],
      (branch) => branch.kind === 'gate' && branch.part.role === 'key switch',
      new Set(back ? [whole.plus] : [whole.minus]),
    );
  const [feeds, returns] = [byKey(false), byKey(true)];
  const starters = new Set(
    whole.branches.flatMap((branch) =>
      branch.kind === 'load' && branch.load.when === 'cranking' ? [branch.from] : [],
    ),
  );
  return whole.branches.flatMap((gate) => {
    if (gate.kind !== 'gate' || gate.part.sort !== 'relay' || !starters.has(gate.to)) return [];
    const coil = whole.branches.find(
      ({ kind, part }) => kind === 'load' && part.id === gate.part.id,
    );
    return coil && feeds.has(coil.from) && returns.has(coil.to) ? [gate.part.id] : [];
  });
}
