import { type DemandChoiceName, formatMeasure } from '@brookrain/core';
import { useEffect, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { Figure } from '../../ui/Figure.tsx';
import { FindingList } from '../../ui/FindingNote.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { DemandMapDrawing } from './DemandMapDrawing.tsx';
import { FuelPanel } from './FuelPanel.tsx';

/** Both schools drawn as bars to one scale. */
function Schools() {
  const { results } = useBuild();
  const power = results.get('demand.byPower.peak.massFlow')!.value;
  const air = results.get('demand.byAir.atPower.massFlow')!.value;
  const most = Math.max(power, air);
  const carried = results.get('demand.carried.massFlow')!.value;
  const rows = [
    {
      name: 'A',
      words: 'from power and consumption',
      key: 'demand.byPower.peak.massFlow',
      value: power,
    },
    {
      name: 'B',
      words: 'from the air the engine takes',
      key: 'demand.byAir.atPower.massFlow',
      value: air,
    },
  ];
  return (
    <div className="space-y-2">
      {rows.map((row) => (
        <div key={row.key}>
          <div className="flex justify-between gap-2">
            <span>
              <span className="font-medium">{row.name}</span> {row.words}
            </span>
            <Figure of={row.key} />
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
  const choices: [DemandChoiceName, string][] = [
    ['larger', 'the larger of the two'],
    ['power', 'A, from power'],
    ['air', 'B, from air'],
  ];
  return (
    <fieldset className="mt-4">
      <legend className="font-medium">Carried forward</legend>
      {choices.map(([value, words]) => (
        <label key={value} className="flex min-h-7 items-center gap-2">
          <input
            type="radio"
            name="school"
            className="accent-moss"
            checked={school === value}
            onChange={() => setSchool(value)}
          />
          {words}
        </label>
      ))}
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
  const { document: build, results } = useBuild();
  const [units] = useUnits();
  const apart = results.get('demand.disagreement')!.value;
  const shown = (key: string): string => {
    const result = results.get(key)!;
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
            They differ by <Figure of="demand.disagreement" />
            {apart > 0.15 ? ': one input is wrong.' : ': near enough.'}
          </p>
          <p className="mt-1 text-[13px] leading-[18px] text-second">
            They would agree with a consumption of {shown('demand.implied.specificConsumption')}, or
            a volumetric efficiency of {shown('demand.implied.volumetricEfficiency')} at the power
            speed, or a boost of {shown('demand.implied.boost')}.
          </p>
          <Pick />
          <dl className="rule mt-4 space-y-1 pt-3">
            <div className="flex justify-between">
              <dt>Peak</dt>
              <dd>
                <Figure of="demand.peak.massFlow" digits={4} />
              </dd>
            </div>
            <QuantityField
              label="Design factor"
              path="limits.designFactor"
              kind="ratio"
              value={build.limits.designFactor}
              unit="%"
            />
            <div className="flex justify-between font-medium">
              <dt>Design</dt>
              <dd>
                <Figure of="demand.design.massFlow" digits={4} />
              </dd>
            </div>
          </dl>
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
