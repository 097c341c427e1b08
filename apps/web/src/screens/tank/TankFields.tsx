import { TANK_AS_FOUND, type TankElement, type TankOnMap } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { useCircuit } from '../../build/useCircuit.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FieldOf } from '../../ui/FieldOf.tsx';

/** Plain fields of a tank, in the order in which one looks at it. */
const fields = [
  'pickup',
  'pickupHeight',
  'sock',
  'swirl',
  'baffle',
  'rollOver',
  'sender',
  'filler',
  'drain',
  'bung',
] as const satisfies readonly (keyof TankOnMap)[];

/** Which box on the map a tank is, and what is in it and on it. */
export function TankFields({ tank, onMap }: { tank: TankElement; onMap: TankOnMap | undefined }) {
  const { document: build, edit } = useBuild();
  const { circuit } = useCircuit();
  const boxes = build.solids.filter((solid) => solid.part === 'tank');
  const path = ['tanks', onMap?.id ?? tank.id];
  const element = ['fuelCircuits', circuit.id, 'elements', tank.id];
  return (
    <section className="space-y-1.5" aria-label={tank.name}>
      <h2>{tank.name}</h2>
      <FieldOf path={[...element, 'usableVolume']} />
      <ChoiceField
        label="Its box on the map"
        value={onMap?.solidId ?? ''}
        choices={[
          { value: '', label: boxes.length > 0 ? 'not said' : 'no tank on the map' },
          ...boxes.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChoose={(solidId) => {
          const { id: _, ...known } = onMap ?? { ...TANK_AS_FOUND, id: '' };
          edit(
            solidId === ''
              ? { name: 'remove', path }
              : {
                  name: 'set',
                  path,
                  value: { ...known, circuitId: circuit.id, elementId: tank.id, solidId },
                },
          );
        }}
      />
      {onMap &&
        fields.map((field) => (
          <div key={field}>
            <FieldOf path={[...path, field]} />
          </div>
        ))}
    </section>
  );
}
