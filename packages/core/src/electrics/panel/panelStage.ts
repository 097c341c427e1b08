import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import type { Panel } from '../../model/index.ts';
import { type Result, defineFormula, derive, following } from '../../results/index.ts';
import { electricsFigure } from '../figureNames.ts';
import type { StoredPower } from '../model.ts';
import type { ElectricDesign } from '../network/electricStage.ts';
import { sharedPartIds } from '../netlist/sharedPartIds.ts';
import type { SizedWire } from '../power/sizeWires.ts';
import type { WiringBuild } from '../network/wiringBuild.ts';
import { type PanelItem, type PanelLayout, panelLayout } from './panelLayout.ts';

/** A wire of a panel: between two things on it, or from it away. */
export interface PanelWire {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly size: string;
  readonly leaves: boolean;
}

/** The plate of relays and fuses at a place. */
export interface PanelDesign {
  /** what is decided about it; undefined: nothing yet */
  readonly panelId: string | undefined;
  readonly placementId: string;
  readonly layout: PanelLayout;
  readonly wires: readonly PanelWire[];
  /** relays and fuses on it by part, with one spare of each */
  readonly parts: readonly {
    readonly itemId: string;
    readonly designation: string;
    readonly count: number;
  }[];
  readonly results: readonly Result[];
}

/** The power stud: its base, and the hole of its M8 thread, m. */
const STUD = { width: 0.03, height: 0.03, hole: 0.0085, spacing: 0 } as const;
/** A row of contacts through which wires leave a panel: so many, and their plug’s flange, m. */
const PLUG = { ways: 12, width: 0.046, height: 0.024, hole: 0.0045, spacing: 0 } as const;
/** What is thicker is bolted on and not led through a plug, m². */
const THICKEST_IN_PLUG = 4.1e-6;

export const plateWidth = defineFormula({
  name: 'width of a panel',
  notation: 'as decided, or the one whose plate is nearest to 3 : 2',
  kind: 'length',
  inputKinds: { width: 'length' },
  source: 'holders in rows, 8 mm for fingers between them, 22 mm along the edge',
  compute: (i) => i.width,
});
export const plateHeight = defineFormula({
  name: 'height of a panel',
  notation: 'as decided, or Σ rows + 30 mm between them + edges',
  kind: 'length',
  inputKinds: { height: 'length' },
  source: 'tallest holder of each row, 30 mm for wires to bend, in steps of 10 mm',
  compute: (i) => i.height,
});
export const panelFormulas = [plateWidth, plateHeight];

/** The panel at the power stud, laid out; undefined where no relay and no fuse stands there. */
export function panelStage(input: {
  readonly electrics: Pick<ElectricDesign, 'netlist' | 'fuses'> & {
    readonly wires: readonly Pick<SizedWire, 'wire' | 'size'>[];
  };
  readonly devices: WiringBuild['devices'];
  readonly panels: readonly Panel[];
  readonly power: Pick<StoredPower, 'studPlacementId'>;
  readonly catalogue: Catalogue;
}): PanelDesign | undefined {
  const { electrics, devices, panels, power, catalogue } = input;
  const placementId = power.studPlacementId;
  const chosen = new Map(electrics.fuses.map(({ partId, judged }) => [partId, judged.fuse]));
  const counts = new Map<string, { itemId: string; designation: string; count: number }>();
  const take = ({ id, designation }: { id: string; designation: string }): void => {
    const present = counts.get(id);
    counts.set(id, { itemId: id, designation, count: (present?.count ?? 0) + 1 });
  };
  const held = devices.flatMap((device): PanelItem[] => {
    if (device.placementId !== placementId || device.state === 'removed') return [];
    const { part, id, name } = device;
    if (part.kind !== 'relay' && part.kind !== 'fuse') return [];
    const item =
      part.kind === 'relay'
        ? lookUp(catalogue, 'relay', part.item, `devices.${id}`)
        : chosen.get(id);
    if (!item) return [];
    take(item);
    return [
      {
        id,
        name,
        sort: part.kind,
        width: item.holderWidth,
        height: item.holderHeight,
        hole: item.holderHole,
        spacing: item.holderSpacing,
      },
    ];
  });
  if (held.length === 0) return undefined;
  const stud = electrics.netlist.parts.find(({ id }) => id === sharedPartIds.stud);
  const onPanel = new Set([...held.map(({ id }) => id), ...(stud ? [stud.id] : [])]);
  const owner = new Map(
    electrics.netlist.parts.flatMap((part) => part.pins.map(({ node }) => [node, part] as const)),
  );
  const wires = electrics.wires.flatMap(({ wire, size }): (PanelWire & { area: number })[] => {
    const ends = [wire.from, wire.to].map(({ node }) => onPanel.has(owner.get(node)?.id ?? ''));
    if (!ends.some(Boolean)) return [];
    const told = ({ node }: { readonly node: string }): string => {
      const part = owner.get(node);
      const pin = part?.pins.find((each) => each.node === node)?.pin ?? '';
      return part ? `${part.name} ${pin}` : node;
    };
    return [
      {
        id: wire.id,
        from: told(wire.from),
        to: told(wire.to),
        size: size.size,
        leaves: !ends.every(Boolean),
        area: size.area,
      },
    ];
  });
  const led = wires.filter(({ leaves, area }) => leaves && area <= THICKEST_IN_PLUG).length;
  const plugs = Array.from({ length: Math.ceil(led / PLUG.ways) }, (_, i): PanelItem => ({
    id: `plug-${i + 1}`,
    name: `Plug ${i + 1}, ${PLUG.ways} ways`,
    sort: 'plug',
    ...PLUG,
  }));
  const decided = panels.find((panel) => panel.placementId === placementId);
  const layout = panelLayout({
    items: [
      ...held,
      ...(stud ? [{ id: stud.id, name: stud.name, sort: 'stud' as const, ...STUD }] : []),
      ...plugs,
    ],
    width: decided?.width?.value,
    height: decided?.height?.value,
    byHand: new Map(
      Object.entries(decided?.positions ?? {}).map(([id, { x, y }]) => [
        id,
        { x: x.value, y: y.value },
      ]),
    ),
  });
  return {
    panelId: decided?.id,
    placementId,
    layout,
    wires: wires.map(({ area: _, ...wire }) => wire),
    parts: [...counts.values()].map((part) => ({ ...part, count: part.count + 1 })),
    results: [
      derive({
        figure: electricsFigure('panel.width'),
        label: 'Panel, width',
        formula: plateWidth,
        inputs: { width: following(layout.width, ['devices']) },
      }),
      derive({
        figure: electricsFigure('panel.height'),
        label: 'Panel, height',
        formula: plateHeight,
        inputs: { height: following(layout.height, ['devices']) },
      }),
    ],
  };
}
