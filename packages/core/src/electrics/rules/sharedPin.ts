import type { EcuItem } from '../../catalogue/index.ts';
import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { addTo } from '../../numerics/index.ts';
import type { PumpFeed } from '../feeds/pumpFeed.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import { controllerSignals, problemOf } from '../pins/problemOf.ts';
import { sparePins } from '../pins/sparePins.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';

/** What must be switched together: all pumps of a circuit, but each that comes in on demand. */
function switchedWith({ document }: ElectricsChecked, feed: PumpFeed): string {
  const circuit = document.fuelCircuits.find((c) => c.id === feed.circuitId);
  const pump = circuit?.elements.find((e) => e.id === feed.elementId);
  const onDemand = pump?.kind === 'pump' && pump.control?.kind === 'stepped';
  return onDemand ? `${feed.circuitId} ${feed.elementId}` : feed.circuitId;
}

const pinOf = (feed: PumpFeed, ecu: EcuItem): string =>
  feed.triggerPin === '' ? ecu.pumpPin : feed.triggerPin;

/** Each group that shares a pin with another on a spare pin of its own, where there are so many. */
function apart(checked: ElectricsChecked, sharing: readonly PumpFeed[][]): Cure<BuildCommand>[] {
  const { ecu, wired, electrics } = checked;
  const signals = controllerSignals(wired, electrics.netlist, ENGINE_CONTROLLER, ecu);
  const { problem, assigned } = problemOf(ecu, signals);
  const spare = sparePins(problem, assigned).get(ecu.pumpPinSide) ?? [];
  const others = sharing.slice(1);
  if (spare.length < others.length) return [];
  const pins = others.flatMap((group, i) =>
    group.flatMap(({ relayId, trigger }) =>
      relayId === undefined
        ? []
        : [
            [
              relayId,
              { [trigger === 'high-side' ? '86' : '85']: spare[i] ?? ecu.pumpPin },
            ] as const,
          ],
    ),
  );
  return [
    {
      text: `Move each to its own output: ${spare.slice(0, others.length).join(', ')}`,
      command: {
        name: 'assign-pins',
        controllerId: ENGINE_CONTROLLER,
        devices: Object.fromEntries(pins),
      },
    },
  ];
}

/** Pumps that have to be switched apart, on one output of the ECU. */
export const sharedPin: ElectricsRule = {
  id: 'pump.shared-output',
  source: 'an output switches everything on it: pumps that run separately need separate outputs',
  check(checked) {
    const { ecu } = checked;
    const byPin = new Map<string, Map<string, PumpFeed[]>>();
    for (const { feed } of checked.feeds) {
      if (feed.controllerId !== ENGINE_CONTROLLER) continue;
      const groups = byPin.get(pinOf(feed, ecu)) ?? new Map<string, PumpFeed[]>();
      const group = switchedWith(checked, feed);
      addTo(groups, group, feed);
      byPin.set(pinOf(feed, ecu), groups);
    }
    const shared = [...byPin].find(([, groups]) => groups.size > 1);
    if (!shared) return [];
    const [pin, groups] = shared;
    const sharing = [...groups.values()];
    const other = sharing[1]?.[0];
    if (!other) return [];
    const cures = (): Cure<BuildCommand>[] => [
      ...apart(checked, sharing),
      { text: 'Give each group its own output, or run them all together' },
    ];
    const finding: BuildFinding = {
      id: 'pump.shared-output',
      rule: 'pump.shared-output',
      severity: 'warn',
      where: { stage: 'wiring', feed: other.id, part: 'relay' },
      title: 'Pumps that run separately share one output',
      because: `${ecu.designation} pin ${pin} switches {groups} groups of pumps that start separately: on one output they all run together`,
      numbers: { groups: { value: groups.size, kind: 'count' } },
      measured: { value: groups.size, kind: 'count' },
      limit: { value: 1, kind: 'count' },
      cures,
    };
    return [finding];
  },
};
