import {
  type Catalogue,
  type CatalogueItem,
  type SmallPartForm,
  newestOf,
  portTypes,
} from '../../catalogue/index.ts';
import { type MadeEnd, type MadeLine, jointState } from '../assemblies/madeLine.ts';

/** So many of a part, or so many metres of it; without an item the catalogue has none that fits. */
export interface LinePart {
  readonly item: CatalogueItem | undefined;
  readonly words: string;
  readonly count: number;
}

/** A worm clamp holds no more than this, Pa: under injection pressure it cuts the hose. */
const WORM_HOLDS = 100e3;

/** The small part of a form that goes around, or into, a diameter m; the cheapest of several. */
export const smallPartFor = (
  catalogue: Catalogue,
  form: SmallPartForm,
  diameter: number,
): CatalogueItem | undefined =>
  newestOf(catalogue, 'small-part')
    .filter(
      (each) =>
        each.form === form &&
        each.diameterMin <= diameter + 1e-9 &&
        each.diameterMax >= diameter - 1e-9,
    )
    .sort((a, b) => a.price - b.price)[0];

const part = (item: CatalogueItem | undefined, words: string, count: number): LinePart => ({
  item,
  words: item?.designation ?? words,
  count,
});

/** The clamp around a hose at an end that wants one. */
function clampAt(line: MadeLine, end: MadeEnd, catalogue: Catalogue): LinePart[] {
  const { hose, pressure } = line;
  if (!hose) return [];
  const wanted = jointState(end, hose) === 'straight-on' || end.item?.earClamp === 'asked';
  if (!wanted) return [];
  const form = pressure > WORM_HOLDS ? 'injection clamp' : 'worm clamp';
  return [
    part(
      smallPartFor(catalogue, form, hose.outsideDiameter),
      `${form} for a hose of ${Math.round(hose.outsideDiameter * 1e3)} mm`,
      1,
    ),
  ];
}

/** Whether a joint of a line is sealed on its thread: taper threads are, nothing else is. */
export const hasTaper = ({ ends }: MadeLine): boolean =>
  ends.some(({ item, adapters }) =>
    [item, ...adapters].some((each) =>
      [each?.firstPort, each?.secondPort].some(
        (port) => port !== undefined && port !== 'none' && portTypes.get(port)?.kind === 'taper',
      ),
    ),
  );

/** Everything that one line takes but its hose: ends, adapters, clamps along it, sleeve. */
export function partsOfLine(line: MadeLine, catalogue: Catalogue): readonly LinePart[] {
  const { ends, hose, clamps, sleeved } = line;
  const counts = new Map<string, LinePart>();
  const add = (each: LinePart): void => {
    const known = counts.get(each.words);
    counts.set(each.words, known ? { ...known, count: known.count + each.count } : each);
  };
  for (const end of ends) {
    for (const item of [...(end.item ? [end.item] : []), ...end.adapters]) {
      add(part(item, item.designation, 1));
    }
    clampAt(line, end, catalogue).forEach(add);
  }
  if (hose && clamps > 0) {
    add(
      part(
        smallPartFor(catalogue, 'P-clamp', hose.outsideDiameter),
        `P-clamp for ${Math.round(hose.outsideDiameter * 1e3)} mm`,
        clamps,
      ),
    );
  }
  if (hose && sleeved > 0) {
    add(
      part(
        smallPartFor(catalogue, 'heat sleeve', hose.outsideDiameter),
        'heat sleeve, by the metre',
        Math.ceil(sleeved - 1e-6),
      ),
    );
  }
  return [...counts.values()];
}
