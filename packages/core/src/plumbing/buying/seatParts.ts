import type { Catalogue, CatalogueItem } from '../../catalogue/index.ts';
import type { SeatWork } from '../../electrics/index.ts';
import { smallPartFor } from './partsOfLine.ts';

/** A part that a sensor's seat takes; the item undefined where the catalogue has none. */
export interface SeatPart {
  readonly item: CatalogueItem | undefined;
  readonly words: string;
  readonly name: string;
  readonly path: readonly string[];
}

/** Bosses and sealing washers of the sensors that are screwed in anew. */
export const seatParts = (works: readonly SeatWork[], catalogue: Catalogue): SeatPart[] =>
  works.flatMap(({ device, seat, seal }) => {
    const forms = [
      ...(device.seat === 'boss' ? (['boss'] as const) : []),
      ...(seal === 'sealing washer' ? (['sealing washer'] as const) : []),
    ];
    return forms.map((form): SeatPart => ({
      item: smallPartFor(catalogue, form, seat.diameter),
      words: `${form} for ${seat.thread}`,
      name: device.name,
      path: ['devices', device.id],
    }));
  });
