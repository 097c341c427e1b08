import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import { stretchOf } from '../geometry/stretch.ts';
import { nearestTo } from '../obstacles/index.ts';
import { type Cover, keepsHeatOff, stretchOfCover, usuallyBears } from '../routes/covers.ts';
import type { RoutedLine } from '../routes/routedLine.ts';
import { nameOf, onLines, onMap } from './onLines.ts';

/** The hottest surface K that a cover runs so near to that a bare line would be too near. */
function hottestBeside(checked: VehicleChecked, line: RoutedLine, cover: Cover) {
  const { path } = line;
  if (!path) return undefined;
  const { from, to } = stretchOfCover(cover);
  const covered = stretchOf(path, from, Math.min(to, path.length));
  const near = checked.map.around.obstacles.filter((thing) => {
    if (thing.kind !== 'hot') return false;
    const found = nearestTo(covered, thing.shape);
    return found !== undefined && found.distance - line.outsideDiameter / 2 < thing.asks;
  });
  return checked.vehicle.hotRuns
    .filter((run) => near.some(({ id }) => id === run.id))
    .sort((a, b) => b.temperature.value - a.temperature.value)[0];
}

/** A better cover for a surface so hot; none where nothing usual bears it. */
const betterCover = (line: RoutedLine, cover: Cover, temperature: number): Cure<BuildCommand>[] => {
  const shield = usuallyBears['heat-shield'];
  if (temperature > shield) return [];
  const path = ['routes', line.routeId, 'covers', cover.id];
  return [
    {
      text: 'Fit a steel heat shield there',
      command: {
        name: 'set-several',
        label: 'Fit a heat shield instead',
        changes: [
          { path: [...path, 'kind'], value: 'heat-shield' },
          { path: [...path, 'bears'], value: quantity(shield - 273.15, 'temperature', '°C') },
        ],
      },
    },
  ];
};

/** A cover beside something hotter than it bears. */
export const routeCover: VehicleRule = {
  id: 'route.cover',
  source: 'a heat cover is rated for the temperature of the surface beside it',
  check: onLines((checked, line) => {
    const covers = checked.routes.find(({ id }) => id === line.routeId)?.covers ?? [];
    return covers.flatMap((cover): BuildFinding[] => {
      if (!keepsHeatOff(cover.kind)) return [];
      const run = hottestBeside(checked, line, cover);
      if (!run || run.temperature.value <= cover.bears.value) return [];
      return [
        {
          id: `route.cover:${line.lineId}:${cover.id}`,
          rule: 'route.cover',
          severity: 'warn',
          where: onMap(line),
          title: 'Cover is not rated for the heat',
          because: `${nameOf(checked, line)}: its cover is rated {bears}; ${run.name.toLowerCase()} beside it is at {hot}`,
          numbers: {
            bears: { value: cover.bears.value, kind: 'temperature' },
            hot: { value: run.temperature.value, kind: 'temperature' },
          },
          measured: { value: run.temperature.value, kind: 'temperature' },
          limit: { value: cover.bears.value, kind: 'temperature' },
          worse: 'higher',
          cures: () => [
            ...betterCover(line, cover, run.temperature.value),
            { text: 'Fit a cover rated for it, or re-route the line further away' },
          ],
        },
      ];
    });
  }),
};
