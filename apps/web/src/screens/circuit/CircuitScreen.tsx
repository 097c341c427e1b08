import { type CaseName, caseNames, formatMeasure } from '@brookrain/core';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { CircuitDrawing } from './CircuitDrawing.tsx';
import { ElementInspector } from './ElementInspector.tsx';
import { PressureProfile } from './PressureProfile.tsx';

/** Case names short enough to stand in one line. */
const shortLabel = (label: string): string =>
  label
    .replace(/, (worst case|fuel cut|cold|estimate)$/, '')
    .replace('Peak torque, low voltage', 'Low voltage')
    .replace('Peak power, filters loaded', 'Filters loaded')
    .replace(/^Peak power, (.*) lost$/, 'Pump lost');

/** The fuel run, solved as a network in the case that is looked at. */
export function CircuitScreen() {
  const { document: build, evaluation } = useBuild();
  const [units] = useUnits();
  const [shown, setShown] = useState<CaseName | 'pumpLost'>('peakPower');
  const circuit = build.fuelCircuits[0]!;
  const fluid = evaluation.fluids[0]!;
  const firstTrouble = evaluation.findings
    .find((f) => f.where.startsWith('circuit:'))
    ?.where.split('/')[1];
  const [query] = useSearchParams();
  const asked = query.get('element');
  const [picked, setSelected] = useState<string>();
  const selected = picked ?? asked ?? firstTrouble ?? 'feed';
  const index = Math.max(
    0,
    circuit.elements.findIndex((e) => e.id === selected),
  );
  const element = circuit.elements[index]!;
  const { solution, point } = fluid.cases[shown] ?? fluid.cases.peakPower;
  const shownCases = [...caseNames, ...(fluid.cases.pumpLost ? (['pumpLost'] as const) : [])];
  const solved = solution.state === 'converged' ? solution : undefined;
  const rail = circuit.elements.find((e) => e.kind === 'injectors');
  const railPressure = (rail && solved?.elements[rail.id]?.inletPressure) ?? 0;
  return (
    <Screen
      title="Fuel circuit"
      lead="The run from tank to engine and back, solved as one network with the pump and its wiring."
      inspector={
        <>
          <ElementInspector
            key={element.id}
            element={element}
            path={`fuelCircuits.0.elements.${index}`}
          />
          <Cautions place="circuit" />
        </>
      }
    >
      <div className="flex flex-wrap gap-1" role="radiogroup" aria-label="Case">
        {shownCases.map((name) => (
          <button
            key={name}
            type="button"
            role="radio"
            aria-checked={shown === name}
            className={`min-h-7 border-b-[3px] px-2 ${shown === name ? 'border-moss font-medium' : 'border-transparent text-second hover:text-ink'}`}
            onClick={() => setShown(name)}
          >
            {shortLabel(fluid.cases[name]?.point.label ?? '')}
          </button>
        ))}
      </div>
      <p className="mt-1 text-[13px] text-second">
        {point.label}: {formatMeasure({ value: point.systemVoltage, kind: 'voltage' }, units)} at
        the battery, manifold{' '}
        {formatMeasure({ value: point.manifoldGauge, kind: 'pressure' }, units)} gauge
        {point.speed > 0 ? `, ${Math.round(point.speed * 60)} rpm` : ', engine standing'}. A gauge
        on the rail should read{' '}
        <strong className="font-medium text-ink">
          {solved
            ? formatMeasure({ value: railPressure, kind: 'pressure' }, units)
            : 'nothing: not solved'}
        </strong>
        .
      </p>
      {solution.state === 'failed' && (
        <p role="alert" className="mt-2 text-signal">
          {solution.reason}
        </p>
      )}
      <CircuitDrawing
        circuit={circuit}
        solution={solved}
        selected={element.id}
        select={setSelected}
      />
      <p className="flex flex-wrap gap-x-5 text-[13px] text-second">
        <span>S suction</span>
        <span>F feed</span>
        <span>R return</span>
        <span>H rail</span>
        <span>◇ a finding stands here</span>
      </p>
      {solved && <PressureProfile circuit={circuit} solution={solved} selected={element.id} />}
    </Screen>
  );
}
