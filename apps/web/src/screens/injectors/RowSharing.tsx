import { type InjectorRow, type Path, quantity, fuelFigure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';

/** What a row fuels, when it works, and what stands in series with its coils. */
export function RowSharing({ row, path }: { row: InjectorRow; path: Path }) {
  const { document: build, edit, results } = useBuild();
  const others = build.injectorRows.filter((r) => r.id !== row.id && r.staging === null);
  const circuit = build.fuelCircuits.find((c) => c.id === row.circuitId);
  const fuel = build.fuels.find((f) => f.id === circuit?.fuelId);
  return (
    <section aria-label="What the row fuels">
      <h2>What the row fuels</h2>
      <p className="text-[13px] text-second">
        {fuel?.name} from the {circuit?.name}.
        {others.length === 0 &&
          ' A second row, with another fuel or the same, is added under Layouts.'}
      </p>
      <div className="mt-2 max-w-[360px] space-y-1.5">
        <QuantityField path={[...path, 'airShare']} />
        {(others.length > 0 || row.staging !== null) && (
          <ChoiceField
            label="Works"
            value={row.staging ? 'staged' : 'always'}
            choices={[
              { value: 'always', label: 'always' },
              { value: 'staged', label: 'staged' },
            ]}
            onChoose={(value) =>
              edit({
                name: 'set',
                path: [...path, 'staging'],
                value:
                  value === 'always'
                    ? null
                    : {
                        aboveDuty: quantity(60, 'ratio', '%'),
                        blend: quantity(10, 'ratio', '%'),
                      },
              })
            }
          />
        )}
        {row.staging && (
          <>
            <QuantityField path={[...path, 'staging', 'aboveDuty']} />
            <QuantityField path={[...path, 'staging', 'blend']} />
            {results.find(fuelFigure('staging.massFlow', { row: row.id })) && (
              <p className="text-[13px] text-second">
                At the power speed it joins at{' '}
                <Figure of={fuelFigure('staging.massFlow', { row: row.id })} /> of engine fuel, the
                map shows where.
              </p>
            )}
          </>
        )}
        <QuantityField path={[...path, 'ballast']} whenEmpty="none" />
        {results.find(fuelFigure('injector.coilCurrent', { row: row.id })) && (
          <p className="text-[13px] text-second">
            Held open each coil draws{' '}
            <Figure of={fuelFigure('injector.coilCurrent', { row: row.id })} />, the row together{' '}
            <Figure of={fuelFigure('injector.rowCurrent', { row: row.id })} />.
          </p>
        )}
      </div>
    </section>
  );
}
