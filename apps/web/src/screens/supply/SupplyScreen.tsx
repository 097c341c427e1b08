import {
  type ElectricCase,
  type SupplyState,
  electricCaseWords,
  electricCases,
  electricsFigure,
  newestOf,
  refOf,
} from '@brookrain/core';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { Failures } from './Failures.tsx';
import { SupplyTree } from './SupplyTree.tsx';

const states: readonly { readonly value: SupplyState; readonly label: string }[] = [
  ...electricCases.map((value) => ({ value, label: electricCaseWords[value] })),
  { value: 'keyOff', label: 'key off' },
];

const columns = [
  ['Loads', 'load.total'],
  ['Alternator delivers', 'alternator.available'],
  ['Margin', 'alternator.margin'],
  ['Battery lasts', 'battery.covers'],
] as const;

/** What is taken and what is given, case by case. */
function Budget() {
  const { results } = useBuild();
  const cell = (figure: (typeof columns)[number][1], inCase: ElectricCase) => {
    const ref = electricsFigure(figure, { case: inCase });
    return results.find(ref) ? <Figure of={ref} /> : <span className="text-second">–</span>;
  };
  return (
    <table className="table-lined w-full max-w-[720px]" aria-label="Loads and alternator">
      <thead>
        <tr>
          <th>When</th>
          {columns.map(([label]) => (
            <th key={label} className="text-right">
              {label}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {electricCases.map((inCase) => (
          <tr key={inCase}>
            <th scope="row">{electricCaseWords[inCase]}</th>
            {columns.map(([label, figure]) => (
              <td key={label} className="whitespace-nowrap text-right">
                {cell(figure, inCase)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What the balance rests on: battery, and the shares of alternator and battery. */
function Shares() {
  const { document: build, catalogue, edit } = useBuild();
  const batteries = newestOf(catalogue, 'battery');
  return (
    <>
      <h2>Battery and alternator</h2>
      <div className="mt-2 space-y-1.5">
        <ChoiceField
          wide
          label="Battery"
          value={build.power.battery.id}
          choices={batteries.map(({ id, designation }) => ({ value: id, label: designation }))}
          onChoose={(id) => {
            const item = batteries.find((each) => each.id === id);
            if (item) edit({ name: 'set', path: ['power', 'battery'], value: refOf(item) });
          }}
        />
        <QuantityField path={['limits', 'batteryUsable']} />
        <QuantityField path={['limits', 'alternatorAtIdle']} />
        <QuantityField path={['limits', 'alternatorHot']} />
      </div>
      <FigureRows
        title="With the key off"
        rows={[
          ['Drain', electricsFigure('battery.drain')],
          ['Battery lasts', electricsFigure('battery.daysUntilFlat')],
        ]}
      />
    </>
  );
}

/** From the battery to what takes current: volts, amps, alternator and battery in every case. */
export function SupplyScreen() {
  const { evaluation } = useBuild();
  const [state, setState] = useState<SupplyState>('worst');
  const [all, setAll] = useState(true);
  const findings = evaluation.findings.filter(({ where }) => where.stage === 'supply');
  return (
    <Screen
      title="Charging and loads"
      lead="From the battery through fuses and relays to the loads, and whether the alternator can carry them."
      inspector={<Shares />}
    >
      {findings.map((finding) => (
        <FindingNote key={finding.id} finding={finding} />
      ))}
      <Budget />
      <div className="mt-4 flex flex-wrap items-center justify-between gap-2">
        <Tabs label="Volts and amps when" value={state} choices={states} onChoose={setState} />
        <Tick checked={all} onChange={setAll}>
          {state === 'keyOff' ? 'also what is dead' : 'show branches without current'}
        </Tick>
      </div>
      <SupplyTree state={state} all={all} />
      <Failures />
    </Screen>
  );
}
