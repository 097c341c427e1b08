import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import { joinedPlaces } from '../proposals/joinedPlaces.ts';
import { harnessFigure } from '../figureNames.ts';
import type { HarnessChecked, HarnessRule } from '../checked.ts';
import { inSegment } from './onBundles.ts';

/** A segment that joins what is joined already: a wire has two ways. */
export const harnessLoop: HarnessRule = {
  id: 'harness.loop',
  source: 'a harness is a tree; a loop is a stop unless a second route is wanted',
  check: ({ led, decidedHarness }) =>
    led.loops.map((segmentId): BuildFinding => {
      const name = decidedHarness.segments.find(({ id }) => id === segmentId)?.name ?? segmentId;
      return {
        id: `harness.loop:${segmentId}`,
        rule: 'harness.loop',
        severity: 'stop',
        where: inSegment(segmentId),
        title: 'Harness closes a loop',
        because: `“${name}” joins two ends that are already joined: its wires would have two routes`,
        numbers: {},
        cures: () => [
          {
            text: `Remove “${name}”`,
            command: { name: 'take-segment-out', segmentId },
          },
        ],
      };
    }),
};

/** Segments from the nearest breakouts to the places at which wires end that have no way. */
function joined({
  led,
  electrics,
  decidedHarness,
  placements,
}: HarnessChecked): Cure<BuildCommand>[] {
  const unled = new Set(led.unled);
  const reached = new Set(
    decidedHarness.segments.flatMap(({ from, to }) =>
      [from, to].flatMap((end) => (end.at === 'place' ? [end.placementId] : [])),
    ),
  );
  const missing = new Set(
    electrics.netlist.wires
      .filter(({ id }) => unled.has(id))
      .flatMap(({ from, to }) => [from.placementId, to.placementId])
      .filter((id) => !reached.has(id)),
  );
  const segments = joinedPlaces({
    ends: [...missing].map((placementId) => ({
      placementId,
      name: electrics.netlist.parts.find((part) => part.placementId === placementId)?.name ?? '',
    })),
    harness: decidedHarness,
    placements,
  });
  const count = Object.keys(segments).length;
  if (count === 0) {
    return [
      { text: 'Connect the parts of the harness; until then wire lengths come from the map' },
    ];
  }
  return [
    {
      text: `Route ${count === 1 ? 'a segment' : `${count} segments`} there from the nearest breakout`,
      command: {
        name: 'set-several',
        label: 'Route wires to where the harness does not reach',
        changes: Object.entries(segments).map(([id, value]) => ({
          path: ['harness', 'segments', id],
          value,
        })),
      },
    },
  ];
}

/** Wires between places that the harness does not join. */
export const harnessUnled: HarnessRule = {
  id: 'harness.unled',
  source: 'every wire is in the harness; cables bolted at both ends are routed separately',
  check: (checked) => {
    const { led, electrics } = checked;
    const [first] = led.unled;
    if (led.segments.length === 0 || first === undefined) return [];
    const wires = new Map(electrics.netlist.wires.map((wire) => [wire.id, wire.name]));
    const names = led.unled.slice(0, 3).map((id) => wires.get(id) ?? id);
    const more = led.unled.length - names.length;
    return [
      {
        id: 'harness.unled',
        rule: 'harness.unled',
        severity: 'warn',
        where: { stage: 'harness' },
        title: 'Wires have no route in the harness',
        because: `{count} ${led.unled.length === 1 ? 'wire ends' : 'wires end'} at a place that no segment reaches: ${names.join('; ')}${more > 0 ? ` and ${more} more` : ''}`,
        numbers: { count: { value: led.unled.length, kind: 'count' } },
        measured: { value: led.unled.length, kind: 'count' },
        worse: 'higher',
        cures: () => joined(checked),
      },
    ];
  },
};

/** A harness heavier than it may be. */
export const harnessMass: HarnessRule = {
  id: 'harness.mass',
  source: 'the weight that the build allows for its harness',
  check: ({ results, decidedHarness: { massBudget } }) => {
    const mass = results.find(harnessFigure('harness.weight'))?.value;
    if (massBudget === null || mass === undefined || mass <= massBudget.value) return [];
    return [
      {
        id: 'harness.mass',
        rule: 'harness.mass',
        severity: 'warn',
        where: { stage: 'harness' },
        title: 'Harness is heavier than allowed',
        because: 'It weighs {mass}; {budget} is allowed',
        numbers: {
          mass: { value: mass, kind: 'mass' },
          budget: { value: massBudget.value, kind: 'mass' },
        },
        measured: { value: mass, kind: 'mass' },
        limit: { value: massBudget.value, kind: 'mass' },
        worse: 'higher',
        cures: () => [
          {
            text: 'Raise the limit to its weight',
            command: {
              name: 'set',
              path: ['harness', 'massBudget'],
              value: { value: Math.ceil(mass * 10) / 10, unit: 'kg' },
            },
          },
          { text: 'Shorten its routes, or use thinner wire or a lighter cover' },
        ],
      },
    ];
  },
};
