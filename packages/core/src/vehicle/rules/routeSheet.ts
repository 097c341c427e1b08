import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import type { SheetCrossing } from '../obstacles/index.ts';
import { type RoutedLine, carriesFuel } from '../routes/routedLine.ts';
import { freeId } from '../things/freeId.ts';
import { ledAnew } from './ledAnew.ts';
import { nameOf, onLines, onMap } from './onLines.ts';

/** Room around a line in a new hole, for its grommet, m; bores come in whole millimetres. */
const GROMMET = 0.004;

const boreFor = (line: RoutedLine): number => Math.ceil((line.outsideDiameter + 2 * GROMMET) * 1e3);

function newHole(
  checked: VehicleChecked,
  line: RoutedLine,
  { sheet, at }: SheetCrossing,
): Cure<BuildCommand>[] {
  const stored = checked.vehicle.sheets.find((s) => s.id === sheet.id);
  if (!stored) return [];
  const id = freeId('hole', stored.passThroughs);
  const millimetres = (value: number) => quantity(Math.round(value * 1e4) / 10, 'length', 'mm');
  const [x, y, z] = at;
  const fitted = sheet.seals && carriesFuel(line.carries) ? 'bulkhead-fitting' : 'grommet';
  return [
    {
      text: `Put a hole of ${boreFor(line)} mm there, with a ${fitted.replace('-', ' ')}`,
      command: {
        name: 'set',
        path: ['sheets', sheet.id, 'passThroughs', id],
        value: {
          name: `For the ${nameOf(checked, line).toLowerCase()}`.slice(0, 80),
          x: millimetres(x),
          y: millimetres(y),
          z: millimetres(z),
          bore: quantity(boreFor(line) + 1, 'length', 'mm'),
          fitted,
        },
      },
    },
  ];
}

/** A hole that is there but too narrow, or missed: wider, where it is nearly met. */
const widerHole = ({ sheet, hole, room }: SheetCrossing): Cure<BuildCommand>[] =>
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

/** A line that goes through metal where there is no hole for it. */
export const routeSheet: VehicleRule = {
  id: 'route.sheet',
  source: 'lines cross sheets of metal only through pass-throughs that leave room for them',
  check: onLines((checked, line) => {
    const worst = line.check?.crossings
      .filter(({ room }) => room < 0)
      .sort((a, b) => a.room - b.room)[0];
    if (!worst) return [];
    const { sheet, hole } = worst;
    const finding: BuildFinding = {
      id: `route.sheet:${line.lineId}`,
      rule: 'route.sheet',
      severity: 'stop',
      where: onMap(line),
      title: hole ? 'Line does not fit through its hole' : 'Line goes through metal',
      because: hole
        ? `${nameOf(checked, line)}, {thick} thick: “${hole.name}” in ${sheet.name.toLowerCase()} is {bore} wide and {missing} too tight there`
        : `${nameOf(checked, line)}, {thick} thick, meets ${sheet.name.toLowerCase()} where there is no hole`,
      numbers: {
        thick: { value: line.outsideDiameter, kind: 'length' },
        bore: { value: hole?.bore ?? 0, kind: 'length' },
        missing: { value: -worst.room, kind: 'length' },
      },
      cures: () => [
        ...widerHole(worst),
        ...(hole ? [] : newHole(checked, line, worst)),
        ...ledAnew(checked, line),
        { text: 'Lead it through a hole that is there' },
      ],
    };
    return [finding];
  }),
};

/** A bare hole, or one that does not seal where fuel and fire are to stay outside. */
export const routeHole: VehicleRule = {
  id: 'route.hole',
  source:
    'a line rests in a grommet, boot or fitting, never on the metal; sealed walls are passed by bulkhead fittings or sealed connectors',
  check: onLines((checked, line) => {
    const bad = line.check?.crossings.find(
      ({ hole, room, sheet }) =>
        hole !== undefined &&
        room >= 0 &&
        (hole.fitted === 'none' ||
          (sheet.seals && carriesFuel(line.carries) && hole.fitted !== 'bulkhead-fitting')),
    );
    const hole = bad?.hole;
    if (!bad || !hole) return [];
    const seals = bad.sheet.seals && carriesFuel(line.carries);
    const finding: BuildFinding = {
      id: `route.hole:${line.lineId}`,
      rule: 'route.hole',
      severity: 'warn',
      where: onMap(line),
      title: seals ? 'Sealed wall is passed without a fitting' : 'Line rests on a bare hole',
      because: seals
        ? `${nameOf(checked, line)} passes ${bad.sheet.name.toLowerCase()} at “${hole.name}”, which does not seal: fuel and fire stay on their side only with a bulkhead fitting`
        : `${nameOf(checked, line)} passes ${bad.sheet.name.toLowerCase()} at “${hole.name}”, which has no grommet`,
      numbers: {},
      cures: () => [
        {
          text: seals ? 'Fit a bulkhead fitting' : 'Fit a grommet',
          command: {
            name: 'set',
            path: ['sheets', bad.sheet.id, 'passThroughs', hole.id, 'fitted'],
            value: seals ? 'bulkhead-fitting' : 'grommet',
          },
        },
      ],
    };
    return [finding];
  }),
};
