import {
  type SizedGroup,
  electricsFigure,
  feedScope,
  firstOf,
  formatMeasure,
  fuelFigure,
  groupsOf,
  lookUp,
  newestOf,
  pumpsOf,
  refOf,
  terminalText,
  wiresOf,
} from '@brookrain/core';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { worstBy } from '../../build/worstBy.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { Criteria } from './Criteria.tsx';
import { WhySize } from './WhySize.tsx';
import { wireSizes } from './wireSizes.ts';
import { FuseAgainstWire } from './FuseAgainstWire.tsx';
import { WireLengthField } from './WireLengthField.tsx';
import { WireTable } from './WireTable.tsx';
import { WiringDrawing } from './WiringDrawing.tsx';

const AUTO = 'auto';
const NO_INRUSH = { factor: 1, time: 1e-3 } as const;
/** How every size would do for the run, so that the choice is seen. */
function Sizes({ group, chosen }: { group: SizedGroup; chosen: string }) {
  const [units] = useUnits();
  return (
    <table className="table-lined w-full">
      <thead>
        <tr>
          <th className="whitespace-nowrap">Size of the run</th>
          <th className="whitespace-nowrap">drop, out and back</th>
          <th>verdict</th>
        </tr>
      </thead>
      <tbody>
        {group.candidates.map((candidate) => (
          <tr
            key={candidate.size.id}
            className={candidate.size.id === chosen ? 'bg-panel font-medium' : ''}
          >
            <td className="whitespace-nowrap">{candidate.size.size}</td>
            <td className="whitespace-nowrap">
              {formatMeasure({ value: candidate.drop, kind: 'voltage' }, units)}
            </td>
            <td className={candidate.fails.length > 0 ? 'text-second' : 'text-moss'}>
              {candidate.fails.length === 0
                ? '✓ passes all six'
                : `✕ ${candidate.fails.slice(0, 2).join(', ')}${candidate.fails.length > 2 ? ' …' : ''}`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The pump's electrical circuit: fuse and wire by all criteria, trigger, voltage left over. */
export function WiringScreen() {
  const { document: build, catalogue, evaluation, edit } = useBuild();
  const [feedId, setFeed] = useState<string>();
  const feedIndex = Math.max(
    0,
    evaluation.feeds.findIndex((f) => f.feed.id === feedId),
  );
  const feed = evaluation.feeds[feedIndex];
  const [picked, setPicked] = useState('');
  if (!feed)
    return (
      <Screen title="Pump wiring" lead="No pump is wired in this build yet.">
        {null}
      </Screen>
    );
  const groups = groupsOf(feed);
  const { id: pumpId, fuseId, cutOffId, trigger } = feed.feed;
  const of = feedScope(feedIndex, feed.feed.id);
  const number =
    1 + build.fuelCircuits.flatMap(pumpsOf).findIndex((p) => p.id === feed.feed.elementId);
  const wires = groups.flatMap((g) => g.wires);
  const selected =
    wires.find((w) => w.wire.id === picked) ?? feed.pumpGroup.wires[1] ?? firstOf(wires);
  const group = groups.find((g) => g.wires.includes(selected))!;
  const findings = evaluation.findings.filter((f) => f.where.stage === 'wiring');
  const troubled = worstBy(findings, (where) => ('wire' in where ? where.wire : undefined));
  const pumpName = (elementId: string): string =>
    build.fuelCircuits.flatMap(pumpsOf).find((p) => p.id === elementId)?.name ?? elementId;
  /** Looks at a wire closely, in the feed that it belongs to. */
  const pick = (wireId: string): void => {
    if (!wires.some((w) => w.wire.id === wireId)) {
      const other = evaluation.feeds.find((f) =>
        groupsOf(f).some((g) => g.wires.some((w) => w.wire.id === wireId)),
      );
      setFeed(other?.feed.id);
    }
    setPicked(wireId);
  };
  const ecu = lookUp(catalogue, 'ecu', build.power.ecu, 'power.ecu');
  const sizes = wireSizes(catalogue);
  // Blades are what a pump gets; another kind stays in sight where the build has it.
  const offered = newestOf(catalogue, 'fuse').filter(
    (f) => f.style === 'blade' || f.id === feed.fuse?.fuse.id,
  );
  return (
    <Screen
      title="Pump wiring"
      lead="Battery, main fuse, stud, fuse, relay, pump, ground, and what the ECU switches."
      inspector={
        <>
          <h2>{selected.wire.name}</h2>
          <p className="text-[13px] text-second">
            {terminalText(selected.wire.from.terminal)} to {terminalText(selected.wire.to.terminal)}
            {selected.task.protection && `, behind the ${selected.task.protection.rating} A fuse`}
          </p>
          <div className="mt-2 space-y-1.5">
            <ChoiceField
              wide
              label="Size"
              value={selected.chosenByHand ? selected.size.id : AUTO}
              choices={[
                {
                  value: AUTO,
                  label: `by the rules${selected.chosenByHand ? '' : `: ${selected.size.size}`}`,
                },
                ...sizes.map((s) => ({ value: s.id, label: s.size })),
              ]}
              onChoose={(id) =>
                edit({
                  name: 'choose-wire',
                  wireId: selected.wire.id,
                  wireName: selected.wire.name,
                  size: id === AUTO ? null : refOf(sizes.find((s) => s.id === id)!),
                })
              }
            />
            <WireLengthField key={selected.wire.id} sized={selected} />
          </div>
          <div className="mt-2">
            <Criteria sized={selected} />
            <WhySize {...group} chosenByHand={selected.chosenByHand} />
          </div>
          <FigureRows
            rows={[
              [
                'Conductor temperature',
                electricsFigure('wire.temperature', { wire: selected.wire.id }),
              ],
              ['May carry', electricsFigure('wire.ampacity', { wire: selected.wire.id })],
            ]}
          />
          <div className="rule mt-3 space-y-1.5 pt-3">
            <h2>Pump feed</h2>
            {fuseId !== undefined && (
              <ChoiceField
                label="Pump fuse"
                value={feed.fuseChosenByHand && feed.fuse ? feed.fuse.fuse.id : AUTO}
                choices={[
                  {
                    value: AUTO,
                    label:
                      feed.fuseChosenByHand || !feed.fuse
                        ? 'by the rules'
                        : `rules: ${feed.fuse.fuse.rating} A`,
                  },
                  ...offered.map((f) => ({
                    value: f.id,
                    label: f.style === 'blade' ? `${f.rating} A` : `${f.rating} A, bolted`,
                  })),
                ]}
                onChoose={(id) =>
                  edit({
                    name: 'choose-fuse',
                    deviceId: fuseId,
                    item: id === AUTO ? null : refOf(offered.find((f) => f.id === id)!),
                  })
                }
              />
            )}
            {trigger !== undefined && (
              <>
                <ChoiceField
                  label="Coil switched"
                  value={trigger}
                  choices={[
                    { value: 'low-side', label: 'low side' },
                    { value: 'high-side', label: 'high side' },
                  ]}
                  onChoose={(side) =>
                    edit({ name: 'wire-pump-coil', pumpId, side, cutOff: cutOffId !== undefined })
                  }
                />
                <ChoiceField
                  label="Inertia switch"
                  value={cutOffId === undefined ? 'no' : 'yes'}
                  choices={[
                    { value: 'yes', label: 'in coil feed' },
                    { value: 'no', label: 'none' },
                  ]}
                  onChoose={(value) =>
                    edit({
                      name: 'wire-pump-coil',
                      pumpId,
                      side: trigger,
                      cutOff: value === 'yes',
                    })
                  }
                />
              </>
            )}
            <ChoiceField
              label="Wire sizes"
              value={build.power.wireSystem}
              choices={[
                { value: 'metric', label: 'mm²' },
                { value: 'awg', label: 'AWG' },
              ]}
              onChoose={(value) => edit({ name: 'set', path: ['power', 'wireSystem'], value })}
            />
            <QuantityField path={['limits', 'pumpFeedDrop']} />
          </div>
          <FigureRows
            rows={[
              ['Drop in the pump feed', electricsFigure('feed.drop', of)],
              ['Battery to pump and back', electricsFigure('feed.seriesResistance', of)],
              [
                'Voltage at the pump, peak',
                fuelFigure('case.pump.voltage', { case: 'peakPower', pump: number }),
              ],
              [
                'Pump flow that results',
                fuelFigure('case.pump.flowAvailable', { case: 'peakPower', pump: number }),
              ],
              ['Relay coil', electricsFigure('relay.coilCurrent', of)],
            ]}
          />
          <Cautions place="wiring" />
        </>
      }
    >
      {evaluation.feeds.length > 1 && (
        <Tabs
          label="Pump feed"
          value={feed.feed.id}
          choices={evaluation.feeds.map((f) => ({
            value: f.feed.id,
            label: pumpName(f.feed.elementId),
          }))}
          onChoose={(next) => {
            setFeed(next);
            setPicked('');
          }}
        />
      )}
      <WiringDrawing
        feed={feed}
        wires={wires}
        selected={selected.wire.id}
        select={setPicked}
        troubled={troubled}
        ecuName={ecu.designation}
        pumpName={feed.pump.designation}
      />
      <WireTable
        wires={wiresOf(evaluation.feeds)}
        troubled={troubled}
        selected={selected.wire.id}
        select={pick}
      />
      <FuseAgainstWire
        sized={selected}
        inrush={
          feed.coil.some((each) => each.wires.includes(selected))
            ? NO_INRUSH
            : { factor: feed.pump.inrushFactor, time: feed.pump.inrushTime }
        }
      />
      <div className="mt-4 grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-6 max-[900px]:grid-cols-1">
        <Sizes group={group} chosen={selected.size.id} />
        <div>
          {findings.length === 0 && <p className="text-second">No findings on this wiring.</p>}
          {findings.map((finding) => (
            <FindingNote key={finding.id} finding={finding} />
          ))}
        </div>
      </div>
    </Screen>
  );
}
