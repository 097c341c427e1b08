import {
  type Carrier,
  type PlacedComponent,
  type Placement,
  benchLength,
  carriersNear,
  componentFigure,
  fixingParts,
  usualFixing,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { designOf } from './designOf.ts';

const ontoText = (onto: Carrier): string => {
  switch (onto.kind) {
    case 'mounting-line':
      return `mountingLines:${onto.mountingLineId}`;
    case 'solid':
      return `solids:${onto.solidId}`;
    case 'sheet':
      return `sheets:${onto.sheetId}`;
  }
};

/** Whether the holes are drilled: where the part sat then is a fact. */
function Drilled({ placement, path }: { placement: Placement; path: readonly string[] }) {
  const { edit } = useBuild();
  const [units] = useUnits();
  const { x, y, z } = placement;
  const drilled = placement.fixing?.drilled;
  return (
    <>
      <h3>As made</h3>
      <p className="text-second">
        {drilled
          ? `Drilled with the part at ${[drilled.x, drilled.y, drilled.z]
              .map(({ value }) => benchLength(value, units))
              .join(', ')}.`
          : 'Not drilled yet. Once it is, where the part sits is a fact.'}
      </p>
      <button
        type="button"
        className="act"
        onClick={() => edit({ name: 'set', path, value: drilled ? null : { x, y, z } })}
      >
        {drilled ? 'A new one is made: not drilled yet' : 'It is drilled, here'}
      </button>
    </>
  );
}

/** How a part is fastened to the vehicle: to what, by what, with which bolts; its plate drawn. */
export function FixingPanel({ component }: { component: PlacedComponent }) {
  const { document: build, edit, catalogue } = useBuild();
  const { placement, item } = component;
  const path = ['placements', placement.id, 'fixing'];
  const carriers = carriersNear(component, build);
  const { fixing } = placement;
  const near = carriers[0];
  if (!fixing) {
    return (
      <section className="rule mt-3 pt-2">
        <h3>Fastened by</h3>
        <p className="text-second">
          {near
            ? `Nothing yet; ${near.name.toLowerCase()} is beside it.`
            : 'Nothing yet; nothing within 200 mm can carry it. Put a mounting line on the map, or say that a solid thing carries mounts.'}
        </p>
        {near && (
          <button
            type="button"
            className="act act-main mt-2"
            onClick={() => edit({ name: 'set', path, value: usualFixing(item, near) })}
          >
            Fasten it to {near.name.toLowerCase()}
          </button>
        )}
      </section>
    );
  }
  const named = [
    ...build.mountingLines.map(({ id: key, name }) => [`mountingLines:${key}`, name] as const),
    ...build.solids.map(({ id: key, name }) => [`solids:${key}`, name] as const),
    ...build.sheets.map(({ id: key, name }) => [`sheets:${key}`, name] as const),
  ];
  const offered = new Set([ontoText(fixing.onto), ...carriers.map(({ onto }) => ontoText(onto))]);
  return (
    <section className="rule mt-3 space-y-1.5 pt-2" aria-label="Fastened by">
      <h3>Fastened by</h3>
      <ChoiceField
        label="Onto"
        value={ontoText(fixing.onto)}
        choices={named
          .filter(([value]) => offered.has(value))
          .map(([value, label]) => ({ value, label }))}
        onChoose={(value) => {
          const carrier = carriers.find(({ onto }) => ontoText(onto) === value);
          if (carrier) edit({ name: 'set', path: [...path, 'onto'], value: carrier.onto });
        }}
      />
      {['means', 'metal', 'thickness', 'standoff', 'rubber', 'bolt', 'bolts'].map((field) => (
        <div key={field}>
          <FieldOf path={[...path, field]} />
        </div>
      ))}
      <FigureRows
        rows={[
          ['From what carries it', componentFigure('fixing.reach', { component: component.id })],
          ['Bolts', componentFigure('fixing.boltLength', { component: component.id })],
          ['Least between bolts', componentFigure('fixing.boltPitch', { component: component.id })],
          [
            'Load of a bolt, hard knock',
            componentFigure('fixing.boltLoad', { component: component.id }),
          ],
          ['Plate', componentFigure('fixing.mass', { component: component.id })],
        ]}
      />
      <h3>It takes</h3>
      <ul>
        {partsOf(component, catalogue).map(({ item: part, words, count }) => (
          <li key={words}>
            {count} × {part?.designation ?? `${words}, not in the catalogue`}
          </li>
        ))}
      </ul>
      <Drilled placement={placement} path={[...path, 'drilled']} />
      <button
        type="button"
        className="act"
        onClick={() => edit({ name: 'set', path, value: null })}
      >
        Remove the fixing
      </button>
    </section>
  );
}

function partsOf(component: PlacedComponent, catalogue: ReturnType<typeof useBuild>['catalogue']) {
  const made = designOf(component);
  return made ? fixingParts(made.wanted, made.design, catalogue) : [];
}
