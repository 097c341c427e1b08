import { type TankElement, attitudeWords, attitudes, fuelFigure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { useCircuit } from '../../build/useCircuit.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';

/** Which box on the map a tank is, what keeps fuel at its pickup, and when that falls dry. */
export function TankOnMap({ tank }: { tank: TankElement }) {
  const { document: build, edit } = useBuild();
  const { circuit, scope } = useCircuit();
  const onMap = build.tanks.find((t) => t.circuitId === circuit.id && t.elementId === tank.id);
  const boxes = build.solids.filter((solid) => solid.part === 'tank');
  const path = ['tanks', onMap?.id ?? tank.id];
  return (
    <section className="rule mt-3 space-y-1.5 pt-2">
      <h3>On the map</h3>
      <ChoiceField
        label="Its box"
        value={onMap?.solidId ?? ''}
        choices={[
          { value: '', label: boxes.length > 0 ? 'not said' : 'no tank on the map' },
          ...boxes.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChoose={(solidId) =>
          edit(
            solidId === ''
              ? { name: 'remove', path }
              : {
                  name: 'set',
                  path,
                  value: {
                    circuitId: circuit.id,
                    elementId: tank.id,
                    solidId,
                    swirl: onMap?.swirl ?? null,
                  },
                },
          )
        }
      />
      {onMap && (
        <>
          <FieldOf path={[...path, 'swirl']} />
          <FigureRows
            title="Pickup falls dry below"
            rows={attitudes.map((attitude) => [
              attitudeWords[attitude],
              fuelFigure('tank.starve', { ...scope, case: attitude }),
            ])}
          />
          <FigureRows rows={[['Swirl pot lasts at peak', fuelFigure('tank.swirlLasts', scope)]]} />
        </>
      )}
    </section>
  );
}
