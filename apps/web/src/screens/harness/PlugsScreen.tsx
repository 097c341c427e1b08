import {
  type FaceSide,
  type ToldConnector,
  type ToldHole,
  formatMeasure,
  harnessFigure,
} from '@brookrain/core';
import { useMemo, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { light, useLit } from '../../build/lit.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { CavityFace } from './CavityFace.tsx';
import { SetConnector } from './SetConnector.tsx';
import { WireSwatch } from './WireSwatch.tsx';

/** Every plug of the harness with its cavities, and every hole that bundles go through. */
export function PlugsScreen() {
  const { document: build, evaluation } = useBuild();
  const [units] = useUnits();
  const { partId } = useLit();
  const { connectors, holes, colours } = evaluation.harness;
  const [plugId, choosePlug] = useState('');
  const [side, turn] = useState<FaceSide>('wire');
  const ofPart = connectors.filter((each) => each.partId === partId);
  const chosen = ofPart.find(({ id }) => id === plugId) ?? ofPart[0] ?? connectors[0];
  const columns = useMemo(
    (): readonly DataColumn<ToldConnector>[] => [
      {
        key: 'plug',
        label: 'Plug',
        text: true,
        shown: 'always',
        sortBy: ({ name }) => name,
        cell: ({ name }) => name,
      },
      {
        key: 'family',
        label: 'Family',
        text: true,
        sortBy: ({ family }) => family,
        cell: ({ family }) => family || 'its own',
      },
      {
        key: 'ways',
        label: 'Ways',
        sortBy: ({ ways }) => ways,
        cell: ({ id }) => <Figure of={harnessFigure('connector.ways', { connector: id })} />,
      },
      {
        key: 'used',
        label: 'Used',
        sortBy: ({ used }) => used.length,
        cell: ({ id }) => <Figure of={harnessFigure('connector.used', { connector: id })} />,
      },
      {
        key: 'plugs',
        label: 'To be plugged',
        sortBy: ({ ways, used }) => ways - used.length,
        cell: ({ ways, used }) => ways - used.length,
      },
    ],
    [],
  );
  const holeColumns = useMemo(
    (): readonly DataColumn<ToldHole>[] => [
      {
        key: 'hole',
        label: 'Hole',
        text: true,
        shown: 'always',
        sortBy: ({ name }) => name,
        cell: ({ name }) => name,
      },
      { key: 'sheet', label: 'In', text: true, wideOnly: true, cell: ({ sheet }) => sheet },
      {
        key: 'bore',
        label: 'Is',
        sortBy: ({ bore }) => bore,
        cell: ({ bore }) => formatMeasure({ value: bore, kind: 'length' }, units),
      },
      {
        key: 'asks',
        label: 'Asks',
        cell: ({ id }) => <Figure of={harnessFigure('passThrough.bore', { passThrough: id })} />,
      },
      {
        key: 'saw',
        label: 'Hole saw',
        cell: ({ id }) => <Figure of={harnessFigure('passThrough.holeSaw', { passThrough: id })} />,
      },
      {
        key: 'passed',
        label: 'Passed by',
        text: true,
        cell: (hole) => <SetConnector hole={hole} />,
      },
      {
        key: 'contacts',
        label: 'Wires',
        sortBy: ({ contacts }) => contacts,
        cell: ({ contacts }) => contacts,
      },
      {
        key: 'plug',
        label: 'Largest connector passed through',
        text: true,
        wideOnly: true,
        cell: ({ largestPlug }) => largestPlug ?? 'none',
      },
    ],
    [units],
  );
  const inside = chosen
    ? chosen.cavities.map(({ pin, wire }) => ({
        pin,
        wire: wire === null ? undefined : evaluation.wires[wire],
        colour: wire === null ? '' : (colours[wire] ?? ''),
      }))
    : [];
  return (
    <Screen
      title="Connectors and pass-throughs"
      lead="What the harness ends in, cavity by cavity, and what it goes through."
      inspector={
        chosen && (
          <>
            <h2>{chosen.name}</h2>
            <p className="text-[13px] text-second">
              {chosen.used.length} of {chosen.ways} ways used
            </p>
            <CavityFace
              plug={chosen}
              side={side}
              turn={turn}
              colourOf={(wire) => colours[wire] ?? ''}
            />
            <table className="mt-2 w-full text-left text-[13px]">
              <thead>
                <tr>
                  <th className="pr-2 font-normal text-second">Cavity</th>
                  <th className="font-normal text-second">Wire</th>
                </tr>
              </thead>
              <tbody>
                {inside.map(({ pin, wire, colour }) => (
                  <tr key={pin} className="border-t border-hair align-top">
                    <td className="py-1 pr-2 font-medium">{pin}</td>
                    <td className="py-1">
                      {wire ? (
                        <>
                          <WireSwatch colour={colour} />
                          <span className="block">
                            {wire.name}, {wire.size}
                          </span>
                        </>
                      ) : (
                        <span className="text-second">cavity plug</span>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </>
        )
      }
    >
      <DataTable
        label="Plugs"
        rows={connectors}
        columns={columns}
        keyOf={({ id }) => id}
        selected={chosen?.id}
        onSelect={(id) => {
          const next = connectors.find((each) => each.id === id);
          if (!next) return;
          choosePlug(next.id);
          light({ partId: next.partId });
        }}
      />
      <h2 className="mt-4">Holes</h2>
      {holes.length === 0 ? (
        <p className="text-second">
          {build.harness.segments.length === 0
            ? 'No wire is routed yet.'
            : 'No bundle goes through a sheet of metal.'}
        </p>
      ) : (
        <DataTable label="Holes" rows={holes} columns={holeColumns} keyOf={({ id }) => id} />
      )}
    </Screen>
  );
}
