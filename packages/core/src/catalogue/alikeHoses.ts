import type { Catalogue } from './catalogue.ts';
import { newestOf } from './catalogue.ts';
import type { HoseItem } from './catalogueItem.ts';

/** What a hose is made for: fuel under pressure unless its data say otherwise. */
export const serviceOf = (hose: HoseItem) => hose.service ?? 'fuel';

/** Hoses made like one, for the same service and rated for no less, smallest bore first. */
export const alikeHoses = (catalogue: Catalogue, hose: HoseItem): HoseItem[] =>
  newestOf(catalogue, 'hose')
    .filter(
      (other) =>
        other.material === hose.material &&
        other.wall === hose.wall &&
        serviceOf(other) === serviceOf(hose) &&
        other.pressureRating >= hose.pressureRating &&
        other.ethanolLimit >= hose.ethanolLimit,
    )
    .sort((a, b) => a.bore - b.bore || a.price - b.price);
