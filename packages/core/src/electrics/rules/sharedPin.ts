import type { BuildFinding, PumpFeed } from '../../model/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';

/** What must be switched together: all pumps of a circuit, but each that comes in on demand. */
function switchedWith({ document }: ElectricsChecked, feed: PumpFeed): string {
  const circuit = document.fuelCircuits.find((c) => c.id === feed.circuitId);
  const pump = circuit?.elements.find((e) => e.id === feed.elementId);
  const onDemand = pump?.kind === 'pump' && pump.control?.kind === 'stepped';
  return onDemand ? `${feed.circuitId} ${feed.elementId}` : feed.circuitId;
}

/** Pumps that have to be switched apart, on one output of the ECU. */
export const sharedPin: ElectricsRule = {
  id: 'pump.shared-output',
  source: 'an output switches all that hangs on it: what runs apart needs an output of its own',
  check(checked) {
    const groups = new Map<string, PumpFeed>();
    for (const { feed } of checked.feeds) {
      const group = switchedWith(checked, feed);
      if (!groups.has(group)) groups.set(group, feed);
    }
    const [first, apart] = groups.values();
    if (!first || !apart) return [];
    const { ecu } = checked;
    const finding: BuildFinding = {
      id: 'pump.shared-output',
      rule: 'pump.shared-output',
      severity: 'warn',
      where: { stage: 'wiring', feed: apart.id, part: 'relay' },
      title: 'Pumps that run apart share one output',
      because: `${ecu.designation} pin ${ecu.pumpPin} switches the relays of pumps that have to come in by themselves, {groups} groups of them: on one output they all run whenever one does`,
      numbers: { groups: { value: groups.size, kind: 'count' } },
      measured: { value: groups.size, kind: 'count' },
      limit: { value: 1, kind: 'count' },
      cures: () => [
        { text: 'Give each group an output of its own, or let all of them run together' },
      ],
    };
    return [finding];
  },
};
