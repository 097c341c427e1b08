import { firstOf } from '../../numerics/index.ts';
import { deviceRoleOf, newestOf, refOf } from '../../catalogue/index.ts';
import type { NetPart } from '../netlist/netlist.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import type { SizedPumpFeed } from '../network/pumpSupply.ts';
import type { Cure } from '../../results/index.ts';
import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';

/** Runs a check on every pump feed. */
const onFeeds =
  (check: (checked: ElectricsChecked, feed: SizedPumpFeed, index: number) => BuildFinding[]) =>
  (checked: ElectricsChecked) =>
    checked.feeds.flatMap((feed, index) => check(checked, feed, index));

const fuse: ElectricsRule = {
  id: 'fuse.load',
  source: 'rating when hot ≥ 1.25 × continuous load; the fast edge rides through the inrush',
  check: onFeeds((_checked, feed) => {
    const { fuse: judged } = feed;
    const { fuseId } = feed.feed;
    if (!judged || fuseId === undefined) return [];
    const cures: Cure<BuildCommand>[] = feed.fuseChosenByHand
      ? [
          {
            text: 'Size the fuse by the rules',
            command: { name: 'choose-fuse', deviceId: fuseId, item: null },
          },
        ]
      : [{ text: 'No fuse in the catalogue is large enough' }];
    const findings: BuildFinding[] = [];
    if (!judged.carriesLoad) {
      findings.push({
        id: `fuse.load:${feed.feed.id}`,
        rule: 'fuse.load',
        severity: 'warn',
        where: { stage: 'wiring', feed: feed.feed.id, part: 'fuse' },
        title: 'Pump fuse is too small for the load',
        because: 'when hot it carries {hot}; 1.25 times the pump current is {needed}',
        numbers: {
          hot: { value: judged.whenHot, kind: 'current' },
          needed: { value: judged.needed, kind: 'current' },
        },
        measured: { value: judged.whenHot, kind: 'current' },
        limit: { value: judged.needed, kind: 'current' },
        rung: 'fuse',
        cures: () => cures,
      });
    }
    if (!judged.ridesThrough) {
      findings.push({
        id: `fuse.inrush:${feed.feed.id}`,
        rule: 'fuse.load',
        severity: 'warn',
        where: { stage: 'wiring', feed: feed.feed.id, part: 'fuse' },
        title: 'Pump fuse may blow on switching on',
        because: 'the inrush uses {share} of the fuse’s fast edge',
        numbers: { share: { value: judged.inrushDamage, kind: 'ratio' } },
        measured: { value: judged.inrushDamage, kind: 'ratio' },
        limit: { value: 1, kind: 'ratio' },
        rung: 'fuse',
        cures: () => cures,
      });
    }
    return findings;
  }),
};

const MAIN_FUSE_DISTANCE = 0.18;

const mainFuse: ElectricsRule = {
  id: 'main-fuse',
  source: 'battery positive fused within 180 mm of cable; main fuse above the load',
  check: (checked) => {
    const findings: BuildFinding[] = [];
    const feed = checked.feeds[0];
    if (!feed) return findings;
    const first = firstOf(feed.main.wires);
    if (first.task.length > MAIN_FUSE_DISTANCE + 1e-9) {
      findings.push({
        id: `main-fuse.distance:${first.wire.id}`,
        rule: 'main-fuse',
        severity: 'stop',
        where: { stage: 'wiring', wire: first.wire.id },
        title: 'Main fuse is too far from the battery',
        because: '{length} of cable are unprotected; at most {limit}',
        numbers: {
          length: { value: first.task.length, kind: 'length' },
          limit: { value: MAIN_FUSE_DISTANCE, kind: 'length' },
        },
        measured: { value: first.task.length, kind: 'length' },
        limit: { value: MAIN_FUSE_DISTANCE, kind: 'length' },
        cures: () => [
          {
            text: 'Plan 150 mm of cable to the main fuse',
            command: {
              name: 'set-wire-length',
              wireId: first.wire.id,
              wireName: first.wire.name,
              length: { typed: { value: 0.15, unit: 'mm' }, measured: null },
            },
          },
        ],
      });
    }
    const needed = 1.25 * first.task.load;
    if (feed.mainFuse.rating < needed) {
      const larger = newestOf(checked.catalogue, 'fuse')
        .filter((i) => i.style === 'bolt' && i.rating >= needed)
        .sort((a, b) => a.rating - b.rating)[0];
      findings.push({
        id: 'main-fuse.load',
        rule: 'main-fuse',
        severity: 'warn',
        where: { stage: 'wiring', part: 'main-fuse' },
        title: 'Main fuse is too small for its load',
        because: 'it is rated {rating}; 1.25 times the load is {needed}',
        numbers: {
          rating: { value: feed.mainFuse.rating, kind: 'current' },
          needed: { value: needed, kind: 'current' },
        },
        measured: { value: feed.mainFuse.rating, kind: 'current' },
        limit: { value: needed, kind: 'current' },
        cures: () =>
          larger
            ? [
                {
                  text: `Fit ${larger.designation}`,
                  command: {
                    name: 'set',
                    path: ['power', 'mainFuse'],
                    value: refOf(larger),
                  },
                },
              ]
            : [],
      });
    }
    return findings;
  },
};

const trigger: ElectricsRule = {
  id: 'pump.trigger',
  source: 'what the ECU pin switches, and how much',
  check: onFeeds((checked, feed) => {
    const findings: BuildFinding[] = [];
    const { ecu } = checked;
    const { trigger: side, controllerId, triggerPin, id: pumpId, cutOffId } = feed.feed;
    const onPumpPin =
      controllerId === ENGINE_CONTROLLER && (triggerPin === '' || triggerPin === ecu.pumpPin);
    if (onPumpPin && side !== undefined && side !== ecu.pumpPinSide) {
      findings.push({
        id: `pump.trigger-side:${feed.feed.id}`,
        rule: 'pump.trigger',
        severity: 'stop',
        where: { stage: 'wiring', feed: feed.feed.id, part: 'relay' },
        title: 'ECU pin switches the other side of the coil',
        because: `${ecu.designation} pin ${ecu.pumpPin} is ${ecu.pumpPinSide === 'low-side' ? 'a low-side output' : 'a high-side output'}; the coil is wired for ${side}`,
        numbers: {},
        cures: () => [
          {
            text: `Wire the coil ${ecu.pumpPinSide}`,
            command: {
              name: 'wire-pump-coil',
              pumpId,
              side: ecu.pumpPinSide,
              cutOff: cutOffId !== undefined,
            },
          },
        ],
      });
    }
    // The ECU's own pin for the pump switches the coils of all that are left on it.
    const onIt = checked.feeds.filter(
      ({ feed: { controllerId: by, triggerPin: pin } }) =>
        by === ENGINE_CONTROLLER && (pin === '' || pin === ecu.pumpPin),
    );
    const coils = onIt.reduce((sum, { coilCurrent }) => sum + coilCurrent, 0);
    if (onIt[0] === feed && coils > ecu.pumpPinCurrent) {
      findings.push({
        id: `pump.trigger-current:${feed.feed.id}`,
        rule: 'pump.trigger',
        severity: 'stop',
        where: { stage: 'wiring', feed: feed.feed.id, part: 'relay' },
        title: 'Relay coils overload the ECU pin',
        because: 'the coils on it draw {coil}; the pin carries {pin}',
        numbers: {
          coil: { value: coils, kind: 'current' },
          pin: { value: ecu.pumpPinCurrent, kind: 'current' },
        },
        measured: { value: coils, kind: 'current' },
        limit: { value: ecu.pumpPinCurrent, kind: 'current' },
        cures: () => [
          { text: 'Fit a relay with a lower coil current, or one relay that drives the others' },
        ],
      });
    }
    return findings;
  }),
};

const opensInCrash = ({ role }: NetPart): boolean =>
  role !== undefined && deviceRoleOf(role).opensInCrash;

const inertia: ElectricsRule = {
  id: 'pump.inertia-switch',
  source: 'inertia or tip-over switch in the pump circuit',
  check: onFeeds((checked, feed) => {
    const { id, cutOffId, relayId, trigger: side } = feed.feed;
    if (
      checked.electrics.netlist.parts.some((part) => part.id === cutOffId && opensInCrash(part))
    ) {
      return [];
    }
    const { use } = checked.document.brief;
    const must = use === 'road' || use === 'two-or-three-wheeler';
    return [
      {
        id: `pump.inertia-switch:${id}`,
        rule: 'pump.inertia-switch',
        severity: must ? 'stop' : 'warn',
        where: { stage: 'wiring', feed: id, part: 'relay' },
        title: 'No inertia or tip-over switch in the pump circuit',
        because: 'after a crash the pump could keep running',
        numbers: {},
        cures: () =>
          relayId !== undefined && side !== undefined
            ? [
                {
                  text: 'Fit an inertia switch in the coil feed',
                  command: { name: 'wire-pump-coil', pumpId: id, side, cutOff: true },
                },
              ]
            : [{ text: 'Fit an inertia switch in the pump’s control circuit' }],
      },
    ];
  }),
};

export const powerRules = [fuse, mainFuse, trigger, inertia];
