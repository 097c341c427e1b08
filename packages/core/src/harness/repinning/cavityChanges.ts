import type { RepinnedPlug } from '../../model/index.ts';

/** What becomes of a cavity of a plug that is kept. */
export type CavityChangeKind = 'empty' | 'stays' | 'added' | 'removed' | 'replaced';

/** A cavity of a kept plug: before, after, and what is done. */
export interface CavityChange {
  readonly id: string;
  readonly cavity: string;
  readonly before: string;
  readonly after: string;
  readonly kind: CavityChangeKind;
  /** the cavity from which its new wire comes, and to which its old one goes */
  readonly from: string | undefined;
  readonly to: string | undefined;
  /** it can be put back as it was: no wire is cut */
  readonly reversible: boolean;
}

/** Wires are one where their words are, whatever their case. */
const wireOf = (words: string): string => words.trim().toLowerCase();

function kindOf(before: string, after: string): CavityChangeKind {
  if (before === after) return before === '' ? 'empty' : 'stays';
  if (before === '') return 'added';
  return after === '' ? 'removed' : 'replaced';
}

/** What is done in every cavity of a plug that is kept, in their order. */
export function cavityChanges({
  cavities,
}: Pick<RepinnedPlug, 'cavities'>): readonly CavityChange[] {
  const was = new Map<string, string>();
  const becomes = new Map<string, string>();
  for (const { cavity, before, after } of cavities) {
    if (wireOf(before) !== '') was.set(wireOf(before), cavity);
    if (wireOf(after) !== '') becomes.set(wireOf(after), cavity);
  }
  return cavities.map(({ id, cavity, before, after, cut }): CavityChange => {
    const [old, fresh] = [wireOf(before), wireOf(after)];
    const kind = kindOf(old, fresh);
    const changes = kind === 'replaced' || kind === 'added' || kind === 'removed';
    const from = changes ? was.get(fresh) : undefined;
    const to = changes ? becomes.get(old) : undefined;
    return {
      id,
      cavity,
      before: before.trim(),
      after: after.trim(),
      kind,
      from: from === cavity ? undefined : from,
      to: to === cavity ? undefined : to,
      reversible: !(cut && old !== ''),
    };
  });
}

/** What is done in a cavity, in a sentence. */
export function changeInWords({ kind, from, to }: CavityChange): string {
  switch (kind) {
    case 'empty':
      return 'stays empty';
    case 'stays':
      return 'stays';
    case 'added':
      return from === undefined ? 'new wire' : `from cavity ${from}`;
    case 'removed':
      return to === undefined ? 'removed' : `moved to cavity ${to}`;
    case 'replaced': {
      const out = to === undefined ? 'removed' : `moved to ${to}`;
      return `${out}; ${from === undefined ? 'new wire' : `from cavity ${from}`}`;
    }
  }
}
