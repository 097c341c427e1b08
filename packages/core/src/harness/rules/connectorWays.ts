import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { refOf } from '../../catalogue/index.ts';
import type { Cure } from '../../results/index.ts';
import type { HarnessChecked, HarnessRule } from '../checked.ts';
import type { InlineLoad } from '../connectors/inlineLoads.ts';
import { placeNode } from '../topology/harnessNode.ts';
import { ledThrough, wayPins, widerConnector } from '../proposals/ledThrough.ts';

const atConnector = (load: InlineLoad): BuildFinding['where'] => ({
  stage: 'devices',
  device: load.part.id,
});

const listed = (names: readonly string[]): string => {
  const shown = names.slice(0, 3).join('; ');
  return names.length > 3 ? `${shown} and ${names.length - 3} more` : shown;
};

function throughCures(load: InlineLoad, checked: HarnessChecked): Cure<BuildCommand>[] {
  const { part, free, without } = load;
  const path = ['devices', part.id];
  const device = checked.wired.devices.find(({ id }) => id === part.id);
  if (!device) return [];
  if (free.length >= without.length) {
    return [
      {
        text: `Lead ${without.length === 1 ? 'it' : 'them'} through free ways of ${part.name.toLowerCase()}`,
        command: {
          name: 'set',
          path: [...path, 'ways'],
          value: { ...device.ways, ...ledThrough(load) },
        },
      },
    ];
  }
  const wider = widerConnector(checked.catalogue, load);
  if (!wider) return [{ text: 'Set a second connector beside it' }];
  const pins = wayPins(wider);
  const kept = Object.values(device.ways).map((way, i) => [pins[i] ?? '', way] as const);
  const added = ledThrough({ ...load, free: pins.slice(kept.length) });
  return [
    {
      text: `Take ${wider.designation.toLowerCase()} and lead all through it`,
      command: {
        name: 'set-several',
        label: `A wider connector for ${part.name}`,
        changes: [
          { path: [...path, 'part'], value: { kind: 'item', item: refOf(wider) } },
          { path: [...path, 'ways'], value: { ...Object.fromEntries(kept), ...added } },
        ],
      },
    },
  ];
}

/** Wires that come past a connector of the harness without a contact of it. */
export const connectorPast: HarnessRule = {
  id: 'connector.past',
  source:
    'where a harness parts, every wire that a contact takes parts with it; thicker ones pass beside',
  check: (checked) =>
    checked.harness.inline.flatMap((load): BuildFinding[] => {
      const { part, without } = load;
      if (without.length === 0) return [];
      return [
        {
          id: `connector.past:${part.id}`,
          rule: 'connector.past',
          severity: 'warn',
          where: atConnector(load),
          title: 'Wires pass a connector without a contact',
          because: `{count} ${without.length === 1 ? 'wire comes' : 'wires come'} past ${part.name.toLowerCase()} and would hold it: ${listed(without.map(({ wire }) => wire.name))}`,
          numbers: { count: { value: without.length, kind: 'count' } },
          measured: { value: without.length, kind: 'count' },
          worse: 'higher',
          cures: () => throughCures(load, checked),
        },
      ];
    }),
};

/** Ways of a connector that lead nowhere: their wire is not there, or comes back on the same side. */
export const connectorWay: HarnessRule = {
  id: 'connector.way',
  source: 'a way of a connector leads from one side of it to the other',
  check: ({ harness, wired: { devices }, led }) => {
    const ways = new Map(led.wires.map((wire) => [wire.wireId, wire]));
    return harness.inline.flatMap((load): BuildFinding[] => {
      const { part, taken } = load;
      const device = devices.find(({ id }) => id === part.id);
      const led_ = new Set(taken.map(({ pin }) => pin));
      const gone = Object.keys(device?.ways ?? {}).filter((pin) => !led_.has(pin));
      const back = taken.flatMap(({ pin, wires }) => {
        const [a, b] = wires.map((id) => endingBy(ways.get(id)?.parts, part.placementId, led));
        return a !== undefined && a === b ? [pin] : [];
      });
      const bad = [...gone, ...back];
      if (bad.length === 0) return [];
      const kept = Object.fromEntries(
        Object.entries(device?.ways ?? {}).filter(([pin]) => !bad.includes(pin)),
      );
      return [
        {
          id: `connector.way:${part.id}`,
          rule: 'connector.way',
          severity: 'warn',
          where: atConnector(load),
          title: 'Ways of a connector lead nowhere',
          because: `Of ${part.name.toLowerCase()} {count} ${bad.length === 1 ? 'way names a wire that is not there or that' : 'ways name wires that are not there or that'} would come back on the same side: ${bad.slice(0, 5).join(', ')}`,
          numbers: { count: { value: bad.length, kind: 'count' } },
          measured: { value: bad.length, kind: 'count' },
          worse: 'higher',
          cures: () => [
            {
              text: `Free ${bad.length === 1 ? 'this way' : 'these ways'}`,
              command: { name: 'set', path: ['devices', part.id, 'ways'], value: kept },
            },
          ],
        },
      ];
    });
  },
};

/** The segment by which a wire comes to a place that it ends at. */
function endingBy(
  parts: readonly { readonly segmentId: string }[] | undefined,
  placementId: string,
  { segments }: HarnessChecked['led'],
): string | undefined {
  const ends = [parts?.[0], parts?.at(-1)].flatMap((part) => part?.segmentId ?? []);
  return ends.find((id) => {
    const segment = segments.find((each) => each.id === id);
    return segment?.from === placeNode(placementId) || segment?.to === placeNode(placementId);
  });
}
