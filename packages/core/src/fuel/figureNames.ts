import { figureNames } from '../results/index.ts';

/** Figures of circuits and injectors. The first circuit and a single row need no name in a key. */
export const fuelFigure = figureNames({
  'element.length': 'circuit{.circuit}.{element}.length',
  'element.mapLength': 'circuit{.circuit}.{element}.mapLength',
  'element.pressureDrop': 'circuit{.circuit}.{element}.pressureDrop',
  'element.reynolds': 'circuit{.circuit}.{element}.reynolds',
  'element.velocity': 'circuit{.circuit}.{element}.velocity',
  'pumps.voltage': 'pump.peak{.circuit}.voltage',
  'pumps.current': 'pump.peak{.circuit}.current',
  'pumps.flowAvailable': 'pump.peak{.circuit}.flowAvailable',
  'pumps.flowNeeded': 'pump.peak{.circuit}.flowNeeded',
  'pumps.margin': 'pump.peak{.circuit}.margin',
  'pump.voltage': 'pump.{pump}.peak.voltage',
  'pump.current': 'pump.{pump}.peak.current',
  'rail.pressure': 'rail{.row}{.circuit}.{at}.pressure',
  'injector.deltaP': 'injector{.row}.{at}.deltaP',
  'injector.staticFlow': 'injector{.row}.{at}.staticFlow',
  'injector.period': 'injector{.row}.{at}.period',
  'injector.pulse': 'injector{.row}.{at}.pulse',
  'injector.effectivePulse': 'injector{.row}.{at}.effectivePulse',
  'injector.duty': 'injector{.row}.{at}.duty',
  'injector.sag': 'injector{.row}.{at}.sag',
  'injector.turnDown': 'injector{.row}.turnDown',
  'injector.pushOff': 'injector{.row}.pushOff',
  'injector.railLift': 'injector{.row}.railLift',
  'injector.seatGap': 'injector{.row}.seatGap',
  'injector.topGap': 'injector{.row}.topGap',
  'injector.bottomGap': 'injector{.row}.bottomGap',
  'injector.besideNeighbour': 'injector{.row}.besideNeighbour',
  'injector.coilCurrent': 'injector.{row}.coilCurrent',
  'injector.rowCurrent': 'injector.{row}.rowCurrent',
  'staging.massFlow': 'staging.{row}.massFlow',
  'suction.inletHead': 'suction.peak{.circuit}.{pump}.inletHead',
  'return.reserve': 'return.{at}{.circuit}.reserve',
  'return.bypass': 'return.{at}{.circuit}.bypass',
  'gauge.pressure': 'gauge.{at}{.circuit}.pressure',
  'prime.compliance': 'prime{.circuit}.compliance',
  'prime.emptyTime': 'prime{.circuit}.emptyTime',
  'prime.time': 'prime{.circuit}.time',
  'prime.count': 'prime{.circuit}.count',
  'surge.flow': 'surge{.circuit}.flow',
  'surge.seconds': 'surge{.circuit}.seconds',
  'surge.liftRatio': 'surge{.circuit}.liftRatio',
  'tank.starve': 'tank{.circuit}.starve.{case}',
  'tank.belowPickup': 'tank{.circuit}.belowPickup',
  'tank.abovePickup': 'tank{.circuit}.abovePickup',
  'tank.returnApart': 'tank{.circuit}.returnApart',
  'tank.ventFlow': 'tank{.circuit}.ventFlow',
  'tank.ventLoss': 'tank{.circuit}.ventLoss',
  'tank.swirlLasts': 'tank{.circuit}.swirlLasts',
  'tank.heatingPerHour': 'tank{.circuit}.heatingPerHour',
  'tank.afterHour': 'tank{.circuit}.temperatureAfterHour',
  'tank.vapourPressureAbsolute': 'tank{.circuit}.vapourPressureAbsolute',
  'consumption.massFlow': 'consumption{.circuit}.massFlow',
  'consumption.flow': 'consumption{.circuit}.flow',
  'consumption.perDistance': 'consumption{.circuit}.perDistance',
  'range.distance': 'range{.circuit}.distance',
  'case.rail.pressure': 'case.{case}.rail.{rail}.pressure',
  'case.injector.deltaP': 'case.{case}.injector.{row}.deltaP',
  'case.injector.duty': 'case.{case}.injector.{row}.duty',
  'case.pump.current': 'case.{case}.pump.{pump}.current',
  'case.pump.flow': 'case.{case}.pump.{pump}.flow',
  'case.pump.voltage': 'case.{case}.pump.{pump}.voltage',
  'case.pump.flowAvailable': 'case.{case}.pump.{pump}.flowAvailable',
  'case.pump.margin': 'case.{case}.pump.{pump}.margin',
  'case.return.backPressure': 'case.{case}{.circuit}.return.backPressure',
  'case.suction.npshMargin': 'case.{case}{.circuit}.suction.npshMargin',
  'case.vapour.margin': 'case.{case}{.circuit}.vapour.margin',
});

/** What a figure of circuits and injectors is called. */
export type FuelFigureName = keyof typeof fuelFigure.patterns;

/** Names a row of injectors in a figure; a single row needs no name. */
export interface RowScope {
  readonly row?: string;
}
export const rowScope = (rows: readonly unknown[], id: string): RowScope =>
  rows.length === 1 ? {} : { row: id };

/** Names a circuit in a figure: the first of a build needs no name. */
export interface CircuitScope {
  readonly circuit?: string;
}
export const circuitScope = (index: number, id: string): CircuitScope =>
  index === 0 ? {} : { circuit: id };
