import { type ProposedWay, formatMeasure, wayAsPoints } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { useUnits } from '../../ui/preferences.ts';
import type { MapLine } from './LineInspector.tsx';
import type { LookedFor } from './useWays.ts';

const sides: Readonly<Record<ProposedWay['side'], string>> = {
  left: 'left side',
  right: 'right side',
  middle: 'middle',
};
const against: Readonly<Record<ProposedWay['faults'][number]['kind'], string>> = {
  hot: 'heat',
  moving: 'what moves',
  edge: 'an edge',
  cable: 'a battery cable',
  solid: 'something solid',
  component: 'a part',
  sheet: 'metal',
  cabin: 'the cabin',
  crush: 'a crush zone',
  splash: 'splash',
  low: 'the ground',
};

/** Ways looked for between the ends of a line, side by side; one is taken as one edit. */
export function WaysPanel({ line, ways }: { line: MapLine; ways: LookedFor }) {
  const { edit } = useBuild();
  const [units] = useUnits();
  const { state } = ways;
  const length = (value: number | undefined): string =>
    value === undefined ? '–' : formatMeasure({ value, kind: 'length' }, units, 3);
  const take = (way: ProposedWay): void => {
    const points = wayAsPoints(way.corners);
    edit(
      line.routeId === undefined
        ? {
            name: 'set',
            path: ['routes', line.id],
            value: { of: line.of, covers: {}, clamps: {}, flexible: false, points },
          }
        : { name: 'set', path: ['routes', line.routeId, 'points'], value: points },
    );
  };
  return (
    <section className="rule mt-3 pt-2" aria-label="Routes to choose from">
      <h3>Routes to choose from</h3>
      {state.kind === 'idle' && (
        <button type="button" className="act" onClick={() => ways.look(line.of)}>
          Propose routes
        </button>
      )}
      {state.kind === 'looking' && (
        <div className="flex items-center gap-2">
          <progress
            className="h-2 flex-1 accent-[var(--moss)]"
            max={state.progress?.of ?? 1}
            value={state.progress?.done ?? 0}
            aria-label="Looking for routes"
          />
          <button type="button" className="act" onClick={ways.cancel}>
            Stop looking
          </button>
        </div>
      )}
      {state.kind === 'failed' && <p role="alert">Routes could not be proposed: {state.reason}</p>}
      {state.kind === 'found' && state.ways.length === 0 && (
        <p>
          No route keeps clear of everything between these two places. Add a hole, move a place, or
          show everything and look what is in between.
        </p>
      )}
      {ways.ways.length > 0 && (
        <ol className="space-y-2">
          {ways.ways.map((way, i) => (
            <li key={i} className="border-l-[3px] border-moss pl-2">
              <p className="flex items-baseline justify-between gap-2">
                <span>
                  <strong className="font-medium">Way {i + 1}</strong>, {sides[way.side]}
                  {way.holes.length > 0 && `, through ${way.holes.join(', ')}`}
                </span>
                <button
                  type="button"
                  className="act"
                  aria-label={`Use route ${i + 1}`}
                  onClick={() => take(way)}
                >
                  Use it
                </button>
              </p>
              <dl className="grid grid-cols-2 gap-x-3 text-[13px]">
                {(
                  [
                    ['Length', length(way.length)],
                    ['Bends', `${way.bends}`],
                    ['To spare', length(way.margin)],
                    ['From heat', length(way.heatClearance)],
                    ['On rails', `${Math.round(100 * way.onRails)} %`],
                    ['Lowest', length(way.lowest)],
                  ] as const
                ).map(([name, value]) => (
                  <div key={name} className="flex justify-between gap-2">
                    <dt className="text-second">{name}</dt>
                    <dd className="whitespace-nowrap">{value}</dd>
                  </div>
                ))}
              </dl>
              {way.faults.length > 0 && (
                <p className="text-[13px]">
                  Too near to {way.faults.map(({ kind }) => against[kind]).join(', ')}
                </p>
              )}
            </li>
          ))}
        </ol>
      )}
      {state.kind === 'found' && (
        <button type="button" className="act mt-2" onClick={ways.drop}>
          Put them away
        </button>
      )}
    </section>
  );
}
