import type { BuildFinding } from '../../model/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import { scale, add } from '../geometry/vector.ts';
import type { Passage } from '../obstacles/index.ts';
import { type RoutedLine, carriesFuel } from '../routes/routedLine.ts';
import type { BuildCommand } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import { newCover } from '../routes/covers.ts';
import { freeId } from '../things/freeId.ts';
import { nameOf, onLines, onMap } from './onLines.ts';
import { movedCorners } from './otherWay.ts';

/** Moves the way out of a space, where that is found. */
function outOf(checked: VehicleChecked, line: RoutedLine, { space }: Passage) {
  const middle = scale(add(space.box.low, space.box.high), 0.5);
  const fault = { place: middle, from: middle, what: space.name.toLowerCase() };
  return movedCorners(
    checked,
    line,
    fault,
    ({ kind, id }) => kind === space.use && id === space.id,
  );
}

const passageOf = (line: RoutedLine, use: Passage['space']['use']): Passage | undefined =>
  line.check?.passages.find(({ space }) => space.use === use);

const inTube = (checked: VehicleChecked, line: RoutedLine): boolean =>
  checked.routes
    .find(({ id }) => id === line.routeId)
    ?.covers.some(({ kind }) => kind === 'sealed-tube') ?? false;

/** Rigid tube is let through the cabin in a sealed tube. */
const tubed = (checked: VehicleChecked, line: RoutedLine): Cure<BuildCommand>[] => {
  const covers = checked.routes.find(({ id }) => id === line.routeId)?.covers ?? [];
  return line.rigid
    ? [
        {
          text: 'Put it in a sealed tube',
          command: {
            name: 'set',
            path: ['routes', line.routeId, 'covers', freeId('tube', covers)],
            value: newCover('sealed-tube'),
          },
        },
      ]
    : [];
};

/** Fuel where people sit. */
export const routeCabin: VehicleRule = {
  id: 'route.cabin',
  source: 'fuel stays out of the cabin; where it cannot, unjointed hardline in a sealed tube',
  check: onLines((checked, line) => {
    const passage = carriesFuel(line.carries) ? passageOf(line, 'cabin') : undefined;
    if (!passage || (line.rigid && inTube(checked, line))) return [];
    const finding: BuildFinding = {
      id: `route.cabin:${line.lineId}`,
      rule: 'route.cabin',
      severity: line.rigid ? 'note' : 'warn',
      where: onMap(line),
      title: line.rigid ? 'Fuel runs through the cabin' : 'Fuel hose runs through the cabin',
      because: line.rigid
        ? `${nameOf(checked, line)}: {inside} in ${passage.space.name.toLowerCase()}; allowed only without a joint, in a sealed tube`
        : `${nameOf(checked, line)}: {inside} of hose in ${passage.space.name.toLowerCase()}; only unjointed hardline in a sealed tube is allowed there`,
      numbers: { inside: { value: passage.length, kind: 'length' } },
      measured: { value: passage.length, kind: 'length' },
      worse: 'higher',
      cures: () => [
        ...outOf(checked, line, passage),
        ...tubed(checked, line),
        { text: 'Route it outside; if that is impossible, hardline in a sealed tube' },
      ],
    };
    return [finding];
  }),
};

/** A line where a crash flattens it. */
export const routeCrush: VehicleRule = {
  id: 'route.crush',
  source: 'a line in a crush zone is the first to be cut in a crash',
  check: onLines((checked, line) => {
    const passage = carriesFuel(line.carries) ? passageOf(line, 'crush') : undefined;
    if (!passage) return [];
    const finding: BuildFinding = {
      id: `route.crush:${line.lineId}`,
      rule: 'route.crush',
      severity: 'warn',
      where: onMap(line),
      title: 'Fuel line runs through a crush zone',
      because: `${nameOf(checked, line)}: {inside} in ${passage.space.name.toLowerCase()}`,
      numbers: { inside: { value: passage.length, kind: 'length' } },
      measured: { value: passage.length, kind: 'length' },
      worse: 'higher',
      cures: () => [
        ...outOf(checked, line, passage),
        { text: 'Route it where the frame protects it' },
      ],
    };
    return [finding];
  }),
};
