import { type PlaceRegion, SITE_STEP } from '@brookrain/core';
import type { MapScale } from '../map/mapScale.ts';

/** Regions in which a part could sit, each with a cross at its best place. */
export function PlaceRegions({
  regions,
  chosen,
  choose,
  scale,
}: {
  regions: readonly PlaceRegion[];
  chosen: number;
  choose: (region: number) => void;
  scale: MapScale;
}) {
  const side = SITE_STEP * scale.perMetre;
  return (
    <g>
      {regions.map(({ sites, best }, i) => {
        // What lies behind one another in this view is drawn once.
        const drawn = new Map(
          sites.map(({ at }) => {
            const [x, y] = [scale.x(at).toFixed(1), scale.y(at).toFixed(1)];
            return [`${x} ${y}`, [Number(x), Number(y)] as const];
          }),
        );
        const isChosen = i === chosen;
        const [x, y] = [scale.x(best.at), scale.y(best.at)];
        return (
          <g key={i} className="cursor-pointer" onClick={() => choose(i)}>
            <title>{`Region ${i + 1}`}</title>
            <path
              d={[...drawn.values()]
                .map(
                  ([cx, cy]) =>
                    `M${(cx - side / 2).toFixed(1)} ${(cy - side / 2).toFixed(1)}h${side.toFixed(1)}v${side.toFixed(1)}h${(-side).toFixed(1)}z`,
                )
                .join('')}
              fill="var(--moss)"
              opacity={isChosen ? 0.42 : 0.16}
            />
            <path
              d={`M${x - 6} ${y}h12M${x} ${y - 6}v12`}
              stroke="var(--ink)"
              strokeWidth={isChosen ? 2.4 : 1.2}
            />
            <text x={x + 8} y={y - 6} fontSize="12" fill="var(--ink)">
              {i + 1}
            </text>
          </g>
        );
      })}
    </g>
  );
}
