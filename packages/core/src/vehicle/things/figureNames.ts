import { figureNames } from '../../results/index.ts';

/** Figures of the vehicle and of the things on it. */
export const thingFigure = figureNames({
  'vehicle.length': 'vehicle.length',
  'vehicle.sideArea': 'vehicle.sideArea',
  'vehicle.frontArea': 'vehicle.frontArea',
  'vehicle.axleHeight': 'vehicle.axleHeight',
  'vehicle.betweenTyres': 'vehicle.betweenTyres',
  'hotRun.length': 'hotRun.{hotRun}.length',
  'hotRun.surface': 'hotRun.{hotRun}.surface',
  'hotRun.excess': 'hotRun.{hotRun}.excess',
  'hotRun.asks': 'hotRun.{hotRun}.asks',
  'solid.volume': 'solid.{solid}.volume',
  'sheet.area': 'sheet.{sheet}.area',
  'sheet.edge': 'sheet.{sheet}.edge',
  'passThrough.edgeRoom': 'sheet.{sheet}.passThrough.{hole}.edgeRoom',
  'movingZone.volume': 'movingZone.{zone}.volume',
  'movingZone.asks': 'movingZone.{zone}.asks',
  'edge.length': 'edge.{edge}.length',
  'mountingLine.length': 'mountingLine.{mountingLine}.length',
  'mountingLine.clips': 'mountingLine.{mountingLine}.clips',
  'space.volume': 'space.{space}.volume',
  'hardPoint.off': 'hardPoint.{hardPoint}.off',
  'hardPoint.uncertainty': 'hardPoint.{hardPoint}.uncertainty',
  'otherLine.velocity': 'otherLine.{otherLine}.velocity',
  'otherLine.diameter': 'otherLine.{otherLine}.diameter',
});
