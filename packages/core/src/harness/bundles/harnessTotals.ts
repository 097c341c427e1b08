import type { PlugPartItem, WireItem } from '../../catalogue/index.ts';
import type { SizedWire } from '../../electrics/index.ts';
import type { Harness } from '../../model/index.ts';
import {
  type Result,
  byDefault,
  derive,
  entered,
  fromItem,
  together,
} from '../../results/index.ts';
import type { PlugPart } from '../connectors/plugParts.ts';
import { harnessFigure } from '../figureNames.ts';
import type { LedHarness } from '../lengths/ledHarness.ts';
import type { MadeBundle } from './bundle.ts';
import { coveringSeconds } from './covering.ts';
import * as f from './formulas.ts';

type Sized = ReadonlyMap<string, SizedWire>;
type Wires = readonly { readonly wireId: string }[];

const endsOf = (wires: Wires, sized: Sized) =>
  wires.flatMap(({ wireId }) => {
    const wire = sized.get(wireId)?.wire;
    return wire ? [wire.from, wire.to] : [];
  });

const contactsOf = (wires: Wires, sized: Sized, words: string) =>
  byDefault(endsOf(wires, sized).filter(({ joint }) => joint !== 'splice').length, words);

const splicesOf = (wires: Wires, sized: Sized) =>
  byDefault(
    new Set(
      endsOf(wires, sized)
        .filter(({ joint }) => joint === 'splice')
        .map(({ node }) => node),
    ).size + wires.filter(({ wireId }) => sized.get(wireId)?.wire.isSpliced).length,
    'splices that wires led end at, and that pieces are put in with',
  );

/** How many of each part wires end in, and what one of it has. */
function endsByItem(parts: readonly PlugPart[]) {
  const counts = new Map<PlugPartItem, number>();
  for (const { item, quantity, inHarness } of parts) {
    if (inHarness) counts.set(item, (counts.get(item) ?? 0) + quantity);
  }
  const items = [...counts.keys()];
  return {
    ends: byDefault([...counts.values()], 'parts that wires of the harness end in'),
    each: (key: 'mass' | 'price') => together(items.map((item) => fromItem(item[key], item))),
  };
}

/** What the whole harness comes to; nothing where no wire is led. */
export function harnessTotals(
  { led, harness }: { readonly led: LedHarness; readonly harness: Harness },
  made: readonly MadeBundle[],
  sized: ReadonlyMap<string, SizedWire>,
  plugs: readonly PlugPart[],
): Result[] {
  const wires = led.wires.flatMap((wire) => {
    const known = sized.get(wire.wireId);
    return known ? [{ ...wire, size: known.size }] : [];
  });
  if (wires.length === 0) return [];
  const lengths = together(wires.map(({ length }) => length));
  const splices = splicesOf(wires, sized);
  // What comes with a loom is neither bought by the metre nor cut and crimped.
  const own = wires.filter(({ leg }) => leg === undefined);
  const inLooms = wires.filter(({ leg }) => leg !== undefined);
  const { ends, each } = endsByItem(plugs);
  const ownContacts = contactsOf(own, sized, 'ends of the wires made that are no splice');
  const ownLengths = together(own.map(({ length }) => length));
  const legs = led.legs.filter(({ way }) => way !== undefined);
  const covered = made.flatMap(({ bundle, length }) =>
    [bundle.coverItem, bundle.heatSleeve].flatMap((item) => (item ? [{ item, length }] : [])),
  );
  const per = (key: 'mass' | 'price', of: typeof wires) => ({
    perMetre: together(of.map(({ size }: { size: WireItem }) => fromItem(size[key], size))),
    coverPerMetre: together(covered.map(({ item }) => fromItem(item[key], item))),
  });
  const coveredLengths = together(covered.map(({ length }) => length));
  return [
    derive({
      figure: harnessFigure('harness.copperLength'),
      label: 'Wire in the harness',
      formula: f.totalLength,
      inputs: { wires: lengths },
    }),
    derive({
      figure: harnessFigure('harness.lowerBoundRatio'),
      label: 'Way of the wires over the lower bound',
      formula: f.lowerBoundRatio,
      inputs: {
        ways: byDefault(
          wires.map(({ wayLength }) => wayLength),
          'along the segments',
        ),
        straight: byDefault(
          wires.map(({ straight }) => straight),
          'straight from end to end',
        ),
      },
    }),
    derive({
      figure: harnessFigure('harness.weight'),
      label: 'Mass of the harness',
      formula: f.harnessMass,
      inputs: {
        wires: lengths,
        covered: coveredLengths,
        ...per('mass', wires),
        ends,
        eachEnd: each('mass'),
        ofLooms: contactsOf(inLooms, sized, 'ends of wires in bought looms that are no splice'),
      },
    }),
    derive({
      figure: harnessFigure('harness.cost'),
      label: 'Price of the harness',
      formula: f.harnessCost,
      inputs: {
        wires: ownLengths,
        covered: coveredLengths,
        ...per('price', own),
        ends,
        eachEnd: each('price'),
        looms: together(
          harness.bought.flatMap(({ id, price }) =>
            price ? [entered(price, ['harness', 'bought', id, 'price'])] : [],
          ),
        ),
      },
    }),
    derive({
      figure: harnessFigure('harness.hours'),
      label: 'Hours to build the harness',
      formula: f.harnessHours,
      inputs: {
        wires: byDefault(own.length, 'wires led that are made'),
        contacts: ownContacts,
        splices,
        covered: together(made.map(({ length }) => length)),
        perMetre: byDefault(
          made.map(({ bundle }) => coveringSeconds[bundle.cover]),
          'to cover a metre of each',
        ),
        legs: byDefault(legs.length, 'legs of looms that are laid'),
        changed: byDefault(
          legs.filter(({ length, bought }) => Math.abs(length.value - bought) > 1e-6).length,
          'legs that are made longer or shorter',
        ),
      },
    }),
  ];
}
