import {
  type BoughtHarness,
  type BoughtLeg,
  harnessFigure,
  newestOf,
  refOf,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';

const BY_RULES = '';

/** A leg of a bought loom: how long it is, where it leaves, what was changed; and the loom it is of. */
export function LegInspector({ loom, leg }: { loom: BoughtHarness; leg: BoughtLeg }) {
  const { document: build, catalogue, edit } = useBuild();
  const ofLoom = ['harness', 'bought', loom.id];
  const path = [...ofLoom, 'legs', leg.id];
  const of = { loom: loom.id, leg: leg.id };
  const wires = newestOf(catalogue, 'wire').filter(
    ({ system }) => system === build.power.wireSystem,
  );
  const places = build.placements.map(({ id, name }) => ({ value: id, label: name }));
  return (
    <>
      <h2>{leg.name}</h2>
      <FigureRows
        rows={[
          ['Is', harnessFigure('leg.length', of)],
          ['Needs', harnessFigure('leg.needed', of)],
          ['Left over', harnessFigure('leg.slack', of)],
        ]}
      />
      <div className="mt-2 space-y-1.5">
        <FieldOf path={[...path, 'name']} />
        <ChoiceField
          wide
          label="Leads to"
          value={leg.placementId}
          choices={places}
          onChoose={(value) => edit({ name: 'set', path: [...path, 'placementId'], value })}
        />
        <FieldOf path={[...path, 'length']} />
        <FieldOf path={[...path, 'leavesAt']} />
        <FieldOf path={[...path, 'leaves']} />
        <FieldOf path={[...path, 'changed']} />
        <ChoiceField
          label="Wire"
          value={leg.size?.id ?? BY_RULES}
          choices={[
            { value: BY_RULES, label: 'by rules' },
            ...wires.map(({ id, size }) => ({ value: id, label: size })),
          ]}
          onChoose={(id) => {
            const size = wires.find((each) => each.id === id);
            edit({ name: 'set', path: [...path, 'size'], value: size ? refOf(size) : null });
          }}
        />
        <button type="button" className="act" onClick={() => edit({ name: 'remove', path })}>
          Remove the leg
        </button>
      </div>
      <section className="rule mt-3 space-y-1.5 pt-2" aria-label="The loom">
        <h3>The loom</h3>
        <FieldOf path={[...ofLoom, 'name']} />
        <ChoiceField
          wide
          label="Its connector is at"
          value={loom.placementId}
          choices={places}
          onChoose={(value) => edit({ name: 'set', path: [...ofLoom, 'placementId'], value })}
        />
        <FieldOf path={[...ofLoom, 'price']} />
      </section>
      <p className="mt-2 text-[13px] text-second">
        Relays and fuses on its pigtails are ordinary devices: add them, place them, and route a leg
        there. Tie a turned branch on both sides, and support every connector within 100 mm.
      </p>
    </>
  );
}
