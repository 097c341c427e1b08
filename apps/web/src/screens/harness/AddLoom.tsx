import { type BoughtHarness, ORDER_STEP, freeKey } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { AddAtPlace } from './AddAtPlace.tsx';

const mm = (metres: number) => ({ value: metres, unit: 'mm' });

/** Enters a loom that is bought: where its plug is. */
export function AddLoom() {
  const { document: build, stored, edit } = useBuild();
  return (
    <AddAtPlace
      name="Connector of a new loom"
      placeholder="where its plug is"
      act="Add a loom"
      places={build.placements}
      add={(place) => {
        const { bought } = stored.harness;
        const value = {
          order: ORDER_STEP * (Object.keys(bought).length + 1),
          name: `Loom from ${place.name}`.slice(0, 80),
          placementId: place.id,
          price: null,
          legs: {},
        };
        const path = ['harness', 'bought', freeKey('loom', bought)];
        return edit({ name: 'set', path, value }).ok;
      }}
    />
  );
}

/** Enters a leg of a loom: to where; how long it is stands beside it then. */
export function AddLeg({ loom, onAdded }: { loom: BoughtHarness; onAdded: (id: string) => void }) {
  const { document: build, stored, edit } = useBuild();
  const there = new Set([loom.placementId, ...loom.legs.map((leg) => leg.placementId)]);
  return (
    <AddAtPlace
      name={`New leg of ${loom.name}`}
      placeholder="where a leg goes"
      act="Enter a leg"
      places={build.placements.filter(({ id }) => !there.has(id))}
      add={(place) => {
        const legs = stored.harness.bought[loom.id]?.legs ?? {};
        const id = freeKey('leg', legs);
        const value = {
          order: ORDER_STEP * (Object.keys(legs).length + 1),
          name: `To ${place.name.toLowerCase()}`.slice(0, 80),
          placementId: place.id,
          length: mm(1),
          leavesAt: mm(0),
          leaves: 'square',
          changed: mm(0),
          size: null,
        };
        const path = ['harness', 'bought', loom.id, 'legs', id];
        if (!edit({ name: 'set', path, value }).ok) return false;
        onAdded(id);
        return true;
      }}
    />
  );
}
