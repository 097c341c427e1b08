import {
  type Path,
  type Build,
  type CatalogueCategory,
  type CircuitElement,
  type ItemRef,
  type ToldCase,
  newestOf,
  pumpsOf,
  fuelFigure,
  rowScope,
  elementOf,
} from '@brookrain/core';
import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { type OpenCircuit, useCircuit } from '../../build/useCircuit.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FigureRows, type NamedFigure } from '../../ui/FigureRows.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { BuilderActions } from './BuilderActions.tsx';
import { CaseRows } from './CaseRows.tsx';
import { ElementFields } from './ElementFields.tsx';

const categories = {
  fitting: 'fitting',
  line: 'hose',
  filter: 'filter',
  pump: 'pump',
  regulator: 'regulator',
  'filter-regulator': 'filter-regulator',
  'dead-head-regulator': 'dead-head-regulator',
} as const satisfies Partial<Record<CircuitElement['kind'], CatalogueCategory>>;

function PartChoice({ element }: { element: Extract<CircuitElement, { item: ItemRef }> }) {
  const { catalogue, edit } = useBuild();
  const { circuit } = useCircuit();
  const items = newestOf(catalogue, categories[element.kind]).filter(
    (item) =>
      item.id === element.item.id ||
      element.kind !== 'fitting' ||
      item.family === catalogue.items.find((i) => i.id === element.item.id)?.family,
  );
  return (
    <ChoiceField
      wide
      label="Part"
      value={element.item.id}
      choices={items.map((item) => ({
        value: item.id,
        label: `${item.designation}${item.category === 'hose' ? `, ${item.family}` : ''}`,
      }))}
      onChoose={(id) => {
        const item = items.find((i) => i.id === id)!;
        edit({
          name: 'choose-part',
          circuitId: circuit.id,
          elementId: element.id,
          item: { id, revision: item.revision },
        });
      }}
    />
  );
}

/** The figures that matter for a kind of element. */
function figuresOfElement(
  element: CircuitElement,
  { scope }: Pick<OpenCircuit, 'scope'>,
  rows: Build['injectorRows'],
  pumpNumber: number,
): readonly NamedFigure[] {
  const of = { ...scope, element: element.id };
  switch (element.kind) {
    case 'tank':
      return [
        ['Warms in an hour', fuelFigure('tank.heatingPerHour', scope)],
        ['Then, on a hot day', fuelFigure('tank.afterHour', scope)],
        ['Range at cruise', fuelFigure('range.distance', scope)],
      ];
    case 'surge-tank':
      return [
        ['Lasts at peak', fuelFigure('surge.seconds', scope)],
        ['Lift pump delivers', fuelFigure('surge.liftRatio', scope)],
      ];
    case 'injectors': {
      const row = rowScope(rows, element.rowId);
      const rail = rows.length === 1 ? scope : row;
      return [
        ['Rail pressure', fuelFigure('rail.pressure', { ...rail, at: 'peak' })],
        ['Injector Δp', fuelFigure('injector.deltaP', { ...row, at: 'peak' })],
        ['Sag', fuelFigure('injector.sag', { ...row, at: 'peak' })],
        ['Duty', fuelFigure('injector.duty', { ...row, at: 'peak' })],
        ['Prime, full line', fuelFigure('prime.time', scope)],
      ];
    }
    case 'pump': {
      const at = { case: 'peakPower', pump: pumpNumber };
      return [
        ['Flow', fuelFigure('case.pump.flow', at)],
        ['Voltage', fuelFigure('case.pump.voltage', at)],
        ['Current', fuelFigure('case.pump.current', at)],
        ['Margin', fuelFigure('case.pump.margin', at)],
        ['Inlet above boiling', fuelFigure('suction.inletHead', { ...scope, pump: element.id })],
      ];
    }
    case 'regulator':
    case 'filter-regulator':
      return [
        ...(element.kind === 'regulator'
          ? []
          : [['Loss', fuelFigure('element.pressureDrop', of)] as const]),
        ['Bypass at idle', fuelFigure('return.bypass', { ...scope, at: 'idle' })],
        ['Reserve at idle', fuelFigure('return.reserve', { ...scope, at: 'idle' })],
        ['Reserve on overrun', fuelFigure('return.reserve', { ...scope, at: 'overrun' })],
      ];
    case 'fitting':
    case 'line':
    case 'filter':
    case 'dead-head-regulator':
    case 'orifice':
      return [
        ['Loss', fuelFigure('element.pressureDrop', of)],
        ['Velocity', fuelFigure('element.velocity', of)],
        ['Reynolds number', fuelFigure('element.reynolds', of)],
      ];
  }
}

/** Number of a pump over all circuits, as the figures count them. */
const pumpNumberOf = (build: Build, elementId: string): number =>
  1 + build.fuelCircuits.flatMap(pumpsOf).findIndex((pump) => pump.id === elementId);

type Props = {
  element: CircuitElement;
  path: Path;
  /** the case that is looked at, where it is another than peak power */
  shown: ToldCase | undefined;
  select: (id: string) => void;
};

/** What is known of the selected element, and what can be changed. */
export function ElementInspector({ element, path, shown, select }: Props) {
  const { document: build, evaluation, edit, catalogue } = useBuild();
  const open = useCircuit();
  const findings = evaluation.findings.filter((f) => elementOf(f.where) === element.id);
  const option = build.options.find((o) =>
    o.alternatives.some((a) => a.values.some((v) => path.every((key, i) => v.path[i] === key))),
  );
  const chosen = option?.alternatives.find((a) => a.id === option.chosen);
  return (
    <>
      <h2>{element.name}</h2>
      <div className="mt-2 space-y-1.5">
        {'item' in element && <PartChoice element={element} />}
        <ElementFields element={element} path={path} />
      </div>
      {element.kind === 'line' && element.fittings.length > 0 && (
        <ul className="mt-2 text-[13px]">
          {element.fittings.map((use) => (
            <li key={use.item.id} className="flex justify-between">
              <span>{catalogue.items.find((i) => i.id === use.item.id)?.designation}</span>
              <span className="text-second">{use.count} ×</span>
            </li>
          ))}
        </ul>
      )}
      {element.kind === 'line' && (
        <p className="mt-2 text-[13px]">
          <Link to={`../lines?of=${element.id}`}>Its ends and what it is cut to</Link>
        </p>
      )}
      {shown && (
        <CaseRows element={element} shown={shown} density={open.fluid.design.fuel.hot.density} />
      )}
      <FigureRows
        title="At peak, worst case"
        rows={figuresOfElement(element, open, build.injectorRows, pumpNumberOf(build, element.id))}
      />
      <BuilderActions element={element} select={select} />
      {option && chosen && (
        <section className="rule mt-3 pt-2">
          <ChoiceField
            wide
            label={`Decision: ${option.title}`}
            value={option.chosen}
            choices={option.alternatives.map((a) => ({ value: a.id, label: a.name }))}
            onChoose={(alternativeId) =>
              edit({ name: 'decide', optionId: option.id, alternativeId, assemblies: {} })
            }
          />
          <p className="mt-1 text-[13px] text-second">{chosen.reason}</p>
        </section>
      )}
      <div className="mt-3">
        {findings.map((finding) => (
          <FindingNote key={finding.id} finding={finding} />
        ))}
      </div>
    </>
  );
}
