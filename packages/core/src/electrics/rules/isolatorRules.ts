import { newestOf, refOf } from '../../catalogue/index.ts';
import type { BuildCommand } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import type { KeptAlive } from '../sneak/leftAlive.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import { connect } from './connect.ts';
import { overTheIsolator } from './isolatorCures.ts';
import { relayIn, wayInWords } from './keptAliveWay.ts';

/** Whether an engine keeps running: something still fires or injects. */
const stillRuns = ({ electrics }: ElectricsChecked, kept: readonly KeptAlive[]): boolean => {
  const parts = new Map(electrics.netlist.parts.map((part) => [part.id, part]));
  const alive = kept.map(({ partId }) => parts.get(partId));
  const fires = alive.some((part) => part?.role === 'ignition coil');
  const hasCoils = electrics.netlist.parts.some(({ role }) => role === 'ignition coil');
  return fires || (!hasCoils && alive.some((part) => part?.id === ENGINE_CONTROLLER));
};

const isolatorRunsOn: ElectricsRule = {
  id: 'isolator.runs-on',
  source:
    'the isolator cuts the feed of controller or ignition, which a charging alternator would keep alive',
  check: (checked) => {
    const kept = checked.sneaks.left.isolated;
    const [first] = kept ?? [];
    if (!kept || !first || !stillRuns(checked, kept)) return [];
    return [
      {
        id: 'isolator.runs-on',
        rule: 'isolator.runs-on',
        severity: 'stop',
        where: { stage: 'switching' },
        title: 'Engine runs on with the isolator open',
        because: `${first.name} stays at {volts} through ${wayInWords(first.way)}`,
        numbers: { volts: { value: first.volts, kind: 'voltage' } },
        measured: { value: first.volts, kind: 'voltage' },
        cures: () => [
          ...overTheIsolator(checked, relayIn(checked, first)),
          { text: 'Route the controller’s feed through the isolator' },
        ],
      },
    ];
  },
};

/** The battery's side of an isolator that joins it to what charges, for the cable of the alternator. */
function toTheBattery({ wired, supply }: ElectricsChecked): Cure<BuildCommand>[] {
  return supply.generators.flatMap(({ id }): Cure<BuildCommand>[] => {
    const generator = wired.devices.find((device) => device.id === id);
    const [target] = Object.values(generator?.connections ?? {}).filter(
      (each) => each.to === 'part',
    );
    const fuse =
      target?.to === 'part'
        ? wired.devices.find((device) => device.id === target.partId)
        : undefined;
    const intoFuse = fuse?.part.kind === 'fuse' ? fuse : undefined;
    const from = intoFuse?.connections['in'];
    const isolator =
      from?.to === 'part' ? wired.devices.find((device) => device.id === from.partId) : undefined;
    const before = isolator?.connections['in'];
    if (!intoFuse || !before) return [];
    return [
      {
        text: `Connect ${intoFuse.name} to the battery side of ${isolator.name}`,
        command: connect(intoFuse, 'in', before),
      },
    ];
  });
}

const isolatorLoadDump: ElectricsRule = {
  id: 'isolator.load-dump',
  source: 'an alternator never runs into an open battery',
  check: (checked) =>
    checked.sneaks.left.isolatorParts
      ? [
          {
            id: 'isolator.load-dump',
            rule: 'isolator.load-dump',
            severity: 'stop',
            where: { stage: 'switching' },
            title: 'Isolator disconnects the alternator from the battery',
            because:
              'when it opens with the engine running, the alternator’s voltage surges into everything that is on',
            numbers: {},
            cures: () => [
              ...toTheBattery(checked),
              { text: 'Cut the alternator’s field with the same isolator' },
            ],
          },
        ]
      : [],
};

const batteryLoadDump: ElectricsRule = {
  id: 'battery.load-dump',
  source: 'a battery that cuts itself off leaves the alternator without one',
  check: ({ supply, catalogue }) => {
    const { battery, generators } = supply;
    if (!battery.cutsItselfOff || generators.length === 0) return [];
    const others = newestOf(catalogue, 'battery').filter(
      (each) => !each.cutsItselfOff && each.interchange === battery.interchange,
    );
    return [
      {
        id: 'battery.load-dump',
        rule: 'battery.load-dump',
        severity: 'warn',
        where: { stage: 'supply' },
        title: 'Battery may disconnect itself while charging',
        because: `${battery.designation} disconnects itself when it is too full or too cold: ${generators[0]?.name ?? ''} then charges into an open circuit`,
        numbers: {},
        cures: () => [
          ...others.map((each) => ({
            text: `Fit ${each.designation}`,
            command: { name: 'set' as const, path: ['power', 'battery'], value: refOf(each) },
          })),
          {
            text: 'Fit a voltage clamp across the output, and a regulator that shuts down without a battery',
          },
        ],
      },
    ];
  },
};

/** Checks of what an isolator, or a battery that opens by itself, does to a running engine. */
export const isolatorRules: readonly ElectricsRule[] = [
  isolatorRunsOn,
  isolatorLoadDump,
  batteryLoadDump,
];
