import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { addTo } from '../../numerics/index.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import type { KeptAlive } from '../sneak/leftAlive.ts';
import { connect } from './connect.ts';
import { relayIn, wayInWords } from './keptAliveWay.ts';

const path: ElectricsRule = {
  id: 'sneak.path',
  source: 'no load is live while its switch is off',
  check: ({ sneaks }) =>
    sneaks.proof.paths.flatMap((each): BuildFinding[] =>
      each.broken
        ? []
        : [
            {
              id: `sneak.path:${each.partId}`,
              rule: 'sneak.path',
              severity: 'stop',
              where: { stage: 'switching' },
              title: 'Live while switched off',
              because: `${each.name} is at {volts} through ${wayInWords(each.way)}`,
              numbers: { volts: { value: each.volts, kind: 'voltage' } },
              measured: { value: each.volts, kind: 'voltage' },
              cures: () => [{ text: `Give ${each.name} its own feed or ground` }],
            },
          ],
    ),
};

const whenBroken: ElectricsRule = {
  id: 'sneak.broken',
  source: 'with one fuse out or one ground open, nothing that is off becomes live',
  check: ({ sneaks }) => {
    const byBroken = new Map<string, (typeof sneaks.proof.paths)[number][]>();
    for (const each of sneaks.proof.paths) {
      if (!each.broken) continue;
      const key = each.broken.partId;
      addTo(byBroken, key, each);
    }
    return [...byBroken].flatMap(([partId, paths]): BuildFinding[] => {
      const [worst] = [...paths].sort((a, b) => b.volts - a.volts);
      if (!worst?.broken) return [];
      const names = [...new Set(paths.map(({ name }) => name))].join(', ');
      const state = worst.broken.kind === 'fuse out' ? 'is out' : 'is open';
      return [
        {
          id: `sneak.broken:${partId}`,
          rule: 'sneak.broken',
          severity: 'note',
          where: { stage: 'switching' },
          title: `Becomes live when ${worst.broken.name} ${state}`,
          because: `${names}: up to {volts} through ${wayInWords(worst.way)}`,
          numbers: { volts: { value: worst.volts, kind: 'voltage' } },
          cures: () => [
            { text: `Check ${worst.broken?.name ?? ''} first when this happens` },
            { text: 'Give each load that shares it its own ground' },
          ],
        },
      ];
    });
  },
};

/** Feeds the coil of a relay from another wire that is live in RUN and CRANK and dead in OFF. */
function fromAnotherWire(checked: ElectricsChecked, kept: KeptAlive): Cure<BuildCommand>[] {
  const { wired } = checked;
  const relay = wired.devices.find(({ id }) => id === relayIn(checked, kept));
  const side =
    relay && (['86', '85'] as const).find((pin) => relay.connections[pin]?.to === 'signal');
  const present = side && relay.connections[side];
  if (!relay || !side || present?.to !== 'signal') return [];
  const isLive = (volts: { readonly value: number } | null): boolean => (volts?.value ?? 0) > 5;
  return wired.vehicleSignals
    .filter(
      ({ id, use, off, run, crank }) =>
        id !== present.signalId &&
        use === 'ignition feed' &&
        !isLive(off) &&
        isLive(run) &&
        isLive(crank),
    )
    .map((signal) => ({
      text: `Feed the coil of ${relay.name} from ${signal.name}, which does not feed the lamp`,
      command: connect(relay, side, { to: 'signal', signalId: signal.id }),
    }));
}

const keyOff: ElectricsRule = {
  id: 'backfeed.key-off',
  source: 'with the key off, nothing keeps controller or ignition alive',
  check: (checked) => {
    const [first, ...others] = checked.sneaks.left.keyOff;
    if (!first) return [];
    const rest =
      others.length > 0 ? `, and with it ${others.map(({ name }) => name).join(', ')}` : '';
    return [
      {
        id: `backfeed.key-off:${first.partId}`,
        rule: 'backfeed.key-off',
        severity: 'stop',
        where: { stage: 'switching' },
        title: 'Engine keeps running with the key off',
        because: `${first.name} stays at {volts} through ${wayInWords(first.way)}${rest}`.slice(
          0,
          600,
        ),
        numbers: { volts: { value: first.volts, kind: 'voltage' } },
        measured: { value: first.volts, kind: 'voltage' },
        cures: () => [
          ...fromAnotherWire(checked, first),
          { text: 'Fit a diode in the charge lamp wire, or feed the lamp separately' },
        ],
      },
    ];
  },
};

const pumpRunsOn: ElectricsRule = {
  id: 'pump.runs-on',
  source: 'the pump stops with the key',
  check: ({ sneaks, electrics }) =>
    sneaks.left.pumpsOn.map((partId): BuildFinding => ({
      id: `pump.runs-on:${partId}`,
      rule: 'pump.runs-on',
      severity: 'stop',
      where: { stage: 'switching' },
      title: 'Pump runs with the key off',
      because: `${electrics.netlist.parts.find(({ id }) => id === partId)?.name ?? partId} is live with the key off and the engine stopped`,
      numbers: {},
      cures: () => [{ text: 'Switch it with a relay driven by the controller' }],
    })),
};

/** Checks of what is alive where it should be dead. */
export const sneakRules: readonly ElectricsRule[] = [path, keyOff, pumpRunsOn, whenBroken];
