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
    const given = Object.entries(scope ?? {}).filter(([, value]) => value !== undefined);
    const of = Object.fromEntries(given) as FigureRef['of'];
    return { figure, of, key: keyOf(patterns[figure] ?? figure, of) };
  };
  return Object.assign(ref, { patterns });
}

function keyOf(pattern: string, of: FigureRef['of']): string {
  if (!pattern.includes('{')) return pattern;
  return pattern.replaceAll(/\{(\.?)(\w+)\}/g, (_, dot: string, scope: string) => {
    const value = of[scope];
    if (value !== undefined) return `${dot}${value}`;
    if (dot === '') throw new Error(`the figure "${pattern}" needs its ${scope}`);
    return '';
  });
}

/** Figures of which a build has one: the key is the name. */
export const single = <const Names extends string>(
  ...names: readonly Names[]
): { readonly [Name in Names]: Name } =>
  Object.fromEntries(names.map((name) => [name, name])) as { readonly [Name in Names]: Name };
