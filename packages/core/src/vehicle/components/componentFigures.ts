import { type Result, byDefault, derive, entered, following } from '../../results/index.ts';
import type { Obstacle, VehicleAround } from '../obstacles/index.ts';
import { flat } from '../routes/wayNumbers.ts';
import { bodyNumbers } from './bodyNumbers.ts';
import type { ComponentCheck, NearComponent } from './componentCheck.ts';
import { componentFigure } from './figureNames.ts';
import * as f from './formulas.ts';

/** Room to the thing that leaves a part least, and what that is beyond the room asked. */
function nearFigures(check: ComponentCheck, near: NearComponent, thing: Obstacle): Result[] {
  const { id, name, body, placement } = check.component;
  const of = { component: id };
  const own = {
    body: following(bodyNumbers(body), ['placements', placement.id]),
    travel:
      thing.kind === 'moving'
        ? entered(thing.travel, [...thing.path, 'travel'])
        : byDefault(thing.travel, 'it stays where it is'),
  };
  const told = {
    figure: componentFigure('component.clearance', of),
    label: `${name}, room to ${near.name.toLowerCase()}`,
  };
  const { shape, path } = thing;
  const clearance =
    shape.kind === 'rod'
      ? derive({
          ...told,
          formula: f.componentToRod,
          inputs: {
            ...own,
            rod: following(flat(shape.points), path),
            rodDiameter: following(2 * shape.radius, path),
          },
        })
      : shape.kind === 'box'
        ? derive({
            ...told,
            formula: f.componentToBox,
            inputs: { ...own, box: following(flat([shape.box.low, shape.box.high]), path) },
          })
        : derive({
            ...told,
            formula: f.componentToComponent,
            inputs: { ...own, other: following(bodyNumbers(shape.body), path) },
          });
  return [
    clearance,
    derive({
      figure: componentFigure('component.margin', of),
      label: `${name}, room beyond what is asked`,
      formula: f.componentMargin,
      inputs: { clearance, needed: following(near.needed, path) },
    }),
  ];
}

/** Figures of a part where it sits. */
export function componentFigures(check: ComponentCheck, around: VehicleAround): Result[] {
  const { id, name, body, placement } = check.component;
  const { nearest } = check;
  const thing = around.obstacles.find((o) => o.kind === nearest?.kind && o.id === nearest.id);
  return [
    ...(nearest && thing ? nearFigures(check, nearest, thing) : []),
    derive({
      figure: componentFigure('component.lowest', { component: id }),
      label: `${name}, lowest corner`,
      formula: f.componentLowest,
      inputs: { body: following(bodyNumbers(body), ['placements', placement.id]) },
    }),
  ];
}
