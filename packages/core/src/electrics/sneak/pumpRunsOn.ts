import { LEFT } from '../switching/vehicleState.ts';
import type { Branch, Condensed, Gate } from './condensed.ts';
import { oncePerPart } from './oncePerPart.ts';
import type { LeftAlone, Settled } from './settled.ts';
import { meeting, reach } from './ways.ts';

/** A part that leaves a pump running with the key off and the engine standing, if it sticks. */
export interface RunsOn {
  readonly partId: string;
  readonly name: string;
  readonly kind: 'contact sticks' | 'output stays on';
  /** the output; empty for a relay */
  readonly pin: string;
  readonly pumps: readonly { readonly partId: string; readonly name: string }[];
}

/** The pumps that are alive. */
export const pumpsIn = (settled: Settled | undefined): RunsOn['pumps'] =>
  oncePerPart((settled?.alive ?? []).filter(({ part }) => part.sort === 'pump')).map(
    ({ part: { id, name } }) => ({ partId: id, name }),
  );

const isGate = (branch: Branch): branch is Gate => branch.kind === 'gate';

/**
 * The contacts and outputs that can have a say in whether a pump is fed: those on a way of contacts to
 * it, those on the ways to the coils of its relays, and so on.
 */
function withASay({ branches, plus, minus }: Condensed): ReadonlySet<Gate> {
  const at = meeting(branches);
  const walls = new Set([plus, minus]);
  const found = new Set<Gate>();
  const seen = new Set<string>();
  const open = branches.flatMap(({ kind, part, from, to }) =>
    kind === 'load' && part.sort === 'pump' ? [from, to] : [],
  );
  for (let start = open.pop(); start !== undefined; start = open.pop()) {
    if (seen.has(start) || walls.has(start)) continue;
    for (const region of reach(at, [start], isGate, walls).keys()) {
      seen.add(region);
      for (const { branch } of at.get(region) ?? []) {
        if (!isGate(branch) || found.has(branch)) continue;
        found.add(branch);
        const coil = branches.find(
          ({ kind, part }) => kind === 'load' && part.id === branch.part.id,
        );
        if (branch.part.sort === 'relay' && coil) open.push(coil.from, coil.to);
      }
    }
  }
  return found;
}

/** Every contact and output that leaves a pump running, key off and engine standing, if it stays closed. */
export function pumpRunsOn(input: {
  readonly whole: Condensed;
  readonly left: LeftAlone;
  /** what is alive and closed then if nothing sticks */
  readonly standing: Settled | undefined;
  readonly fed: ReadonlySet<string>;
}): readonly RunsOn[] {
  const { whole, left, standing, fed } = input;
  const say = withASay(whole);
  const open = whole.branches.filter(
    (branch): branch is Gate =>
      isGate(branch) &&
      say.has(branch) &&
      branch.part.sort !== 'switch' &&
      !standing?.closed.has(branch),
  );
  return open.flatMap((stuck): RunsOn[] => {
    const pumps = pumpsIn(left.settle({ state: LEFT, fed, isolatorOpen: false, stuck }));
    const { id: partId, name, sort } = stuck.part;
    if (pumps.length === 0) return [];
    return [
      {
        partId,
        name,
        kind: sort === 'relay' ? 'contact sticks' : 'output stays on',
        pin: stuck.contact.output ?? '',
        pumps,
      },
    ];
  });
}
