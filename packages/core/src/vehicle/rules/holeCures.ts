import type { BuildCommand, Sheet } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { SheetCrossing } from '../obstacles/index.ts';
import type { FittedWith } from '../slices/surroundings.ts';
import { freeId } from '../things/freeId.ts';

/** Room around what goes through a new hole, for its grommet, m; bores come in whole millimetres. */
const GROMMET = 0.004;

/** Bore in mm of a hole for something of an outside diameter m in its grommet. */
export const boreFor = (outsideDiameter: number): number =>
  Math.ceil((outsideDiameter + 2 * GROMMET) * 1e3);

/** A hole where something goes through metal. */
export function newHole(
  sheets: readonly Sheet[],
  { sheet, at }: SheetCrossing,
  through: {
    readonly name: string;
    readonly outsideDiameter: number;
    readonly fitted: FittedWith;
  },
): Cure<BuildCommand>[] {
  const stored = sheets.find((s) => s.id === sheet.id);
  if (!stored) return [];
  const bore = boreFor(through.outsideDiameter);
  const millimetres = (value: number) => quantity(Math.round(value * 1e4) / 10, 'length', 'mm');
  const [x, y, z] = at;
  return [
    {
      text: `Add a ${bore} mm hole there, with a ${through.fitted.replace('-', ' ')}`,
      command: {
        name: 'set',
        path: ['sheets', sheet.id, 'passThroughs', freeId('hole', stored.passThroughs)],
        value: {
          name: `For the ${through.name.toLowerCase()}`.slice(0, 80),
          x: millimetres(x),
          y: millimetres(y),
          z: millimetres(z),
          bore: quantity(bore + 1, 'length', 'mm'),
          fitted: through.fitted,
        },
      },
    },
  ];
}

/** A hole that is there but too narrow, or missed: wider, where it is nearly met. */
export const widerHole = ({ sheet, hole, room }: SheetCrossing): Cure<BuildCommand>[] =>
  hole === undefined || -room > hole.bore
    ? []
    : [
        {
          text: `Open “${hole.name}” to ${Math.ceil((hole.bore - 2 * room) * 1e3)} mm`,
          command: {
            name: 'set',
            path: ['sheets', sheet.id, 'passThroughs', hole.id, 'bore'],
            value: quantity(Math.ceil((hole.bore - 2 * room) * 1e3), 'length', 'mm'),
          },
        },
      ];

/** A hole of a sheet opened to what has to go through it, m; nothing where it is not there. */
export function holeOpenedTo(
  sheets: readonly Sheet[],
  holeId: string,
  needed: number,
): Cure<BuildCommand>[] {
  return sheets.flatMap(({ id, passThroughs }) => {
    const hole = passThroughs.find((each) => each.id === holeId);
    if (!hole) return [];
    const millimetres = Math.ceil(needed * 1e3 - 1e-9);
    return [
      {
        text: `Open “${hole.name}” to ${millimetres} mm`,
        command: {
          name: 'set',
          path: ['sheets', id, 'passThroughs', holeId, 'bore'],
          value: quantity(millimetres, 'length', 'mm'),
        },
      } as const,
    ];
  });
}
