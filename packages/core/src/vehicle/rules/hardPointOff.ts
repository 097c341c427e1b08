import type { BuildFinding } from '../../model/index.ts';
import type { VehicleRule } from '../checked.ts';

/** A place on the map that is not where the tape says. */
export const hardPointOff: VehicleRule = {
  id: 'map.hard-point',
  source: 'a place measured with a tape overrides a drawn one',
  check: ({ map, vehicle }) =>
    map.offTape.flatMap(({ hardPointId, placementId, off }): BuildFinding[] => {
      const point = vehicle.hardPoints.find(({ id }) => id === hardPointId);
      if (!point) return [];
      return [
        {
          id: `map.hard-point:${hardPointId}`,
          rule: 'map.hard-point',
          severity: 'note',
          where: { stage: 'map', slice: 'hardPoints', thing: hardPointId },
          title: 'Place differs from its measurement',
          because: 'The map has it {off} from the measured position',
          numbers: { off: { value: off, kind: 'length' } },
          measured: { value: off, kind: 'length' },
          limit: { value: 0, kind: 'length' },
          worse: 'higher',
          cures: () => [
            {
              text: 'Move it to the measured position',
              command: {
                name: 'set-several',
                label: 'Move a place to its measured position',
                changes: (['x', 'y', 'z'] as const).map((axis) => ({
                  path: ['placements', placementId, axis],
                  value: point[axis],
                })),
              },
            },
            {
              text: 'Move what is around it with all measured places',
              command: { name: 'pull-map-true' },
            },
          ],
        },
      ];
    }),
};
