import type { Catalogue, PlugPartItem } from '../../catalogue/index.ts';
import type { SizedWire, WireEnd } from '../../electrics/index.ts';
import { HOLDER_FAMILY, type HarnessConnector, PlugShelf } from '../../harness/index.ts';

/** What is done at an end of a wire. */
export interface WireEndWork {
  readonly node: string;
  /** the part and its pin */
  readonly name: string;
  readonly pin: string;
  /** how it is joined there */
  readonly work: 'crimp a contact' | 'crimp a ring' | 'crimp a blade' | 'splice';
  /** contact, ring or sleeve; undefined: the catalogue has none that takes it */
  readonly part: string | undefined;
  readonly seal: string | undefined;
  /** what a crimp has to stand, N; 0: nothing is said */
  readonly pullOff: number;
}

/** What is at the node of an end: a part and its pin, and the sleeve where it is a splice. */
export interface AtEnd {
  readonly name: string;
  readonly pin: string;
  readonly sleeve: PlugPartItem | undefined;
}

/** Says what is done at the ends of wires: contacts by conductor, seals by insulation. */
export class WireEnds {
  private readonly shelf: PlugShelf;
  private readonly plugs: ReadonlyMap<string, HarnessConnector>;
  private readonly names: ReadonlyMap<string, AtEnd>;

  constructor(
    catalogue: Catalogue,
    connectors: readonly HarnessConnector[],
    names: ReadonlyMap<string, AtEnd>,
  ) {
    this.shelf = new PlugShelf(catalogue);
    this.plugs = new Map(
      connectors.flatMap((plug) => plug.cavities.map(({ node }) => [node, plug] as const)),
    );
    this.names = names;
  }

  at(end: WireEnd, { size }: Pick<SizedWire, 'size'>): WireEndWork {
    const known = this.names.get(end.node);
    const plug = this.plugs.get(end.node);
    const about = {
      node: end.node,
      name: plug?.name ?? known?.name ?? '',
      pin: known?.pin ?? '',
    };
    const done = (
      work: WireEndWork['work'],
      part: PlugPartItem | undefined,
      seal?: PlugPartItem,
    ): WireEndWork => ({
      ...about,
      work,
      part: part?.designation,
      seal: seal?.designation,
      pullOff: part?.pullOff ?? 0,
    });
    if (plug) {
      return done(
        'crimp a contact',
        this.shelf.forArea('contact', size.area, plug.family),
        this.shelf.round('seal', size.outsideDiameter, plug.family),
      );
    }
    if (end.joint === 'splice') return done('splice', known?.sleeve);
    if (end.joint === 'holder')
      return done('crimp a blade', this.shelf.forArea('contact', size.area, HOLDER_FAMILY));
    return done('crimp a ring', this.shelf.forArea('lug', size.area));
  }
}
