import type { Catalogue } from '../catalogue/index.ts';
import { type MadeWire, type MakingSheet, makingSheet } from '../commissioning/index.ts';
import type { Evaluation } from '../evaluation/index.ts';
import { breakoutNode, placeNode, splicedPieces } from '../harness/index.ts';
import type { Build } from '../model/index.ts';

/** What the lists of a harness are made from. */
export interface ListsInput {
  readonly evaluation: Evaluation;
  readonly build: Pick<Build, 'harness' | 'placements'>;
  readonly catalogue: Catalogue;
}

/** A cavity of a plug. */
export interface PinLine {
  readonly plug: string;
  readonly family: string;
  readonly cavity: string;
  /** number of the wire; '' where the cavity gets a plug */
  readonly wire: number | '';
  readonly name: string;
  readonly size: string;
  readonly colour: string;
  readonly contact: string;
  readonly seal: string;
  readonly leadsTo: string;
}

/** A wire from one end to the other; m. */
export interface FromToLine {
  readonly wire: number;
  readonly name: string;
  readonly role: string;
  readonly size: string;
  readonly colour: string;
  readonly length: number;
  readonly from: string;
  readonly to: string;
  readonly via: string;
}

/** A bundle with its cover; m. */
export interface BundleLine {
  readonly segment: string;
  readonly from: string;
  readonly to: string;
  readonly length: number;
  readonly wires: number;
  readonly diameter: number;
  readonly cover: string;
  readonly heatSleeve: string;
  readonly numbers: string;
}

/** A splice with its wires; m from the beginning of its segment, mm² of all together. */
export interface JointLine {
  readonly joint: string;
  readonly segment: string;
  readonly at: number | '';
  readonly wires: string;
  readonly together: number;
  readonly sleeve: string;
}

/** What is printed on the sleeve at an end of a wire. */
export interface LabelLine {
  readonly wire: number;
  readonly end: 1 | 2;
  readonly size: string;
  readonly colour: string;
  readonly at: string;
  readonly leadsTo: string;
  /** the part at this end: its page is the one that opens */
  readonly partId: string;
}

const rounded = (value: number, decimals = 3): number => Number(value.toFixed(decimals));
const endText = ({ name, pin }: MadeWire['ends'][number]): string =>
  pin === '' ? name : `${name}, ${pin}`;

/** On a label the pin comes first: it is what must not be cut off. */
const labelText = ({ name, pin }: MadeWire['ends'][number]): string =>
  pin === '' ? name : `${pin} · ${name}`;

/** Every list of a harness from one reading of it, so that all say the same. */
export class HarnessLists {
  private readonly sheet: MakingSheet;
  private readonly byNumber: ReadonlyMap<number, MadeWire>;
  private readonly inOrder: readonly MadeWire[];

  constructor(private readonly input: ListsInput) {
    const { led, harness, electrics } = input.evaluation;
    this.sheet = makingSheet({ led, harness, electrics, catalogue: input.catalogue });
    this.byNumber = new Map(this.sheet.wires.map((wire) => [wire.number, wire]));
    this.inOrder = [...this.sheet.wires].sort((a, b) => a.number - b.number);
  }

  /** Every plug cavity by cavity. */
  pins(): PinLine[] {
    return this.sheet.plugs.flatMap(({ name: plug, family, cavities }) =>
      cavities.map(({ pin, node, wire: number }): PinLine => {
        const wire = number === undefined ? undefined : this.byNumber.get(number);
        const own = wire?.ends.find((end) => end.node === node);
        const other = wire?.ends.find((end) => end.node !== node);
        return {
          plug,
          family,
          cavity: pin,
          wire: number ?? '',
          name: wire?.name ?? '',
          size: wire?.size ?? '',
          colour: wire?.colour ?? '',
          contact: own?.part ?? '',
          seal: own?.seal ?? '',
          leadsTo: other ? endText(other) : '',
        };
      }),
    );
  }

  /** Every wire from end to end, by its number. */
  fromTo(): FromToLine[] {
    const { led, electrics } = this.input.evaluation;
    const ways = new Map(led.wires.map(({ wireId, parts }) => [wireId, parts]));
    const names = new Map(this.input.build.harness.segments.map(({ id, name }) => [id, name]));
    const roles = new Map(electrics.wires.map(({ wire }) => [wire.id, wire.role]));
    return this.inOrder.map(({ id, number, name, size, colour, length, ends }) => ({
      wire: number,
      name,
      role: roles.get(id) ?? '',
      size,
      colour,
      length,
      from: endText(ends[0]),
      to: endText(ends[1]),
      via: (ways.get(id) ?? []).map(({ segmentId }) => names.get(segmentId) ?? '').join(' > '),
    }));
  }

  /** Every bundle with its cover. */
  bundles(): BundleLine[] {
    const { led, harness } = this.input.evaluation;
    const { placements, harness: decided } = this.input.build;
    const names = new Map<string, string>([
      ...placements.map(({ id, name }) => [placeNode(id), name] as const),
      ...decided.breakouts.map(({ id, name }) => [breakoutNode(id), name] as const),
    ]);
    const numbers = new Map(this.sheet.wires.map(({ id, number }) => [id, number]));
    const segments = new Map(led.segments.map((segment) => [segment.id, segment]));
    return harness.bundles.map((bundle) => {
      const segment = segments.get(bundle.segmentId);
      return {
        segment: bundle.name,
        from: names.get(segment?.from ?? '') ?? '',
        to: names.get(segment?.to ?? '') ?? '',
        length: rounded(bundle.length),
        wires: bundle.wires.length,
        diameter: rounded(bundle.diameter, 4),
        cover: bundle.coverItem?.designation ?? '',
        heatSleeve: bundle.heatSleeve?.designation ?? '',
        numbers: bundle.wires
          .flatMap(({ wireId }) => numbers.get(wireId) ?? [])
          .sort((a, b) => a - b)
          .join(' '),
      };
    });
  }

  /** Every splice with the wires that meet in it, then every piece that is put into a wire. */
  joints(): JointLine[] {
    return [...this.splices(), ...this.piecesPutIn()];
  }

  private splices(): JointLine[] {
    const { electrics, led, harness } = this.input.evaluation;
    const sites = new Map(this.input.build.harness.splices.map((site) => [site.spliceId, site]));
    const segments = new Map(led.segments.map((segment) => [segment.id, segment]));
    const names = new Map(this.input.build.harness.segments.map(({ id, name }) => [id, name]));
    const sleeves = new Map(
      harness.ends.parts
        .filter(({ item }) => item.form === 'splice')
        .map(({ partId, item }) => [partId, item.designation]),
    );
    return electrics.netlist.parts.flatMap(({ id, sort, name, pins }): JointLine[] => {
      if (sort !== 'splice') return [];
      const nodes = new Set(pins.map(({ node }) => node));
      const wires = this.inOrder.filter(({ ends }) => ends.some(({ node }) => nodes.has(node)));
      const site = sites.get(id);
      const segment = site && segments.get(site.segmentId);
      return [
        {
          joint: name,
          segment: (segment && names.get(segment.id)) ?? '',
          at: segment && site ? rounded(site.share.value * segment.length.value) : '',
          wires: wires.map(({ number }) => number).join(' '),
          together: rounded(
            wires.reduce((all, { area }) => all + area * 1e6, 0),
            2,
          ),
          sleeve: sleeves.get(id) ?? '',
        },
      ];
    });
  }

  /** A wire that is not of one piece is joined to the piece that makes it longer. */
  private piecesPutIn(): JointLine[] {
    const { led, harness } = this.input.evaluation;
    const longer = new Set(splicedPieces(led).map(({ wireId }) => wireId));
    const sleeves = new Map(
      harness.ends.parts.flatMap(({ wireId, item }) =>
        wireId !== undefined && item.form === 'splice' ? [[wireId, item.designation]] : [],
      ),
    );
    return this.inOrder
      .filter(({ id }) => longer.has(id))
      .map(({ id, number, name, area }) => ({
        joint: `Piece put into ${name}`,
        segment: '',
        at: '',
        wires: String(number),
        together: rounded(2 * area * 1e6, 2),
        sleeve: sleeves.get(id) ?? '',
      }));
  }

  /** Two labels for every wire, by its number. */
  labels(): LabelLine[] {
    const { electrics } = this.input.evaluation;
    const owner = new Map(
      electrics.netlist.parts.flatMap(({ id, pins }) =>
        pins.map(({ node }) => [node, id] as const),
      ),
    );
    return this.inOrder.flatMap(({ number, size, colour, ends }) =>
      ([1, 2] as const).map((end): LabelLine => {
        const [own, other] = end === 1 ? ends : ([ends[1], ends[0]] as const);
        return {
          wire: number,
          end,
          size,
          colour,
          at: labelText(own),
          leadsTo: labelText(other),
          partId: owner.get(own.node) ?? '',
        };
      }),
    );
  }
}

/** The lists by their names in addresses. */
export const harnessListKinds = ['pins', 'from-to', 'bundles', 'joints', 'labels'] as const;
export type HarnessListKind = (typeof harnessListKinds)[number];

/** The rows of a list. */
export function harnessList(kind: HarnessListKind, input: ListsInput): readonly object[] {
  const lists = new HarnessLists(input);
  switch (kind) {
    case 'pins':
      return lists.pins();
    case 'from-to':
      return lists.fromTo();
    case 'bundles':
      return lists.bundles();
    case 'joints':
      return lists.joints();
    case 'labels':
      return lists.labels();
  }
}
