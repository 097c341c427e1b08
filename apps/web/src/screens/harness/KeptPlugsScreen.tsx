import {
  ORDER_STEP,
  type RepinnedPlug,
  cavityChanges,
  changeInWords,
  freeKey,
} from '@brookrain/core';
import { useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Downloads } from '../../ui/Downloads.tsx';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { AddAtPlace } from './AddAtPlace.tsx';

type Row = ReturnType<typeof cavityChanges>[number];

const columns: readonly DataColumn<Row>[] = [
  { key: 'cavity', label: 'Cavity', shown: 'always', cell: ({ cavity }) => cavity },
  { key: 'before', label: 'Before', text: true, cell: ({ before }) => before || '–' },
  { key: 'after', label: 'After', text: true, cell: ({ after }) => after || '–' },
  { key: 'work', label: 'What is done', text: true, cell: changeInWords },
  {
    key: 'back',
    label: 'Can be put back',
    text: true,
    cell: ({ kind, reversible }) =>
      kind === 'stays' || kind === 'empty' ? '' : reversible ? 'yes' : 'no: it is cut',
  },
];

/** Plugs that stay on the vehicle and get other wires: cavity by cavity, before and after. */
export function KeptPlugsScreen() {
  const { id, document: build, stored, evaluation, edit } = useBuild();
  const [query, setQuery] = useSearchParams();
  const { repinned } = build.harness;
  const rows = repinned.flatMap((plug) => plug.cavities.map((cavity) => ({ plug, cavity })));
  const keyOf = (plug: RepinnedPlug, cavityId: string): string => `${plug.id}/${cavityId}`;
  const chosen =
    rows.find(({ plug, cavity }) => keyOf(plug, cavity.id) === query.get('of')) ?? rows[0];
  const path = chosen && ['harness', 'repinned', chosen.plug.id, 'cavities', chosen.cavity.id];
  const findings = evaluation.findings.filter(({ where }) => where.stage === 'kept-connectors');
  const addCavity = (plug: RepinnedPlug): void => {
    const cavities = stored.harness.repinned[plug.id]?.cavities ?? {};
    const cavityId = freeKey('cavity', cavities);
    const count = Object.keys(cavities).length + 1;
    const value = {
      order: ORDER_STEP * count,
      cavity: `${count}`,
      before: '',
      after: '',
      cut: false,
    };
    const at = ['harness', 'repinned', plug.id, 'cavities', cavityId];
    if (edit({ name: 'set', path: at, value }).ok) setQuery({ of: keyOf(plug, cavityId) });
  };
  return (
    <Screen
      title="Kept connectors"
      lead="Connectors that stay on the vehicle and get other wires: what was in each cavity, and what goes in."
      inspector={
        chosen && path ? (
          <>
            <h2>
              {chosen.plug.name}, cavity {chosen.cavity.cavity}
            </h2>
            <div className="mt-2 space-y-1.5">
              <FieldOf path={[...path, 'cavity']} />
              <FieldOf path={[...path, 'before']} />
              <FieldOf path={[...path, 'after']} />
              <FieldOf path={[...path, 'cut']} label="The wire that was there is cut" />
              <button type="button" className="act" onClick={() => edit({ name: 'remove', path })}>
                Remove the cavity
              </button>
            </div>
            <section className="rule mt-3 space-y-1.5 pt-2" aria-label="The plug">
              <h3>The plug</h3>
              <FieldOf path={['harness', 'repinned', chosen.plug.id, 'name']} />
            </section>
            <p className="mt-2 text-[13px] text-second">
              Draw contacts out rather than cut wires: then all of it can be put back as it was.
            </p>
          </>
        ) : (
          <p className="text-second">
            Add a kept connector: a diagnostic socket, an instrument connector, a fuse box.
          </p>
        )
      }
    >
      {repinned.length > 0 && (
        <div className="mb-2">
          <Downloads of="" file={`/api/builds/${id}/kept-connectors`} kinds={['csv', 'pdf']} />
        </div>
      )}
      {repinned.map((plug) => (
        <section key={plug.id} className="mb-5" aria-label={plug.name}>
          <div className="mb-2 flex flex-wrap items-baseline justify-between gap-2">
            <h2>{plug.name}</h2>
            <button
              type="button"
              className="act"
              onClick={() => edit({ name: 'remove', path: ['harness', 'repinned', plug.id] })}
            >
              Remove it
            </button>
          </div>
          <DataTable
            label={`Cavities of ${plug.name}`}
            rows={cavityChanges(plug)}
            columns={columns}
            keyOf={(row) => row.id}
            selected={chosen?.plug.id === plug.id ? chosen.cavity.id : undefined}
            onSelect={(key) => setQuery({ of: keyOf(plug, key) }, { replace: true })}
          />
          <button type="button" className="act mt-2" onClick={() => addCavity(plug)}>
            Enter a cavity
          </button>
        </section>
      ))}
      {findings.map((finding) => (
        <FindingNote key={finding.id} finding={finding} />
      ))}
      <AddAtPlace
        name="Place of a kept connector"
        placeholder="where it sits"
        act="Add a connector"
        places={build.placements}
        add={(place) => {
          const plugs = stored.harness.repinned;
          const value = {
            order: ORDER_STEP * (Object.keys(plugs).length + 1),
            name: `Connector at ${place.name}`.slice(0, 80),
            placementId: place.id,
            cavities: {},
          };
          const at = ['harness', 'repinned', freeKey('plug', plugs)];
          return edit({ name: 'set', path: at, value }).ok;
        }}
      />
    </Screen>
  );
}
