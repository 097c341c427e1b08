import { entryAt, formatMeasure, fromSI, fuelFigure, refOf, rowScope } from '@brookrain/core';
import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { useCandidates } from '../../evaluation/useCandidates.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { FindingList } from '../../ui/FindingNote.tsx';
import { Supports } from '../../ui/Supports.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { Reasons, Verdict } from '../../ui/Verdict.tsx';
import { walkKeys } from '../../ui/walkKeys.ts';
import { useUnits } from '../../ui/preferences.ts';
import { MeasuredSet } from './MeasuredSet.tsx';
import { SeatingPanel } from './SeatingPanel.tsx';
import { RowSharing } from './RowSharing.tsx';

const ROW = 46;
const W = 760;
const left = 92;
const right = 300;

/** Ranked comparison of injectors against the whole map, drawn as spans of duty. */
export function InjectorsScreen() {
  const { document: build, edit } = useBuild();
  const [units] = useUnits();
  const [rowId, setRow] = useState<string>();
  const rowIndex = Math.max(
    0,
    build.injectorRows.findIndex((r) => r.id === rowId),
  );
  const row = entryAt(build.injectorRows, rowIndex);
  const path = ['injectorRows', row.id];
  const scope = rowScope(build.injectorRows, row.id);
  const judged = useCandidates();
  const candidates = judged?.injectors[row.id] ?? [];
  const built = candidates.find((c) => c.item.id === row.item.id)?.item;
  const [picked, setPicked] = useState<string>();
  const selected = candidates.find((c) => c.item.id === (picked ?? row.item.id)) ?? candidates[0];
  const walk = walkKeys(
    candidates.map((c) => c.item.id),
    selected?.item.id ?? '',
    setPicked,
  );
  const x = scaleLinear([0, 1.2], [left, W - right]).clamp(true);
  const limit = build.limits.injectorDuty.value;
  const height = candidates.length * ROW + 44;
  const time = (value: number): string => formatMeasure({ value, kind: 'time' }, units);
  const share = (value: number): string => formatMeasure({ value, kind: 'ratio' }, units);
  if (!selected) return null;
  return (
    <Screen
      title="Injectors"
      lead="Every catalogue injector against the whole demand map: large enough at peak, small enough at idle."
      inspector={
        <>
          <h2>{selected.item.designation}</h2>
          <p>
            <Verdict verdict={selected.verdict} />
          </p>
          <div className="mt-1 text-[13px] leading-[18px]">
            <Reasons reasons={selected.reasons} />
          </div>
          <Supports power={selected.supportsPower} />
          <dl className="mt-3 space-y-1">
            <Line
              name="Rated"
              value={`${Math.round(fromSI(selected.item.ratedFlow, 'volumeFlow', 'cc/min'))} cc/min at ${formatMeasure({ value: selected.item.ratedPressure, kind: 'pressure' }, units)}`}
            />
            <Line
              name="Test fluid"
              value={formatMeasure({ value: selected.item.ratedDensity, kind: 'density' }, units)}
            />
            <Line
              name="Driver"
              value={selected.item.driver === 'saturated' ? 'high impedance' : 'peak and hold'}
            />
            <Line name="Highest duty on the map" value={share(selected.worstDuty)} />
            <Line
              name={row.shotsPerCycle === 1 ? 'the same in batches' : 'the same once a cycle'}
              value={share(selected.otherFiringDuty)}
            />
            {selected.idleEffectivePulse > 0 && (
              <>
                <Line name="Pulse at idle" value={time(selected.idlePulse)} />
                <Line name="of which meters fuel" value={time(selected.idleEffectivePulse)} />
              </>
            )}
          </dl>
          <button
            type="button"
            className="act act-main mt-3 w-full text-center"
            disabled={selected.item.id === row.item.id}
            onClick={() =>
              edit({ name: 'choose-injector', rowId: row.id, item: refOf(selected.item) })
            }
          >
            {selected.item.id === row.item.id
              ? 'In this build'
              : `Use ${selected.item.designation}`}
          </button>
          <div className="rule mt-4 space-y-1.5 pt-3">
            <h2>{row.name}</h2>
            <TextField path={[...path, 'count']} />
            <ChoiceField
              label="Fires"
              value={String(row.shotsPerCycle)}
              choices={[
                { value: '1', label: 'once a cycle' },
                { value: '2', label: 'in batches' },
              ]}
              onChoose={(value) =>
                edit({ name: 'set', path: [...path, 'shotsPerCycle'], value: Number(value) })
              }
            />
            <ChoiceField
              label="Duty school"
              value={String(Math.round(limit * 100))}
              choices={[
                '80',
                '85',
                '90',
                ...(['80', '85', '90'].includes(String(Math.round(limit * 100)))
                  ? []
                  : [String(Math.round(limit * 100))]),
              ].map((value) => ({ value, label: `${value} %` }))}
              onChoose={(value) =>
                edit({
                  name: 'set',
                  path: ['limits', 'injectorDuty'],
                  value: { value: Number(value) / 100, unit: '%' },
                })
              }
            />
            <QuantityField path={['limits', 'injectorDuty']} />
          </div>
          {built && <SeatingPanel row={row} injector={built} />}
          <FigureRows
            title="Solved with the circuit"
            rows={[
              ['Duty at peak', fuelFigure('injector.duty', { ...scope, at: 'peak' })],
              ['Δp at peak', fuelFigure('injector.deltaP', { ...scope, at: 'peak' })],
              ['Pulse at idle', fuelFigure('injector.pulse', { ...scope, at: 'idle' })],
              ['Turn-down', fuelFigure('injector.turnDown', scope)],
            ]}
          />
          <div className="mt-3">
            <FindingList where="injectors" />
          </div>
          <Cautions place="injectors" />
        </>
      }
    >
      {build.injectorRows.length > 1 && (
        <div className="mb-2">
          <Tabs
            label="Injector row"
            value={row.id}
            choices={build.injectorRows.map((r) => ({ value: r.id, label: r.name }))}
            onChoose={(next) => {
              setRow(next);
              setPicked(undefined);
            }}
          />
        </div>
      )}
      <svg
        viewBox={`0 0 ${W} ${height}`}
        className="w-full"
        role="listbox"
        aria-label="Injectors, best first"
        tabIndex={0}
        onKeyDown={walk}
      >
        <text x={W - right + 14} y={16} fill="var(--second)">
          idle pulse
        </text>
        <text x={W - right + 92} y={16} fill="var(--second)">
          verdict
        </text>
        {[0, 0.2, 0.4, 0.6, 0.8, 1].map((value) => (
          <g key={value}>
            <line
              x1={x(value)}
              x2={x(value)}
              y1={24}
              y2={height - 18}
              stroke="var(--hair)"
              strokeWidth="0.75"
            />
            {Math.abs(value - limit) > 0.1 && (
              <text x={x(value)} y={height - 4} textAnchor="middle">{`${value * 100} %`}</text>
            )}
          </g>
        ))}
        <text x={left} y={16} fill="var(--second)">
          duty, from idle to the worst point of the map
        </text>
        {candidates.map((candidate, i) => {
          const y = 26 + i * ROW;
          const isSelected = candidate === selected;
          const inBuild = candidate.item.id === row.item.id;
          const over = candidate.worstDuty > limit;
          return (
            <g
              key={candidate.item.id}
              role="option"
              aria-selected={isSelected}
              aria-label={`${candidate.item.designation}, ${candidate.verdict}, duty ${share(candidate.worstDuty)}`}
              className="cursor-pointer"
              onClick={() => setPicked(candidate.item.id)}
            >
              <rect
                x="0"
                y={y}
                width={W}
                height={ROW}
                fill={isSelected ? 'var(--panel)' : 'transparent'}
              />
              {isSelected && <rect x="0" y={y} width="3" height={ROW} fill="var(--moss)" />}
              <text x="10" y={y + 17} style={{ font: '500 14px var(--font-sans)' }}>
                {candidate.item.designation}
              </text>
              <text x="10" y={y + 32} fill="var(--second)" style={{ fontSize: 11 }}>
                {inBuild ? 'in this build' : ''}
              </text>
              <rect
                x={x(candidate.idleDuty)}
                y={y + 14}
                width={Math.max(2, x(candidate.worstDuty) - x(candidate.idleDuty))}
                height="10"
                fill={candidate.verdict === 'does not fit' ? 'none' : 'var(--moss)'}
                stroke={candidate.verdict === 'does not fit' ? 'var(--edge)' : 'var(--moss)'}
                strokeWidth="1.5"
              />
              <text
                x={Math.min(x(candidate.worstDuty) + 6, W - right - 6)}
                y={y + (x(candidate.worstDuty) + 44 > W - right ? 38 : 24)}
                textAnchor={x(candidate.worstDuty) + 44 > W - right ? 'end' : 'start'}
                fill={over ? 'var(--signal)' : 'var(--ink)'}
              >
                {share(candidate.worstDuty)}
              </text>
              <text x={W - right + 14} y={y + 24} style={{ fontSize: 13 }}>
                {candidate.idleEffectivePulse > 0 ? time(candidate.idlePulse) : 'off'}
              </text>
              <text
                x={W - right + 92}
                y={y + 24}
                style={{ fontSize: 13 }}
                fill={candidate.verdict === 'does not fit' ? 'var(--second)' : 'var(--ink)'}
              >
                {candidate.verdict === 'fits'
                  ? '✓ fits'
                  : candidate.verdict === 'tight'
                    ? '~ close to the limit'
                    : candidate.verdict === 'oversized'
                      ? '+ large for idle'
                      : candidate.item.driver === 'peak-hold'
                        ? '✕ needs another driver'
                        : '✕ too small'}
              </text>
            </g>
          );
        })}
        <line
          x1={x(limit)}
          x2={x(limit)}
          y1={22}
          y2={height - 18}
          stroke="var(--signal)"
          strokeWidth="1.5"
          strokeDasharray="6 3"
        />
        <text
          x={x(limit)}
          y={height - 4}
          textAnchor="middle"
          fill="var(--signal)"
        >{`limit ${share(limit)}`}</text>
      </svg>
      <div className="mt-4 grid grid-cols-2 gap-8 max-[900px]:grid-cols-1">
        <RowSharing row={row} path={path} />
        <MeasuredSet key={row.id} row={row} path={path} />
      </div>
    </Screen>
  );
}

function Line({ name, value }: { name: string; value: string }) {
  return (
    <div className="flex justify-between gap-2">
      <dt className="text-second">{name}</dt>
      <dd className="text-right">{value}</dd>
    </div>
  );
}
