import { type PlacesProgress, type PlaceRegion, formatMeasure, quantity } from '@brookrain/core';
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { cancelRun, lookForPlaces } from '../../evaluation/useEvaluation.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Select } from '../../ui/Select.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { MapDrawing } from '../map/MapDrawing.tsx';
import { useLayers } from '../map/layers.ts';
import { useComponents } from '../map/useComponents.ts';
import { HarnessDrawing } from '../harness/HarnessDrawing.tsx';
import { PlaceRegions } from './PlaceRegions.tsx';
import { wiredPlaces } from './wiredPlaces.ts';

type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'looking'; readonly progress: PlacesProgress | undefined }
  | { readonly kind: 'found'; readonly found: PlacesProgress }
  | { readonly kind: 'failed'; readonly reason: string };

interface Row extends PlaceRegion {
  readonly number: number;
}

const inMm = (metres: number) => quantity(Math.round(metres * 1e3), 'length', 'mm');

/** Where a part could sit: regions of the map, ranked by legs that reach and by wire. */
export function PlacesScreen() {
  const { document: build, stored, catalogue, edit } = useBuild();
  const [units] = useUnits();
  const [query, setQuery] = useSearchParams();
  const layers = useLayers();
  const placed = useComponents();
  const [state, setState] = useState<State>({ kind: 'idle' });
  const [chosen, choose] = useState(0);
  const wanted = useRef(0);
  const choices = wiredPlaces(build);
  const placementId =
    choices.find(({ id }) => id === query.get('of'))?.id ?? build.power.ecuPlacementId;
  const place = build.placements.find(({ id }) => id === placementId);
  useEffect(() => {
    setState({ kind: 'idle' });
    return () => {
      wanted.current += 1;
      void cancelRun();
    };
  }, [stored, placementId]);
  const look = (): void => {
    const own = ++wanted.current;
    const mine = (next: State): void => {
      if (own === wanted.current) setState(next);
    };
    setState({ kind: 'looking', progress: undefined });
    choose(0);
    lookForPlaces(stored, catalogue, placementId, (progress) =>
      mine({ kind: 'looking', progress }),
    ).then(
      (found) => mine(found ? { kind: 'found', found } : { kind: 'idle' }),
      (error: unknown) =>
        mine({ kind: 'failed', reason: error instanceof Error ? error.message : String(error) }),
    );
  };
  const regions = state.kind === 'found' ? state.found.regions : [];
  const length = (value: number): string => formatMeasure({ value, kind: 'length' }, units);
  const now = state.kind === 'found' ? state.found.copperNow : 0;
  const columns: readonly DataColumn<Row>[] = [
    { key: 'number', label: 'Region', shown: 'always', cell: ({ number }) => number },
    { key: 'on', label: 'Carried by', text: true, cell: ({ best }) => best.carrier },
    {
      key: 'wire',
      label: 'Wire, against now',
      sortBy: ({ best }) => best.copper,
      cell: ({ best }) => `${best.copper < now ? '−' : '+'}${length(Math.abs(best.copper - now))}`,
    },
    ...(regions.some(({ best }) => best.legs > 0)
      ? [
          {
            key: 'legs',
            label: 'Legs that reach',
            sortBy: ({ best }: Row) => best.reaching,
            cell: ({ best }: Row) => `${best.reaching} of ${best.legs}`,
          },
        ]
      : []),
    {
      key: 'height',
      label: 'Above the ground',
      sortBy: ({ best }) => best.at[2],
      cell: ({ best }) => length(best.at[2]),
    },
    {
      key: 'heat',
      label: 'To what is hot',
      text: true,
      wideOnly: true,
      sortBy: ({ best }) => best.heat?.clearance ?? Infinity,
      cell: ({ best }) =>
        best.heat ? `${length(best.heat.clearance)}, ${best.heat.name.toLowerCase()}` : 'none',
    },
    {
      key: 'zone',
      label: 'Zone',
      text: true,
      wideOnly: true,
      cell: ({ best }) => best.zone.replaceAll('-', ' '),
    },
    {
      key: 'put',
      label: '',
      text: true,
      cell: ({ best, number }) => (
        <button
          type="button"
          className="act"
          aria-label={`Put it into region ${number}`}
          onClick={() =>
            edit({
              name: 'set-several',
              label: `Move: ${place?.name.toLowerCase() ?? 'place'}`,
              changes: [
                ...(['x', 'y', 'z'] as const).map((axis, k) => ({
                  path: ['placements', placementId, axis],
                  value: inMm(best.at[k] ?? 0),
                })),
                { path: ['placements', placementId, 'zone'], value: best.zone },
              ],
            })
          }
        >
          Put it there
        </button>
      ),
    },
  ];
  return (
    <Screen
      title="Placement search"
      lead="Where ECU, panel, battery box or a module could sit: carried by something, clear of heat, movement and splash, with room to reach it."
    >
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <span className="w-[260px]">
          <Select
            name="What looks for a place"
            value={placementId}
            choices={choices.map(({ id, name }) => ({ value: id, label: name }))}
            onChoose={(of) => setQuery({ of }, { replace: true })}
          />
        </span>
        {state.kind === 'looking' ? (
          <span className="flex items-center gap-2" role="status">
            Looking: {state.progress?.done ?? 0} of {state.progress?.of ?? '…'}
            <button type="button" className="act" onClick={() => void cancelRun()}>
              Cancel
            </button>
          </span>
        ) : (
          <button type="button" className="act act-main" onClick={look}>
            Look for places
          </button>
        )}
        {state.kind === 'failed' && <span role="status">{state.reason}</span>}
      </div>
      {state.kind === 'found' &&
        (regions.length === 0 ? (
          <p className="mt-2">
            Nothing carries it where it would be clear of what is there: draw mounting lines or
            sheets that it may be fastened to.
          </p>
        ) : (
          <DataTable
            label="Regions"
            rows={regions.map((region, i): Row => ({ ...region, number: i + 1 }))}
            columns={columns}
            keyOf={({ number }) => `${number}`}
            selected={`${chosen + 1}`}
            onSelect={(key) => choose(Number(key) - 1)}
          />
        ))}
      <MapDrawing
        build={build}
        placed={placed}
        looked={[]}
        views={['side', 'plan']}
        shows={layers.shows}
        lines={[]}
        selection={{ kind: 'vehicle' }}
        select={() => undefined}
        handles={[]}
        picked={undefined}
        pick={() => undefined}
        move={() => undefined}
        ways={[]}
        near={undefined}
        tape={undefined}
        moveTape={() => undefined}
        extent="work"
        focus={[]}
        over={(scale) => (
          <>
            <g opacity="0.35" className="pointer-events-none">
              <HarnessDrawing
                build={build}
                scale={scale}
                selection={undefined}
                select={() => undefined}
              />
            </g>
            <PlaceRegions regions={regions} chosen={chosen} choose={choose} scale={scale} />
          </>
        )}
      />
      {state.kind === 'found' && (
        <p className="mt-1 text-[13px] text-second">
          Wire is counted along the present harness, with a new branch to the nearest node on the
          same side of all sheets. After placing it, re-route its branch.
        </p>
      )}
    </Screen>
  );
}
