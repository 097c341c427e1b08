import {
  type BuildDocument,
  type CatalogueCategory,
  type CircuitElement,
  type ItemRef,
  newestOf,
  pumpsOf,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { type OpenCircuit, useCircuit } from '../../build/useCircuit.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FigureRows, type NamedFigure } from '../../ui/FigureRows.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { BuilderActions } from './BuilderActions.tsx';
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
  { suffix, elementKey }: Pick<OpenCircuit, 'suffix' | 'elementKey'>,
  singleRow: boolean,
  pumpNumber: number,
): readonly NamedFigure[] {
  const key = elementKey(element.id);
  switch (element.kind) {
    case 'tank':
      return [
        ['Warms in an hour', `tank${suffix}.heatingPerHour`],
        ['Range at cruise', `range${suffix}.distance`],
      ];
    case 'surge-tank':
      return [
        ['Lasts at peak', `surge${suffix}.seconds`],
        ['Lift pump gives', `surge${suffix}.liftRatio`],
      ];
    case 'injectors': {
      const row = singleRow ? '' : `.${element.rowId}`;
      return [
        ['Rail pressure', `rail${row || suffix}.peak.pressure`],
        ['Injector Δp', `injector${row}.peak.deltaP`],
        ['Sag', `injector${row}.peak.sag`],
        ['Duty', `injector${row}.peak.duty`],
        ['Prime, full line', `prime${suffix}.time`],
      ];
    }
    case 'pump': {
      const at = `case.peakPower.pump.${pumpNumber}`;
      return [
        ['Flow', `${at}.flow`],
        ['Voltage', `${at}.voltage`],
        ['Current', `${at}.current`],
        ['In hand', `${at}.margin`],
        ['Inlet above boiling', `suction.peak${suffix}.${element.id}.inletHead`],
      ];
    }
    case 'regulator':
    case 'filter-regulator':
      return [
        ...(element.kind === 'regulator' ? [] : [['Loss', `${key}.pressureDrop`] as const]),
        ['Bypass at idle', `return.idle${suffix}.bypass`],
        ['Reserve at idle', `return.idle${suffix}.reserve`],
        ['Reserve on overrun', `return.overrun${suffix}.reserve`],
      ];
    default:
      return [
        ['Loss', `${key}.pressureDrop`],
        ['Velocity', `${key}.velocity`],
        ['Reynolds number', `${key}.reynolds`],
      ];
  }
}

/** Number of a pump over all circuits, as the figures count them. */
const pumpNumberOf = (build: BuildDocument, elementId: string): number =>
  1 + build.fuelCircuits.flatMap(pumpsOf).findIndex((pump) => pump.id === elementId);

type Props = { element: CircuitElement; path: string; select: (id: string) => void };

/** What is known of the selected element, and what can be changed. */
export function ElementInspector({ element, path, select }: Props) {
  const { document: build, evaluation, edit, catalogue } = useBuild();
  const open = useCircuit();
  const findings = evaluation.findings.filter((f) => f.where.endsWith(`/${element.id}`));
  const option = build.options.find((o) =>
    o.alternatives.some((a) => a.values.some((v) => v.path.startsWith(`${path}.`))),
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
      <FigureRows
        title="At peak, worst case"
        rows={figuresOfElement(
          element,
          open,
          build.injectorRows.length === 1,
          pumpNumberOf(build, element.id),
        )}
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
              edit({ name: 'decide', optionId: option.id, alternativeId })
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
