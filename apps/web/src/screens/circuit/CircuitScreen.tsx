import {
  type CaseName,
  architectureNotes,
  caseNames,
  circuitOf,
  elementOf,
  entryAt,
  formatMeasure,
} from '@brookrain/core';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { useCircuit } from '../../build/useCircuit.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { CircuitTabs } from '../../ui/CircuitTabs.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
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
  const { id, evaluation } = useBuild();
  const [units] = useUnits();
  const [shown, setShown] = useState<CaseName | 'pumpLost'>('peakPower');
  const { circuit, fluid } = useCircuit();
  const trouble = evaluation.findings.find((f) => circuitOf(f.where) === circuit.id);
  const firstTrouble = trouble && elementOf(trouble.where);
  const [query] = useSearchParams();
  const asked = query.get('element');
  const [picked, setSelected] = useState<string>();
  // What was picked in the other circuit is not here.
  const here = (id: string | null | undefined): boolean =>
    circuit.elements.some((e) => e.id === id);
  const selected = [picked, asked, firstTrouble].find(here);
  const index = Math.max(
    0,
    circuit.elements.findIndex((e) => e.id === selected),
  );
  const element = entryAt(circuit.elements, index);
  // Drawn is what was solved: an edit shows once its answer is there.
  const solvedCircuit = fluid.design.circuit;
  const { solution, point } = fluid.cases[shown] ?? fluid.cases.peakPower;
  const shownCases = [...caseNames, ...(fluid.cases.pumpLost ? (['pumpLost'] as const) : [])];
  const solved = solution.state === 'converged' ? solution : undefined;
  const rail = solvedCircuit.elements.find((e) => e.kind === 'injectors');
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
            path={['fuelCircuits', circuit.id, 'elements', element.id]}
            shown={shown === 'peakPower' ? undefined : fluid.cases[shown]}
            select={setSelected}
          />
          <Cautions place="circuit" />
        </>
      }
    >
      <CircuitTabs />
      <div className="mb-1 flex flex-wrap items-baseline gap-x-3">
        <span className="font-medium">{architectureNotes[circuit.architecture].name}</span>
        <Link className="underline" to={`/builds/${id}/layouts?circuit=${circuit.id}`}>
          Other layouts, a second fuel
        </Link>
      </div>
      <Tabs
        label="Case"
        value={shown in fluid.cases ? shown : 'peakPower'}
        choices={shownCases.map((name) => ({
          value: name,
          label: shortLabel(fluid.cases[name]?.point.label ?? ''),
        }))}
        onChoose={setShown}
      />
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
        circuit={solvedCircuit}
        fluid={fluid}
        solution={solved}
        selected={element.id}
        select={setSelected}
      />
      <p className="flex flex-wrap gap-x-5 text-[13px] text-second">
        <span>S suction</span>
        <span>F feed</span>
        <span>R return</span>
        <span>H rail</span>
        <span>◇ has a finding</span>
      </p>
      {solved && (
        <PressureProfile circuit={solvedCircuit} solution={solved} selected={element.id} />
      )}
    </Screen>
  );
}
