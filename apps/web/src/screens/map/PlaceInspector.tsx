import { type Placement, zones } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { TextField } from '../../ui/TextField.tsx';

/** A place on the vehicle: what it is called, where it is, how hot it gets there. */
export function PlaceInspector({ place }: { place: Placement }) {
  const { edit } = useBuild();
  const path = ['placements', place.id];
  return (
    <div key={place.id} className="mt-2 space-y-1.5">
      <TextField path={[...path, 'name']} />
      <ChoiceField
        label="Zone"
        value={place.zone}
        choices={zones.map((zone) => ({ value: zone, label: zone.replace('-', ' ') }))}
        onChoose={(value) => edit({ name: 'set', path: [...path, 'zone'], value })}
      />
      <QuantityField path={[...path, 'x']} />
      <QuantityField path={[...path, 'y']} />
      <QuantityField path={[...path, 'z']} />
      <p className="text-[13px] text-second">
        Heights count in the circuit, lengths that nobody typed or measured follow.
      </p>
    </div>
  );
}
