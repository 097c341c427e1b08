import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import type {
  HardPoint,
  HotRun,
  MountingLine,
  MovingZone,
  OtherLine,
  Placement,
  Sheet,
  Solid,
  Vehicle,
  VehicleThings,
} from '../../model/index.ts';
import {
  type Result,
  byDefault,
  derive,
  entered,
  following,
  fromItem,
} from '../../results/index.ts';
import { outlineOf } from '../body/outline.ts';
import { vectorOf } from '../places/vectorOf.ts';
import { flat } from '../routes/wayNumbers.ts';
import { thingFigure } from './figureNames.ts';
import * as f from './formulas.ts';

function vehicleFigures(vehicle: Vehicle): Result[] {
  const dimension = (name: Exclude<keyof Vehicle, 'kind' | 'outline'>) =>
    entered(vehicle[name], ['vehicle', name]);
  const outline = outlineOf(vehicle);
  return [
    derive({
      figure: thingFigure('vehicle.length'),
      label: 'Overall length',
      formula: f.overallLength,
      inputs: {
        wheelbase: dimension('wheelbase'),
        front: dimension('frontOverhang'),
        rear: dimension('rearOverhang'),
      },
    }),
    derive({
      figure: thingFigure('vehicle.sideArea'),
      label: 'Area from the side',
      formula: f.outlineArea,
      inputs: {
        x: following(
          outline.map((p) => p.x),
          ['vehicle'],
        ),
        z: following(
          outline.map((p) => p.z),
          ['vehicle'],
        ),
      },
    }),
    derive({
      figure: thingFigure('vehicle.frontArea'),
      label: 'Area from the front',
      formula: f.frontArea,
      inputs: { width: dimension('width'), height: dimension('height') },
    }),
    derive({
      figure: thingFigure('vehicle.axleHeight'),
      label: 'Height of the axles',
      formula: f.axleHeight,
      inputs: { tyre: dimension('tyre') },
    }),
    derive({
      figure: thingFigure('vehicle.betweenTyres'),
      label: 'Room between the tyres',
      formula: f.betweenTyres,
      inputs: { track: dimension('track'), tyre: dimension('tyre') },
    }),
  ];
}

function hotRunFigures(run: HotRun): Result[] {
  const path = ['hotRuns', run.id];
  const of = { hotRun: run.id };
  const temperature = entered(run.temperature, [...path, 'temperature']);
  const length = derive({
    figure: thingFigure('hotRun.length', of),
    label: `${run.name}, length`,
    formula: f.polylineLength,
    inputs: { places: following(flat(run.points.map(vectorOf)), [...path, 'points']) },
  });
  return [
    length,
    derive({
      figure: thingFigure('hotRun.surface', of),
      label: `${run.name}, surface`,
      formula: f.hotSurface,
      inputs: { diameter: entered(run.diameter, [...path, 'diameter']), length },
    }),
    derive({
      figure: thingFigure('hotRun.excess', of),
      label: `${run.name}, hotter than a hose bears to touch`,
      formula: f.hotExcess,
      inputs: { temperature },
    }),
    derive({
      figure: thingFigure('hotRun.asks', of),
      label: `${run.name}, room it asks of a bare line`,
      formula: f.heatAsked,
      inputs: {
        temperature,
        turbine: following(run.part === 'turbine' ? 1 : 0, [...path, 'part']),
      },
    }),
  ];
}

const STILL = byDefault(0, 'it stays where it is');
type Boxed = Pick<Solid, 'low' | 'high'>;
const boxPlaces = ({ low, high }: Boxed, path: readonly string[]) =>
  following(flat([vectorOf(low), vectorOf(high)]), path);

function movingZoneFigures(zone: MovingZone): Result[] {
  const { room } = zone;
  const path = ['movingZones', zone.id];
  const figure = thingFigure('movingZone.volume', { zone: zone.id });
  const label = `${zone.name}, room with its movement`;
  const travel = entered(zone.travel, [...path, 'travel']);
  return [
    room.shape === 'box'
      ? derive({
          figure,
          label,
          formula: f.boxVolume,
          inputs: { places: boxPlaces(room, [...path, 'room']), travel },
        })
      : derive({
          figure,
          label,
          formula: f.rodVolume,
          inputs: {
            places: following(flat([vectorOf(room.from), vectorOf(room.to)]), [...path, 'room']),
            diameter: entered(room.diameter, [...path, 'room', 'diameter']),
            travel,
          },
        }),
    derive({
      figure: thingFigure('movingZone.asks', { zone: zone.id }),
      label: `${zone.name}, room it asks`,
      formula: f.movementAsked,
      inputs: { travel, whips: following(zone.part === 'belt' ? 1 : 0, [...path, 'part']) },
    }),
  ];
}

const sheetPlaces = (sheet: Sheet) =>
  following(flat([sheet.corner, sheet.next, sheet.other].map(vectorOf)), ['sheets', sheet.id]);

const sheetFigures = (sheet: Sheet): Result[] => [
  derive({
    figure: thingFigure('sheet.area', { sheet: sheet.id }),
    label: `${sheet.name}, area`,
    formula: f.sheetArea,
    inputs: { places: sheetPlaces(sheet) },
  }),
  derive({
    figure: thingFigure('sheet.edge', { sheet: sheet.id }),
    label: `${sheet.name}, around it`,
    formula: f.sheetEdge,
    inputs: { places: sheetPlaces(sheet) },
  }),
  ...sheet.passThroughs.map((hole) => {
    const path = ['sheets', sheet.id, 'passThroughs', hole.id];
    return derive({
      figure: thingFigure('passThrough.edgeRoom', { sheet: sheet.id, hole: hole.id }),
      label: `${hole.name}, metal left beside it`,
      formula: f.holeRoom,
      inputs: {
        places: sheetPlaces(sheet),
        hole: following(flat([vectorOf(hole)]), path),
        bore: entered(hole.bore, [...path, 'bore']),
      },
    });
  }),
];

function mountingLineFigures(line: MountingLine): Result[] {
  const path = ['mountingLines', line.id];
  const length = derive({
    figure: thingFigure('mountingLine.length', { mountingLine: line.id }),
    label: `${line.name}, length`,
    formula: f.polylineLength,
    inputs: { places: following(flat([vectorOf(line.from), vectorOf(line.to)]), path) },
  });
  if (!line.clipPitch) return [length];
  return [
    length,
    derive({
      figure: thingFigure('mountingLine.clips', { mountingLine: line.id }),
      label: `${line.name}, clips there`,
      formula: f.clipsThere,
      inputs: { length, pitch: entered(line.clipPitch, [...path, 'clipPitch']) },
    }),
  ];
}

function hardPointFigures(point: HardPoint, placements: readonly Placement[]): Result[] {
  const place = placements.find((p) => p.id === point.placementId);
  const path = ['hardPoints', point.id];
  return [
    derive({
      figure: thingFigure('hardPoint.off', { hardPoint: point.id }),
      label: 'Place, off what the tape says',
      formula: f.offTape,
      inputs: {
        onMap: following(place ? flat([vectorOf(place)]) : [], ['placements', point.placementId]),
        measured: following(flat([vectorOf(point)]), path),
      },
    }),
    derive({
      figure: thingFigure('hardPoint.uncertainty', { hardPoint: point.id }),
      label: 'Place, tape reading good to ±',
      formula: f.asEntered,
      inputs: { entered: entered(point.uncertainty, [...path, 'uncertainty']) },
    }),
  ];
}

function otherLineFigures(line: OtherLine, catalogue: Catalogue): Result[] {
  const path = ['otherLines', line.id];
  const hose = line.item && lookUp(catalogue, 'hose', line.item, line.id);
  const outside = hose
    ? fromItem(hose.outsideDiameter, hose)
    : line.diameter && entered(line.diameter, [...path, 'diameter']);
  if (!outside) return [];
  const diameter = derive({
    figure: thingFigure('otherLine.diameter', { otherLine: line.id }),
    label: `${line.name}, outside diameter`,
    formula: f.asEntered,
    inputs: { entered: outside },
  });
  if (!hose || !line.flow) return [diameter];
  return [
    diameter,
    derive({
      figure: thingFigure('otherLine.velocity', { otherLine: line.id }),
      label: `${line.name}, flow velocity`,
      formula: f.flowVelocity,
      inputs: { flow: entered(line.flow, [...path, 'flow']), bore: fromItem(hose.bore, hose) },
    }),
  ];
}

/** Figures of the vehicle itself and of everything on it but its lines' ways. */
export const thingFigures = (things: VehicleThings, catalogue: Catalogue): Result[] => [
  ...vehicleFigures(things.vehicle),
  ...things.hotRuns.flatMap(hotRunFigures),
  ...things.solids.map((solid) =>
    derive({
      figure: thingFigure('solid.volume', { solid: solid.id }),
      label: `${solid.name}, room`,
      formula: f.boxVolume,
      inputs: { places: boxPlaces(solid, ['solids', solid.id]), travel: STILL },
    }),
  ),
  ...things.sheets.flatMap(sheetFigures),
  ...things.movingZones.flatMap(movingZoneFigures),
  ...things.edges.map((edge) =>
    derive({
      figure: thingFigure('edge.length', { edge: edge.id }),
      label: `${edge.name}, length`,
      formula: f.polylineLength,
      inputs: {
        places: following(flat([vectorOf(edge.from), vectorOf(edge.to)]), ['edges', edge.id]),
      },
    }),
  ),
  ...things.mountingLines.flatMap(mountingLineFigures),
  ...things.spaces.map((space) =>
    derive({
      figure: thingFigure('space.volume', { space: space.id }),
      label: `${space.name}, room`,
      formula: f.boxVolume,
      inputs: { places: boxPlaces(space, ['spaces', space.id]), travel: STILL },
    }),
  ),
  ...things.hardPoints.flatMap((point) => hardPointFigures(point, things.placements)),
  ...things.otherLines.flatMap((line) => otherLineFigures(line, catalogue)),
];
