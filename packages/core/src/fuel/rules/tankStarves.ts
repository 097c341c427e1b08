import type { BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { FuelRule } from '../checked.ts';
import { attitudes } from '../tank/attitudes.ts';
import { attitudeWords } from '../tank/tankStage.ts';

/** Fuel with which a pickup must not fall dry, as a share of the usable volume. */
const QUARTER = 0.25;
/** So long a swirl pot has to last at the design peak, s. */
const LASTS = 5;

/** A pickup that falls dry with a quarter tank and has nothing to draw from meanwhile. */
export const tankStarves: FuelRule = {
  id: 'tank.starve',
  source:
    'a pickup stays covered at a quarter tank in every attitude, or has a swirl pot that lasts 5 s at peak',
  check: ({ tanks }) =>
    tanks.flatMap((tank): BuildFinding[] => {
      const worst = attitudes.reduce((a, b) => (tank.starves[b] > tank.starves[a] ? b : a));
      const starves = tank.starves[worst];
      if (starves <= QUARTER * tank.usable || (tank.swirlLasts ?? 0) >= LASTS) return [];
      const litres = Math.ceil(tank.peakFlow * LASTS * 1e4) / 10;
      return [
        {
          id: `tank.starve:${tank.elementId}`,
          rule: 'tank.starve',
          severity: 'warn',
          where: { stage: 'circuit', circuit: tank.circuitId, element: tank.elementId },
          title: 'Pickup runs dry',
          because: `${tank.name}, ${attitudeWords[worst]}: the pickup runs dry below {starves}; a quarter tank is {quarter}`,
          numbers: {
            starves: { value: starves, kind: 'volume' },
            quarter: { value: QUARTER * tank.usable, kind: 'volume' },
          },
          measured: { value: starves, kind: 'volume' },
          limit: { value: QUARTER * tank.usable, kind: 'volume' },
          worse: 'higher',
          cures: () => [
            {
              text: `Fit a swirl pot of ${litres} L: it lasts ${LASTS} s at peak`,
              command: {
                name: 'set',
                path: ['tanks', tank.tankOnMapId, 'swirl'],
                value: quantity(litres, 'volume', 'L'),
              },
            },
            { text: 'Move the pickup to where the fuel collects, or fit baffles' },
          ],
        },
      ];
    }),
};
