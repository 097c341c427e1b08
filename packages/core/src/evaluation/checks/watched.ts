import type { FigureRef, ResultIndex } from '../../results/index.ts';

/** A part of what a rule looked at: where it stands, and what stood there. */
export interface Look {
  readonly key: string;
  readonly at: (context: object) => unknown;
  readonly value: unknown;
}

/** Parts of a context that are looked at part by part; any other is looked at as a whole. */
const PARTED: ReadonlySet<string> = new Set([
  'document',
  'electrics',
  'wired',
  'harness',
  'decidedHarness',
  'led',
  'map',
  'vehicle',
  'supply',
  'switching',
  'sneaks',
]);

type Parts = Readonly<Record<string | symbol, unknown>>;
type Note = (key: string, at: Look['at'], value: unknown) => void;

const partOf = (whole: unknown, key: string | symbol): unknown =>
  typeof whole === 'object' && whole !== null ? (whole as Parts)[key] : undefined;

interface WithFigures {
  readonly results: ResultIndex;
}

/** The figures of a build; each that is asked for is a look of its own. */
function watchedFigures(figures: ResultIndex, note: Note): ResultIndex {
  const looked = (ref: FigureRef): void =>
    note(
      `results ${ref.key}`,
      (context) => (context as WithFigures).results.find(ref),
      figures.find(ref),
    );
  return {
    get all() {
      note('results', (context) => (context as WithFigures).results.all, figures.all);
      return figures.all;
    },
    find: (ref) => {
      looked(ref);
      return figures.find(ref);
    },
    at: (ref) => {
      looked(ref);
      return figures.at(ref);
    },
  };
}

function watchedParts(whole: object, name: string, note: Note): object {
  return new Proxy(whole, {
    get(parts, key) {
      const value = partOf(parts, key);
      note(`${name} ${String(key)}`, (context) => partOf(partOf(context, name), key), value);
      return value;
    },
  });
}

/** A context as it is given to a rule, and what of it the rule has looked at so far. */
export function watched<Context extends object>(
  context: Context,
): { readonly context: Context; readonly looks: readonly Look[] } {
  const looks = new Map<string, Look>();
  const views = new Map<string, unknown>();
  const note: Note = (key, at, value) => {
    if (!looks.has(key)) looks.set(key, { key, at, value });
  };
  const viewOf = (name: string, whole: object): unknown => {
    const made =
      views.get(name) ??
      (name === 'results'
        ? watchedFigures(whole as ResultIndex, note)
        : watchedParts(whole, name, note));
    views.set(name, made);
    return made;
  };
  const view = new Proxy(context, {
    get(parts, key) {
      const value = partOf(parts, key);
      const name = String(key);
      if (typeof value === 'object' && value && (name === 'results' || PARTED.has(name))) {
        return viewOf(name, value);
      }
      note(name, (later) => partOf(later, key), value);
      return value;
    },
  });
  return {
    context: view,
    get looks() {
      return [...looks.values()];
    },
  };
}
