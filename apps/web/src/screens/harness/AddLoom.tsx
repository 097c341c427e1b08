import { type BoughtHarness, freeKey } from '@brookrain/core';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { Select } from '../../ui/Select.tsx';

const ORDER_STEP = 1000;
const NONE = '';
const mm = (metres: number) => ({ value: metres, unit: 'mm' });

/** Enters a loom that is bought: where its plug is. */
export function AddLoom() {
  const { document: build, stored, edit } = useBuild();
  const [placementId, choose] = useState(NONE);
  const place = build.placements.find(({ id }) => id === placementId);
  return (
    <div className="rule mt-4 flex flex-wrap items-center gap-2 pt-3">
      <span className="w-[230px]">
        <Select
          name="Plug of a new loom"
          value={placementId}
          choices={[
            { value: NONE, label: 'where its plug is' },
            ...build.placements.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChoose={choose}
        />
      </span>
      <button
        type="button"
        className="act"
        disabled={!place}
        onClick={() => {
          if (!place) return;
          const { bought } = stored.harness;
          const value = {
            order: ORDER_STEP * (Object.keys(bought).length + 1),
            name: `Loom from ${place.name}`.slice(0, 80),
            placementId,
            price: null,
            legs: {},
          };
          const path = ['harness', 'bought', freeKey('loom', bought)];
          if (edit({ name: 'set', path, value }).ok) choose(NONE);
        }}
      >
        Enter a loom
      </button>
    </div>
  );
}

/** Enters a leg of a loom: to where; how long it is stands beside it then. */
export function AddLeg({ loom, onAdded }: { loom: BoughtHarness; onAdded: (id: string) => void }) {
  const { document: build, stored, edit } = useBuild();
  const [placementId, choose] = useState(NONE);
  const there = new Set([loom.placementId, ...loom.legs.map((leg) => leg.placementId)]);
  const places = build.placements.filter(({ id }) => !there.has(id));
  const place = places.find(({ id }) => id === placementId);
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2">
      <span className="w-[230px]">
        <Select
          name={`New leg of ${loom.name}`}
          value={placementId}
          choices={[
            { value: NONE, label: 'where a leg leads to' },
            ...places.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChoose={choose}
        />
      </span>
      <button
        type="button"
        className="act"
        disabled={!place}
        onClick={() => {
          if (!place) return;
          const legs = stored.harness.bought[loom.id]?.legs ?? {};
          const id = freeKey('leg', legs);
          const value = {
            order: ORDER_STEP * (Object.keys(legs).length + 1),
            name: `To ${place.name.toLowerCase()}`.slice(0, 80),
            placementId,
            length: mm(1),
            leavesAt: mm(0),
            leaves: 'square',
            changed: mm(0),
            size: null,
          };
          const path = ['harness', 'bought', loom.id, 'legs', id];
          if (!edit({ name: 'set', path, value }).ok) return;
          choose(NONE);
          onAdded(id);
        }}
      >
        Enter a leg
      </button>
    </div>
  );
}
