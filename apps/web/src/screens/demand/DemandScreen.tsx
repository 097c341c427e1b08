import {
  type DemandChoiceName,
  formatMeasure,
  type FigureRef,
  engineFigure,
} from '@brookrain/core';
import { useEffect, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { Figure } from '../../ui/Figure.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { FindingList } from '../../ui/FindingNote.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { DemandMapDrawing } from './DemandMapDrawing.tsx';
import { FuelPanel } from './FuelPanel.tsx';
import { RadioList } from '../../ui/RadioList.tsx';
import type { Choice } from '../../ui/Select.tsx';

/** Both schools drawn as bars to one scale. */
function Schools() {
  const { results } = useBuild();
  const byPower = engineFigure('demand.byPower.peak.massFlow');
  const byAir = engineFigure('demand.byAir.massFlow', { at: 'atPower' });
  const power = results.at(byPower).value;
  const air = results.at(byAir).value;
  const most = Math.max(power, air);
  const carried = results.at(engineFigure('demand.carried.massFlow')).value;
  const rows = [
    {
      name: 'A',
      words: 'from power and consumption',
      figure: byPower,
      value: power,
    },
    {
      name: 'B',
      words: 'from the air the engine takes',
      figure: byAir,
      value: air,
    },
  ];
  return (
    <div className="space-y-2">
      {rows.map((row) => (
        <div key={row.name}>
          <div className="flex justify-between gap-2">
            <span>
              <span className="font-medium">{row.name}</span> {row.words}
            </span>
            <Figure of={row.figure} />
          </div>
          <div className="mt-0.5 h-3 border-[0.75px] border-edge">
            <div
              className="h-full"
              style={{
                width: `${(100 * row.value) / most}%`,
                background: row.value === carried ? 'var(--moss)' : 'var(--edge)',
              }}
            />
          </div>
        </div>
      ))}
    </div>
  );
}

function Pick() {
  const { document: build, edit } = useBuild();
  const { demand } = build;
  const [school, setSchool] = useState(demand.school);
  const [reason, setReason] = useState(demand.reason);
  const [message, setMessage] = useState<string>();
  useEffect(() => {
    setSchool(demand.school);
    setReason(demand.reason);
    setMessage(undefined);
  }, [demand]);
  const changed = school !== demand.school || reason !== demand.reason;
  const choices: Choice<DemandChoiceName>[] = [
    { value: 'larger', label: 'the larger of the two' },
    { value: 'power', label: 'A, from power' },
    { value: 'air', label: 'B, from air' },
  ];
  return (
    <fieldset className="mt-4">
      <legend className="font-medium">Carried forward</legend>
      <RadioList label="Carried forward" value={school} choices={choices} onChoose={setSchool} />
      <label className="mt-1 block">
        <span className="text-[13px] text-second">
          Reason{school === 'larger' ? ' (not needed for the larger)' : ''}
        </span>
        <textarea
          className="field h-auto! py-1"
          rows={2}
          value={reason}
          aria-invalid={message !== undefined}
          onChange={(event) => setReason(event.target.value)}
        />
      </label>
      {message && (
        <p role="alert" className="text-[13px] text-signal">
          {message}
        </p>
      )}
      <button
        type="button"
        className="act mt-1"
        disabled={!changed}
        onClick={() => {
          const outcome = edit({ name: 'pick-demand', school, reason });
          setMessage(outcome.ok ? undefined : outcome.issues[0]?.message);
        }}
      >
        Record the pick
      </button>
    </fieldset>
  );
}

/** Fuel demand by both schools, the pick with its reason, and the map. */
export function DemandScreen() {
  const { results } = useBuild();
  const [units] = useUnits();
  const apart = results.at(engineFigure('demand.disagreement')).value;
  const shown = (ref: FigureRef): string => {
    const result = results.at(ref);
    return formatMeasure({ value: result.value, kind: result.kind }, units);
  };
  return (
    <Screen
      title="Fuel need"
      lead="Two schools, side by side. They must agree before anything is bought."
      inspector={
        <>
          <h2>Two schools at the power target</h2>
          <div className="mt-2">
            <Schools />
          </div>
          <p className="mt-3">
            They differ by <Figure of={engineFigure('demand.disagreement')} />
            {apart > 0.15 ? ': one input is wrong.' : ': near enough.'}
          </p>
          <p className="mt-1 text-[13px] leading-[18px] text-second">
            They would agree with a consumption of{' '}
            {shown(engineFigure('demand.implied.specificConsumption'))}, or a volumetric efficiency
            of {shown(engineFigure('demand.implied.volumetricEfficiency'))} at the power speed, or a
            boost of {shown(engineFigure('demand.implied.boost'))}.
          </p>
          <Pick />
          <FigureRows rows={[['Peak', engineFigure('demand.peak.massFlow')]]} />
          <QuantityField path={['limits', 'designFactor']} />
          <FigureRows rows={[['Design', engineFigure('demand.design.massFlow')]]} />
          <div className="mt-3">
            <FindingList where="demand" />
          </div>
        </>
      }
    >
      <DemandMapDrawing />
      <FuelPanel />
    </Screen>
  );
}
