import { type Result, derive, entered, fromItem } from '../../results/index.ts';
import { type RowScope, fuelFigure } from '../figureNames.ts';
import type { RowDesign } from '../running/design.ts';
import * as f from './formulas.ts';

/** Figures of how the injectors of a row sit; none for a row nobody measured. */
export function seatingFigures(
  { row, injector }: RowDesign,
  scope: RowScope,
  /** pressure of the rail at peak */
  rail: Result | undefined,
): Result[] {
  const { seating } = row;
  if (!seating || injector.reach <= 0) return [];
  const path = (field: string): string[] => ['injectorRows', row.id, 'seating', field];
  const railBore = entered(seating.railBore, path('railBore'));
  const portBore = entered(seating.portBore, path('portBore'));
  const each =
    rail &&
    derive({
      figure: fuelFigure('injector.pushOff', scope),
      label: `${row.name}, force that pushes each out of the rail`,
      formula: f.pushOff,
      inputs: { pressure: rail, bore: railBore },
    });
  return [
    ...(each
      ? [
          each,
          derive({
            figure: fuelFigure('injector.railLift', scope),
            label: `${row.name}, force that lifts the rail`,
            formula: f.railLift,
            inputs: { each, count: entered(row.count, ['injectorRows', row.id, 'count']) },
          }),
        ]
      : []),
    derive({
      figure: fuelFigure('injector.seatGap', scope),
      label: `${row.name}, seats apart beyond the injector`,
      formula: f.seatGap,
      inputs: {
        seatDistance: entered(seating.seatDistance, path('seatDistance')),
        reach: fromItem(injector.reach, injector),
      },
    }),
    derive({
      figure: fuelFigure('injector.topGap', scope),
      label: `${row.name}, rail bore beyond its seal`,
      formula: f.sealGap,
      inputs: { bore: railBore, seal: fromItem(injector.topSeal, injector) },
    }),
    derive({
      figure: fuelFigure('injector.bottomGap', scope),
      label: `${row.name}, port bore beyond its seal`,
      formula: f.sealGap,
      inputs: { bore: portBore, seal: fromItem(injector.bottomSeal, injector) },
    }),
    ...(seating.bossSpacing
      ? [
          derive({
            figure: fuelFigure('injector.besideNeighbour', scope),
            label: `${row.name}, room beside the next one`,
            formula: f.besideNeighbour,
            inputs: {
              bossSpacing: entered(seating.bossSpacing, path('bossSpacing')),
              barrel: fromItem(injector.barrel, injector),
            },
          }),
        ]
      : []),
  ];
}
