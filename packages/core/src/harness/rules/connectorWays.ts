import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { refOf } from '../../catalogue/index.ts';
import type { Cure } from '../../results/index.ts';
import type { HarnessChecked, HarnessRule } from '../checked.ts';
import type { InlineLoad } from '../connectors/inlineLoads.ts';
import { placeNode } from '../topology/harnessNode.ts';
import { ledThrough, namedBeyond, wayPins, widerConnector } from '../proposals/ledThrough.ts';

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
  const { devices } = checked.wired;
  const { parts } = checked.electrics.netlist;
  if (free.length >= without.length) {
    const ways = ledThrough(load);
    const label = `Route ${without.length === 1 ? 'it' : 'them'} through spare cavities of ${part.name.toLowerCase()}`;
    return [
      {
        text: label,
        command: {
          name: 'set-several',
          label,
          changes: [
            { path: [...path, 'ways'], value: { ...device.ways, ...ways } },
            ...namedBeyond(load, ways, devices, parts),
          ],
        },
      },
    ];
  }
  const wider = widerConnector(checked.catalogue, load);
  if (!wider) return [{ text: 'Fit a second connector beside it' }];
  const pins = wayPins(wider);
  const kept = Object.values(device.ways).map((way, i) => [pins[i] ?? '', way] as const);
  const added = ledThrough({ ...load, free: pins.slice(kept.length) });
  return [
    {
      text: `Fit ${wider.designation.toLowerCase()} and route all through it`,
      command: {
        name: 'set-several',
        label: `A wider connector for ${part.name}`,
        changes: [
          { path: [...path, 'part'], value: { kind: 'item', item: refOf(wider) } },
          { path: [...path, 'ways'], value: { ...Object.fromEntries(kept), ...added } },
          ...namedBeyond(load, added, devices, parts),
        ],
      },
    },
  ];
}

/** Wires that come past a connector of the harness without a contact of it. */
export const connectorPast: HarnessRule = {
  id: 'connector.past',
  source:
    'where a harness is split, every wire that fits a contact goes through the connector; thicker ones pass beside it',
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
          title: 'Wires bypass a connector',
          because: `{count} ${without.length === 1 ? 'wire runs' : 'wires run'} past ${part.name.toLowerCase()} and would stop it from coming apart: ${listed(without.map(({ wire }) => wire.name))}`,
          numbers: { count: { value: without.length, kind: 'count' } },
          measured: { value: without.length, kind: 'count' },
          worse: 'higher',
          cures: () => throughCures(load, checked),
        },
      ];
    }),
};

/** Ways of a connector whose wire comes back on the side that it came from. */
export const connectorWay: HarnessRule = {
  id: 'connector.way',
  source: 'a cavity of a connector joins one side of it to the other',
  check: ({ harness, wired: { devices }, led }) => {
    if (harness.inline.length === 0) return [];
    const wires = new Map(led.wires.map((wire) => [wire.wireId, wire]));
    const segments = new Map(led.segments.map((segment) => [segment.id, segment]));
    return harness.inline.flatMap((load): BuildFinding[] => {
      const { part, taken } = load;
      const back = taken.flatMap(({ pin, wires: ids }) => {
        const [a, b] = ids.map((id) => endingBy(wires.get(id)?.parts, part.placementId, segments));
        return a !== undefined && a === b ? [pin] : [];
      });
      if (back.length === 0) return [];
      const ways = devices.find(({ id }) => id === part.id)?.ways ?? {};
      const one = back.length === 1;
      return [
        {
          id: `connector.way:${part.id}`,
          rule: 'connector.way',
          severity: 'warn',
          where: atConnector(load),
          title: 'Wire returns on the same side of a connector',
          because: `{count} ${one ? 'cavity' : 'cavities'} of ${part.name.toLowerCase()} ${one ? 'has a wire that comes' : 'have wires that come'} from one side and ${one ? 'returns' : 'return'} to it: ${back.slice(0, 5).join(', ')}`,
          numbers: { count: { value: back.length, kind: 'count' } },
          measured: { value: back.length, kind: 'count' },
          worse: 'higher',
          cures: () => [
            {
              text: `Free ${one ? 'this cavity' : 'these cavities'}: the wire runs through in one piece`,
              command: {
                name: 'set',
                path: ['devices', part.id, 'ways'],
                value: Object.fromEntries(
                  Object.entries(ways).filter(([pin]) => !back.includes(pin)),
                ),
              },
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
  segments: ReadonlyMap<string, HarnessChecked['led']['segments'][number]>,
): string | undefined {
  const ends = [parts?.[0], parts?.at(-1)].flatMap((part) => part?.segmentId ?? []);
  const node = placeNode(placementId);
  return ends.find((id) => {
    const segment = segments.get(id);
    return segment?.from === node || segment?.to === node;
  });
}
