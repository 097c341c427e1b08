/** A figure by its name and by what it is a figure of; `key` is its documented dotted name. */
export interface FigureRef {
  readonly figure: string;
  readonly of: Readonly<Record<string, string | number>>;
  readonly key: string;
}

type Scopes<Pattern extends string> = Pattern extends `${string}{${infer Scope}}${infer Rest}`
  ? Scope | Scopes<Rest>
  : never;

/**
 * What a figure must, and may, be a figure of: `{case}` in a pattern must be given, `{.circuit}`
 * is left out of the key with its dot where it is not.
 */
export type ScopeOf<Pattern extends string> = {
  readonly [S in Scopes<Pattern> as S extends `.${string}` ? never : S]: string | number;
} & {
  readonly [S in Scopes<Pattern> as S extends `.${infer Name}` ? Name : never]?: string | undefined;
};

type ScopeArguments<Scope> = Record<never, never> extends Scope ? [of?: Scope] : [of: Scope];

/** Names the figures of one domain; every key of them is made here and nowhere else. */
export function figureNames<const Patterns extends Readonly<Record<string, string>>>(
  patterns: Patterns,
) {
  const ref = <Figure extends keyof Patterns & string>(
    figure: Figure,
    ...[scope]: ScopeArguments<ScopeOf<Patterns[Figure]>>
  ): FigureRef => {
    const of: Record<string, string | number> = {};
    for (const [name, value] of Object.entries(scope ?? {})) {
      if (value !== undefined) of[name] = value as string | number;
    }
    return { figure, of, key: keyOf(patterns[figure] ?? figure, of) };
  };
  return Object.assign(ref, { patterns });
}

/** A piece of a pattern: plain text, or what the figure is a figure of. */
interface Piece {
  readonly text: string;
  readonly scope: string;
  readonly dot: string;
}
const pieces = new Map<string, readonly Piece[]>();

/** A pattern taken apart, once. */
function piecesOf(pattern: string): readonly Piece[] {
  const known = pieces.get(pattern);
  if (known) return known;
  const made: Piece[] = [];
  let at = 0;
  for (const found of pattern.matchAll(/\{(\.?)(\w+)\}/g)) {
    const [whole, dot = '', scope = ''] = found;
    made.push({ text: pattern.slice(at, found.index), scope, dot });
    at = found.index + whole.length;
  }
  made.push({ text: pattern.slice(at), scope: '', dot: '' });
  pieces.set(pattern, made);
  return made;
}

function keyOf(pattern: string, of: FigureRef['of']): string {
  let key = '';
  for (const { text, scope, dot } of piecesOf(pattern)) {
    key += text;
    if (scope === '') continue;
    const value = of[scope];
    if (value !== undefined) key += `${dot}${value}`;
    else if (dot === '') throw new Error(`the figure "${pattern}" needs its ${scope}`);
  }
  return key;
}

/** Figures of which a build has one: the key is the name. */
export const single = <const Names extends string>(
  ...names: readonly Names[]
): { readonly [Name in Names]: Name } =>
  Object.fromEntries(names.map((name) => [name, name])) as { readonly [Name in Names]: Name };
