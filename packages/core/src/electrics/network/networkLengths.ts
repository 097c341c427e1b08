import type { Placement } from '../../model/index.ts';
import { memoByValue } from '../../numerics/index.ts';
import type { Sourced } from '../../results/index.ts';
import { type BestLength, bestLength, placeFinder } from '../../vehicle/index.ts';
import { electricsFigure } from '../figureNames.ts';
import type { DerivedWire } from '../netlist/derivedWire.ts';

/** How long a wire between two places is, as far as it is known. */
const lengthOf = memoByValue(
  (
    wire: DerivedWire,
    from: Placement,
    to: Placement,
    onMap: Sourced<number> | undefined,
  ): BestLength => {
    const of = { wire: wire.id };
    return bestLength({
      figures: {
        length: electricsFigure('wire.length', of),
        mapLength: electricsFigure('wire.mapLength', of),
      },
      label: wire.name,
      length: wire.decision?.length ?? { typed: null, measured: null },
      from,
      to,
      path: ['power', 'wireDecisions', wire.id, 'length'],
      onMap,
    });
  },
);

/** The lengths of the wires of a network, m. */
export class NetworkLengths {
  private readonly placeOf: (id: string) => Placement;
  private readonly known = new Map<DerivedWire, BestLength>();

  constructor(
    placements: readonly Placement[],
    /** lengths of wires that are led through the harness, by wire */
    private readonly led: Readonly<Record<string, Sourced<number>>>,
  ) {
    this.placeOf = placeFinder(placements);
  }

  /** The best known length of a wire with its figures; throws NotFound for a place that is not there. */
  of(wire: DerivedWire): BestLength {
    const known = this.known.get(wire);
    if (known) return known;
    const from = this.placeOf(wire.from.placementId);
    const length = lengthOf(wire, from, this.placeOf(wire.to.placementId), this.led[wire.id]);
    this.known.set(wire, length);
    return length;
  }
}
