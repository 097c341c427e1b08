import { type BoughtHarness, type BoughtLeg, formatMeasure, harnessFigure } from '@brookrain/core';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { AddLeg, AddLoom } from './AddLoom.tsx';
import { LegInspector } from './LegInspector.tsx';

interface Row {
  readonly key: `${string}/${string}`;
  readonly loom: BoughtHarness;
  readonly leg: BoughtLeg;
}

/** Looms that are bought ready or kept, with their fixed legs: what each needs on the map, what is left. */
export function LoomsScreen() {
  const { document: build, evaluation, edit } = useBuild();
  const [units] = useUnits();
  const [query, setQuery] = useSearchParams();
  const { bought } = build.harness;
  const rows = bought.flatMap((loom) =>
    loom.legs.map((leg): Row => ({ key: `${loom.id}/${leg.id}`, loom, leg })),
  );
  const [loomId] = (query.get('of') ?? '').split('/');
  const chosen = rows.find(({ key }) => key === query.get('of')) ?? rows[0];
  const loom = bought.find(({ id }) => id === (loomId === '' ? chosen?.loom.id : loomId));
  const placeNames = useMemo(
    () => new Map(build.placements.map(({ id, name }) => [id, name])),
    [build.placements],
  );
  const onMap = new Map(
    evaluation.harness.legs.map((leg) => [`${leg.loomId}/${leg.legId}`, leg] as const),
  );
  const columns: readonly DataColumn<Row>[] = [
    {
      key: 'leg',
      label: 'Leg',
      text: true,
      shown: 'always',
      sortBy: ({ leg }) => leg.name,
      cell: ({ leg }) => leg.name,
    },
    {
      key: 'to',
      label: 'Goes to',
      text: true,
      sortBy: ({ leg }) => placeNames.get(leg.placementId) ?? '',
      cell: ({ leg }) => placeNames.get(leg.placementId) ?? '',
    },
    {
      key: 'length',
      label: 'Is',
      sortBy: ({ leg }) => leg.length.value,
      cell: ({ loom: { id }, leg }) => (
        <Figure of={harnessFigure('leg.length', { loom: id, leg: leg.id })} />
      ),
    },
    {
      key: 'needed',
      label: 'Needs',
      cell: ({ loom: { id }, leg }) => (
        <Figure of={harnessFigure('leg.needed', { loom: id, leg: leg.id })} />
      ),
    },
    {
      key: 'slack',
      label: 'Left over',
      cell: ({ loom: { id }, leg }) => (
        <Figure of={harnessFigure('leg.slack', { loom: id, leg: leg.id })} />
      ),
    },
    {
      key: 'leaves',
      label: 'Leaves the trunk',
      text: true,
      wideOnly: true,
      cell: ({ leg }) =>
        `${leg.leaves}, at ${formatMeasure({ value: leg.leavesAt.value, kind: 'length' }, units)}`,
    },
    {
      key: 'turns',
      label: 'On the map',
      text: true,
      wideOnly: true,
      cell: ({ key }) => {
        const leg = onMap.get(key);
        if (!leg?.isLed) return 'no way yet';
        return leg.turns ?? 'to the end of it';
      },
    },
  ];
  const findings = evaluation.findings.filter(
    ({ where }) => where.stage === 'looms' && where.loom === loom?.id,
  );
  return (
    <Screen
      title="Bought looms"
      lead="Looms that come finished or stay as they are: every leg has a fixed length, and the map shows whether it reaches."
      inspector={
        chosen ? (
          <LegInspector loom={chosen.loom} leg={chosen.leg} />
        ) : (
          <p className="text-second">
            Add a loom, then its legs: where to, how long, and where each leaves the trunk.
          </p>
        )
      }
    >
      {bought.map((each) => (
        <section key={each.id} className="mb-5" aria-label={each.name}>
          <div className="flex flex-wrap items-baseline justify-between gap-2">
            <h2>{each.name}</h2>
            <button
              type="button"
              className="act"
              onClick={() => edit({ name: 'remove', path: ['harness', 'bought', each.id] })}
            >
              Remove it
            </button>
          </div>
          <p className="text-[13px] text-second">
            Its connector is at {(placeNames.get(each.placementId) ?? 'no place').toLowerCase()}.
          </p>
          {each.legs.length > 0 && (
            <DataTable
              label={`Legs of ${each.name}`}
              rows={rows.filter((row) => row.loom.id === each.id)}
              columns={columns}
              keyOf={({ key }) => key}
              selected={chosen?.key}
              onSelect={(key) => setQuery({ of: key }, { replace: true })}
            />
          )}
          <AddLeg loom={each} onAdded={(id) => setQuery({ of: `${each.id}/${id}` })} />
        </section>
      ))}
      {findings.map((finding) => (
        <FindingNote key={finding.id} finding={finding} />
      ))}
      <AddLoom />
    </Screen>
  );
}
