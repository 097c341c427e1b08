import {
  type CatalogueCategory,
  type CircuitElement,
  type ItemRef,
  formatMeasure,
  newestOf,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { FigureRows, type NamedFigure } from '../../ui/FigureRows.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { useUnits } from '../../ui/preferences.ts';

const categories = {
  fitting: 'fitting',
  line: 'hose',
  filter: 'filter',
  pump: 'pump',
  regulator: 'regulator',
  'filter-regulator': 'filter-regulator',
} as const satisfies Partial<Record<CircuitElement['kind'], CatalogueCategory>>;

function PartChoice({ element }: { element: Extract<CircuitElement, { item: ItemRef }> }) {
  const { document: build, catalogue, edit } = useBuild();
  const circuit = build.fuelCircuits[0]!;
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
function figuresOfElement(element: CircuitElement): readonly NamedFigure[] {
  const key = `circuit.${element.id}`;
  switch (element.kind) {
    case 'injectors':
      return [
        ['Rail pressure', 'rail.peak.pressure'],
        ['Injector Δp', 'injector.peak.deltaP'],
        ['Sag', 'injector.peak.sag'],
        ['Duty', 'injector.peak.duty'],
      ];
    case 'pump':
      return [
        ['Voltage', 'pump.peak.voltage'],
        ['Current', 'pump.peak.current'],
        ['Margin', 'pump.peak.margin'],
        ['Inlet above boiling', `suction.peak.${element.id}.inletHead`],
      ];
    case 'regulator':
    case 'filter-regulator':
      return [
        ...(element.kind === 'regulator' ? [] : [['Loss', `${key}.pressureDrop`] as const]),
        ['Bypass at idle', 'return.idle.bypass'],
        ['Reserve at idle', 'return.idle.reserve'],
        ['Reserve on overrun', 'return.overrun.reserve'],
      ];
    default:
      return [
        ['Loss', `${key}.pressureDrop`],
        ['Velocity', `${key}.velocity`],
        ['Reynolds number', `${key}.reynolds`],
      ];
  }
}

/** What is known of the selected element, and what can be changed. */
export function ElementInspector({ element, path }: { element: CircuitElement; path: string }) {
  const { document: build, evaluation, results, edit, catalogue } = useBuild();
  const [units] = useUnits();
  const findings = evaluation.findings.filter((f) => f.where.endsWith(`/${element.id}`));
  const key = `circuit.${element.id}`;
  const option = build.options.find((o) =>
    o.alternatives.some((a) => a.values.some((v) => v.path.startsWith(path))),
  );
  const chosen = option?.alternatives.find((a) => a.id === option.chosen);
  return (
    <>
      <h2>{element.name}</h2>
      <div className="mt-2 space-y-1.5">
        {'item' in element && <PartChoice element={element} />}
        {element.kind === 'tank' && (
          <>
            <QuantityField
              label="Lowest fuel above outlet"
              path={`${path}.fuelLevel`}
              kind="length"
              value={element.fuelLevel}
              unit="mm"
            />
            <QuantityField
              label="Pressure in the tank"
              path={`${path}.pressure`}
              kind="pressure"
              value={element.pressure}
              unit="kPa"
            />
          </>
        )}
        {element.kind === 'line' && (
          <>
            <QuantityField
              label="Length, typed"
              path={`${path}.length.typed`}
              kind="length"
              value={element.length.typed}
              unit="m"
              whenEmpty={formatMeasure(
                { value: results.get(`${key}.mapLength`)?.value ?? 0, kind: 'length' },
                units,
              )}
            />
            <QuantityField
              label="Length, measured"
              path={`${path}.length.measured`}
              kind="length"
              value={element.length.measured}
              unit="m"
              whenEmpty="not yet"
            />
            <p className="text-[13px] text-second">
              Used: <Figure of={`${key}.length`} />{' '}
              {
                { measured: 'as measured', typed: 'as typed', map: 'estimated from the map' }[
                  evaluation.lengthSources[element.id] ?? 'map'
                ]
              }
              .
            </p>
          </>
        )}
        {(element.kind === 'filter' || element.kind === 'filter-regulator') && (
          <ChoiceField
            label="State"
            value={element.state}
            choices={[
              { value: 'clean', label: 'clean' },
              { value: 'loaded', label: 'loaded' },
            ]}
            onChoose={(value) => edit({ name: 'set', path: `${path}.state`, value })}
          />
        )}
        {element.kind === 'regulator' && (
          <>
            <QuantityField
              label="Set pressure"
              path={`${path}.setPressure`}
              kind="pressure"
              value={element.setPressure}
              unit="kPa"
            />
            <QuantityField
              label="Manifold reference"
              path={`${path}.manifoldRatio`}
              kind="ratio"
              value={element.manifoldRatio}
              unit=""
            />
          </>
        )}
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
      <FigureRows title="At peak, worst case" rows={figuresOfElement(element)} />
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
