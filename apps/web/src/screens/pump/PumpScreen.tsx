import {
  type PumpCandidate,
  firstOf,
  formatMeasure,
  fuelFigure,
  newestOf,
  pumpDuties,
  pumpSwapCommand,
  pumpsOf,
  pumpsTogether,
  refOf,
} from '@brookrain/core';
import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { useCandidates } from '../../evaluation/useCandidates.ts';
import { useCircuit } from '../../build/useCircuit.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { Supports } from '../../ui/Supports.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { CircuitTabs } from '../../ui/CircuitTabs.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { PumpControlFields } from '../circuit/PumpControlFields.tsx';
import { ThickerWire } from './ThickerWire.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Reasons, Verdict } from '../../ui/Verdict.tsx';
import { walkKeys } from '../../ui/walkKeys.ts';
import { useUnits } from '../../ui/preferences.ts';

const ROW = 46;
const W = 760;
const left = 92;
const right = 190;

type Drawing = {
  candidates: readonly PumpCandidate[];
  selected: PumpCandidate;
  inBuild: string;
  select: (id: string) => void;
};

/** A flow written out is about so wide. */
const WORDS = 52;

/** Where words begin that would lie on an upright line: behind it, and behind the next that they meet. */
const clearOf = (lines: readonly number[], from: number): number =>
  lines.reduce((at, line) => (at - 4 < line && line < at + WORDS ? line + 6 : at), from);

/** Flow each pump delivers at rail pressure, against what the engine needs. */
function PumpDrawing({ candidates, selected, inBuild, select }: Drawing) {
  const { document: build, results } = useBuild();
  const [units] = useUnits();
  const { scope } = useCircuit();
  const needed = results.find(fuelFigure('pumps.flowNeeded', scope))?.value ?? 0;
  const wished = needed * (1 + build.limits.pumpMargin.value);
  const most = Math.max(2.4 * needed, ...candidates.map((c) => c.available ?? 0));
  const x = scaleLinear([0, most], [left, W - right]).clamp(true);
  const height = candidates.length * ROW + 50;
  const walk = walkKeys(
    candidates.map((c) => c.item.id),
    selected.item.id,
    select,
  );
  const flow = (value: number): string => formatMeasure({ value, kind: 'volumeFlow' }, units);
  return (
    <svg
      viewBox={`0 0 ${W} ${height}`}
      className="w-full"
      role="listbox"
      aria-label="Pumps, best first"
      tabIndex={0}
      onKeyDown={walk}
    >
      <text x={left} y="16" fill="var(--second)">
        flow at rail pressure, worn, on its own wiring
      </text>
      <text x={W - right + 14} y="16" fill="var(--second)">
        margin
      </text>
      <text x={W - right + 76} y="16" fill="var(--second)">
        V, A at the pump
      </text>
      {candidates.map((candidate, i) => {
        const y = 24 + i * ROW;
        const isSelected = candidate === selected;
        const available = Math.max(0, candidate.available ?? 0);
        const unfit = candidate.verdict === 'does not fit';
        return (
          <g
            key={candidate.item.id}
            role="option"
            aria-selected={isSelected}
            aria-label={`${candidate.item.designation}, ${candidate.verdict}`}
            className="cursor-pointer"
            onClick={() => select(candidate.item.id)}
          >
            <rect
              x="0"
              y={y}
              width={W}
              height={ROW}
              fill={isSelected ? 'var(--panel)' : 'transparent'}
            />
            {isSelected && <rect x="0" y={y} width="3" height={ROW} fill="var(--moss)" />}
            <text x="10" y={y + 20} style={{ font: '500 14px var(--font-sans)' }}>
              {candidate.item.designation}
            </text>
            <text x="10" y={y + 36} fill="var(--second)" style={{ fontSize: 11 }}>
              {candidate.item.id === inBuild
                ? 'in this build'
                : candidate.item.duty === 'lift'
                  ? 'lift'
                  : candidate.item.mounting}
            </text>
            <path
              d={`M${left} ${y + 13}H${x(available)}l6 8l-6 8H${left}Z`}
              fill={unfit ? 'none' : 'var(--moss)'}
              stroke={unfit ? 'var(--edge)' : 'var(--moss)'}
              strokeWidth="1.5"
            />
            <text
              x={Math.min(clearOf([x(needed), x(wished)], x(available) + 12), W - right - 42)}
              y={y + 25}
              fill={x(available) + 50 > W - right && !unfit ? 'var(--paper)' : 'var(--ink)'}
            >
              {flow(available)}
            </text>
            <text x={W - right + 14} y={y + 25} style={{ fontSize: 13 }}>
              {candidate.margin === undefined
                ? '–'
                : formatMeasure({ value: candidate.margin, kind: 'ratio' }, units)}
            </text>
            <text x={W - right + 76} y={y + 25} style={{ fontSize: 13 }}>
              {candidate.voltage === undefined
                ? '–'
                : `${candidate.voltage.toFixed(1)} V, ${candidate.current!.toFixed(1)} A`}
            </text>
          </g>
        );
      })}
      <line
        x1={x(needed)}
        x2={x(needed)}
        y1="22"
        y2={height - 24}
        stroke="var(--signal)"
        strokeWidth="1.5"
      />
      <text x={x(needed) - 3} y={height - 10} textAnchor="end" fill="var(--signal)">
        needs {flow(needed)}
      </text>
      <line
        x1={x(wished)}
        x2={x(wished)}
        y1="22"
        y2={height - 24}
        stroke="var(--signal)"
        strokeWidth="1.5"
        strokeDasharray="6 3"
      />
      <text x={x(wished) + 3} y={height - 10} fill="var(--signal)">
        with wished margin
      </text>
    </svg>
  );
}

/** Ranked comparison of pumps solved in this circuit with this wiring. */
export function PumpScreen() {
  const { document: build, catalogue, evaluation, edit } = useBuild();
  const [units] = useUnits();
  const { circuit, scope } = useCircuit();
  const pumps = pumpsOf(circuit);
  const [pumpId, setPump] = useState<string>();
  const { main } = pumpDuties(circuit);
  const element = pumps.find((p) => p.id === pumpId) ?? main[0] ?? firstOf(pumps);
  const path = ['fuelCircuits', circuit.id, 'elements', element.id];
  const judged = useCandidates();
  const candidates = judged?.pumps[element.id] ?? [];
  const [picked, setPicked] = useState<string>();
  const selected =
    candidates.find((c) => c.item.id === (picked ?? element.item.id)) ?? candidates[0];
  const together = pumpsTogether(circuit, element.id).length;
  const number = 1 + build.fuelCircuits.flatMap(pumpsOf).findIndex((p) => p.id === element.id);
  const alike = newestOf(catalogue, 'pump')
    .filter((p) => p.interchange === selected?.item.interchange && p.id !== selected?.item.id)
    .map((p) => p.designation);
  const findings = evaluation.findings.filter(
    (f) => f.where.stage === 'pump' && f.where.circuit === circuit.id,
  );
  if (!selected) return null;
  return (
    <Screen
      title="Pump"
      lead="Judged at rail pressure plus losses, at the voltage its own wire leaves it, worn: solved in this circuit."
      inspector={
        <>
          <h2>{selected.item.designation}</h2>
          <p className="text-second">{selected.item.family}</p>
          <p>
            <Verdict verdict={selected.verdict} />
          </p>
          <div className="mt-1 text-[13px] leading-[18px]">
            <Reasons reasons={selected.reasons} />
          </div>
          <Supports power={selected.supportsPower} />
          {alike.length > 0 && (
            <p className="text-[13px] text-second">Interchangeable with {alike.join(', ')}.</p>
          )}
          <button
            type="button"
            className="act act-main mt-3 w-full text-center"
            disabled={selected.item.id === element.item.id}
            onClick={() =>
              edit(
                pumpSwapCommand({
                  circuit,
                  elementId: element.id,
                  item: refOf(selected.item),
                }),
              )
            }
          >
            {selected.item.id === element.item.id
              ? 'In this build'
              : `Use ${together > 1 ? `${together} × ` : ''}${selected.item.designation}`}
          </button>
          <FigureRows
            title="Solved at peak"
            rows={[
              [
                'Delivers at rail pressure',
                fuelFigure('case.pump.flowAvailable', { case: 'peakPower', pump: number }),
              ],
              ['Engine needs', fuelFigure('pumps.flowNeeded', scope)],
              ['Margin', fuelFigure('case.pump.margin', { case: 'peakPower', pump: number })],
              [
                'Voltage at the pump',
                fuelFigure('case.pump.voltage', { case: 'peakPower', pump: number }),
              ],
              ['Current', fuelFigure('case.pump.current', { case: 'peakPower', pump: number })],
              [
                'Above boiling at inlet',
                fuelFigure('suction.inletHead', { ...scope, pump: element.id }),
              ],
              ['Prime, full line', fuelFigure('prime.time', scope)],
              ['Prime, empty line', fuelFigure('prime.emptyTime', scope)],
              ['Tank warms in an hour', fuelFigure('tank.heatingPerHour', scope)],
            ]}
          />
          <div className="rule mt-4 space-y-1.5 pt-3">
            <ChoiceField
              label="Mounted"
              value={element.mounting}
              choices={[
                { value: 'external', label: 'external' },
                { value: 'in-tank', label: 'in the tank' },
              ]}
              onChoose={(value) => edit({ name: 'set', path: [...path, 'mounting'], value })}
            />
            <QuantityField path={[...path, 'wear']} />
            <PumpControlFields element={element} path={path} />
            <QuantityField path={['limits', 'pumpMargin']} />
            <QuantityField path={['limits', 'voltageLow']} />
            <QuantityField path={['limits', 'voltageRunning']} />
          </div>
          <div className="mt-3">
            {findings.length === 0 && <p className="rule py-2 text-second">No findings.</p>}
            {findings.map((finding) => (
              <FindingNote key={finding.id} finding={finding} />
            ))}
          </div>
        </>
      }
    >
      <CircuitTabs />
      {pumps.length > 1 && (
        <div className="mb-2">
          <Tabs
            label="Pump"
            value={element.id}
            choices={pumps.map((p) => ({ value: p.id, label: p.name }))}
            onChoose={(id) => {
              setPump(id);
              setPicked(undefined);
            }}
          />
        </div>
      )}
      <PumpDrawing
        candidates={candidates}
        selected={selected}
        inBuild={element.item.id}
        select={setPicked}
      />
      <p className="mt-2 text-[13px] text-second">
        Low running voltage is{' '}
        {formatMeasure({ value: build.limits.voltageLow.value, kind: 'voltage' }, units)} at the
        battery. Pumps that cannot be mounted as planned stay in the list with their reason.
      </p>
      <ThickerWire circuitId={circuit.id} elementId={element.id} />
    </Screen>
  );
}
