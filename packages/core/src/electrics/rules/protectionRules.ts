import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { lowerFirst } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import type { DerivedWire } from '../netlist/derivedWire.ts';
import { newFuse } from '../proposals/newFuse.ts';
import { connect } from './connect.ts';
import { several } from './several.ts';

/** A fuse at the source of a wire; for a starter’s cable, which none would stand, the isolator that is there. */
function protectionOf(
  { wired, electrics }: ElectricsChecked,
  wire: DerivedWire,
  isStarter: boolean,
): Cure<BuildCommand>[] {
  const device = wired.devices.find(({ id }) => id === wire.partId);
  const pin = electrics.netlist.parts
    .find(({ id }) => id === wire.partId)
    ?.pins.find(({ node }) => node === wire.from.node || node === wire.to.node)?.pin;
  const source = pin === undefined ? undefined : device?.connections[pin];
  if (!device || pin === undefined || !source) return [];
  if (!isStarter) {
    const fuse = newFuse(
      wired,
      `fuse-${device.id}`.slice(0, 30),
      `Fuse, ${lowerFirst(device.name)}`.slice(0, 80),
      source,
      wired.power.mainFusePlacementId,
    );
    return [
      several('Fit a fuse at its source', [
        fuse.change,
        { path: ['devices', device.id, 'connections', pin], value: fuse.out },
      ]),
    ];
  }
  const isolator = electrics.netlist.parts.find(({ role }) => role === 'isolator');
  const out = isolator?.pins.find(({ use }) => use === 'supply-out')?.pin;
  return isolator && out !== undefined
    ? [
        {
          text: `Route it through ${isolator.name}, at the battery`,
          command: connect(device, pin, { to: 'part', partId: isolator.id, pin: out }),
        },
      ]
    : [];
}

const strap: ElectricsRule = {
  id: 'ground.strap',
  source: 'a strap joins the engine to the chassis and carries the starter’s return current',
  check: ({ wired, electrics }) => {
    const engine = wired.grounds.filter(({ on }) => on === 'engine');
    const [first] = engine;
    const hasStarter = electrics.netlist.parts.some(({ role }) => role === 'starter');
    if (!first || !hasStarter) return [];
    const ids = new Set(engine.map(({ id }) => id));
    const joined =
      engine.some(({ strapTo }) => strapTo !== null && !ids.has(strapTo)) ||
      wired.grounds.some(
        ({ id, strapTo }) => !ids.has(id) && strapTo !== null && ids.has(strapTo),
      ) ||
      ids.has(wired.power.negativeGroundId ?? '');
    if (joined) return [];
    const chassis = wired.grounds.find(({ on }) => on === 'chassis');
    return [
      {
        id: `ground.strap:${first.id}`,
        rule: 'ground.strap',
        severity: 'stop',
        where: { stage: 'wires', wire: '' },
        title: 'No ground strap from engine to chassis',
        because: `${first.name} is not connected: the starter’s current returns through cables and sensor grounds`,
        numbers: {},
        cures: () =>
          chassis
            ? [
                {
                  text: `Fit a strap from ${first.name} to ${chassis.name}`,
                  command: {
                    name: 'set',
                    path: ['grounds', first.id, 'strapTo'],
                    value: chassis.id,
                  },
                },
              ]
            : [{ text: 'Fit a strap from the engine block to the chassis' }],
      },
    ];
  },
};

const unprotected: ElectricsRule = {
  id: 'supply.unprotected',
  source: 'every positive conductor is protected at its source, a short starter cable excepted',
  check: (checked) =>
    checked.electrics.wires.flatMap(({ wire, task }) => {
      const { electrics } = checked;
      if (electrics.protections[wire.id]?.by !== 'nothing') return [];
      if (wire.role === 'ground') return [];
      const isolated = electrics.netlist.parts.some(
        ({ role, pins }) => role === 'isolator' && pins.some(({ node }) => node === wire.from.node),
      );
      const spared = task.forSeconds !== undefined && (task.length <= 1 || isolated);
      if (spared) return [];
      const finding: BuildFinding = {
        id: `supply.unprotected:${wire.id}`,
        rule: 'supply.unprotected',
        severity: 'stop',
        where: { stage: 'wires', wire: wire.id },
        title: 'Wire has no fuse',
        because: `${wire.name}: {length} of wire straight from the battery without a fuse`,
        numbers: { length: { value: task.length, kind: 'length' } },
        measured: { value: task.length, kind: 'length' },
        limit: { value: task.forSeconds === undefined ? 0 : 1, kind: 'length' },
        cures: () => [
          ...protectionOf(checked, wire, task.forSeconds !== undefined),
          { text: 'Fit a fuse at its source, or feed it from an existing one' },
        ],
      };
      return [finding];
    }),
};

/** Checks of what protects wires, and of the way back from the engine. */
export const protectionRules: readonly ElectricsRule[] = [unprotected, strap];
