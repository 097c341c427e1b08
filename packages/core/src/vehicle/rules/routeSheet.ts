import type { BuildFinding } from '../../model/index.ts';
import type { VehicleRule } from '../checked.ts';
import { carriesFuel } from '../routes/routedLine.ts';
import { newHole, widerHole } from './holeCures.ts';
import { ledAnew } from './ledAnew.ts';
import { nameOf, onLines, onMap } from './onLines.ts';

/** A line that goes through metal where there is no hole for it. */
export const routeSheet: VehicleRule = {
  id: 'route.sheet',
  source: 'lines cross sheet metal only through pass-throughs that are large enough',
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
      title: hole ? 'Line does not fit through its hole' : 'Line runs through sheet metal',
      because: hole
        ? `${nameOf(checked, line)}, {thick} thick: “${hole.name}” in ${sheet.name.toLowerCase()} is {bore} wide, {missing} too narrow`
        : `${nameOf(checked, line)}, {thick} thick, meets ${sheet.name.toLowerCase()} where there is no hole`,
      numbers: {
        thick: { value: line.outsideDiameter, kind: 'length' },
        bore: { value: hole?.bore ?? 0, kind: 'length' },
        missing: { value: -worst.room, kind: 'length' },
      },
      cures: () => [
        ...widerHole(worst),
        ...(hole
          ? []
          : newHole(checked.vehicle.sheets, worst, {
              name: nameOf(checked, line),
              outsideDiameter: line.outsideDiameter,
              fitted:
                worst.sheet.seals && carriesFuel(line.carries) ? 'bulkhead-fitting' : 'grommet',
            })),
        ...ledAnew(checked, line),
        { text: 'Route it through an existing hole' },
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
      title: seals
        ? 'Sealed wall is crossed without a bulkhead fitting'
        : 'Line passes a hole without a grommet',
      because: seals
        ? `${nameOf(checked, line)} passes ${bad.sheet.name.toLowerCase()} at “${hole.name}”, which does not seal: only a bulkhead fitting keeps fuel and fire on their side`
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
