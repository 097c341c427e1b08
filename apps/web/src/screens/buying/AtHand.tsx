import { freeId, newestOf, quantity, refOf } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { Select } from '../../ui/Select.tsx';

/** What lies on the shelf with its count, and what is left of hoses: it is taken off the list. */
export function AtHand() {
  const { document: build, stored, catalogue, edit } = useBuild();
  const hoses = newestOf(catalogue, 'hose');
  const designation = (id: string): string =>
    catalogue.items.find((item) => item.id === id)?.designation ?? id;
  return (
    <>
      <section aria-label="On the shelf">
        <h2>On the shelf</h2>
        {build.shelf.length === 0 && <p className="text-second">Nothing is written down yet.</p>}
        <ul className="space-y-1">
          {build.shelf.map(({ item }) => (
            <li key={item.id}>
              <span className="text-[13px] text-second">{designation(item.id)}</span>
              <FieldOf path={['shelf', item.id, 'count']} />
              <button
                type="button"
                className="act mt-1"
                aria-label={`Take ${designation(item.id)} off the shelf`}
                onClick={() => edit({ name: 'remove', path: ['shelf', item.id] })}
              >
                Remove
              </button>
            </li>
          ))}
        </ul>
        <div className="mt-2">
          <Select
            name="Put a part on the shelf"
            value={undefined}
            placeholder="Put a part on the shelf …"
            choices={catalogue.items
              .filter((item) => !Object.hasOwn(stored.shelf, item.id) && item.category !== 'hose')
              .map((item) => ({ value: item.id, label: item.designation }))}
            onChoose={(id) => {
              const item = catalogue.items.find((each) => each.id === id);
              if (item) {
                edit({ name: 'set', path: ['shelf', id], value: { item: refOf(item), count: 1 } });
              }
            }}
          />
        </div>
      </section>
      <section className="rule mt-3 pt-2" aria-label="Offcuts">
        <h2>Offcuts</h2>
        {build.offcuts.length === 0 && (
          <p className="text-second">None. What is left of a hose is used before new is bought.</p>
        )}
        <ul className="space-y-1">
          {build.offcuts.map(({ id, item }) => (
            <li key={id}>
              <span className="text-[13px] text-second">{designation(item.id)}</span>
              <FieldOf path={['offcuts', id, 'length']} />
              <button
                type="button"
                className="act mt-1"
                aria-label={`Remove the offcut of ${designation(item.id)}`}
                onClick={() => edit({ name: 'remove', path: ['offcuts', id] })}
              >
                Remove
              </button>
            </li>
          ))}
        </ul>
        <div className="mt-2">
          <Select
            name="Write an offcut down"
            value={undefined}
            placeholder="Write an offcut down …"
            choices={hoses.map((hose) => ({ value: hose.id, label: hose.designation }))}
            onChoose={(id) => {
              const hose = hoses.find((each) => each.id === id);
              if (!hose) return;
              edit({
                name: 'set',
                path: ['offcuts', freeId('offcut', build.offcuts)],
                value: { item: refOf(hose), length: quantity(500, 'length', 'mm') },
              });
            }}
          />
        </div>
      </section>
    </>
  );
}
