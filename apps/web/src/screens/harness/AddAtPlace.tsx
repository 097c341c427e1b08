import type { Placement } from '@brookrain/core';
import { useState } from 'react';
import { Select } from '../../ui/Select.tsx';

const NONE = '';

/** Enters something that is at a place of the vehicle: first where, then it is there. */
export function AddAtPlace({
  name,
  placeholder,
  act,
  places,
  add,
}: {
  /** of the choice, for those who do not see what is beside it */
  name: string;
  placeholder: string;
  act: string;
  places: readonly Placement[];
  /** whether it was entered */
  add: (place: Placement) => boolean;
}) {
  const [placementId, choose] = useState(NONE);
  const place = places.find(({ id }) => id === placementId);
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2">
      <span className="w-[230px]">
        <Select
          name={name}
          value={placementId}
          choices={[
            { value: NONE, label: placeholder },
            ...places.map((each) => ({ value: each.id, label: each.name })),
          ]}
          onChoose={choose}
        />
      </span>
      <button
        type="button"
        className="act"
        disabled={!place}
        onClick={() => {
          if (place && add(place)) choose(NONE);
        }}
      >
        {act}
      </button>
    </div>
  );
}
