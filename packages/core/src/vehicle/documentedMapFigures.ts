import type { FigureDescription } from '../results/index.ts';

/** Figures of the map that readers of files may rely on. */
export const documentedMapFigures: readonly FigureDescription[] = [
  {
    key: 'line.feed.length',
    kind: 'length',
    meaning:
      'Developed length of a line along its route on the map, arcs and not corners: `line.<line>.length`. Used where no length was typed or measured.',
    onlyWith: 'a way on the map',
  },
  {
    key: 'line.feed.bends',
    kind: 'count',
    meaning: 'Bends of that way: `line.<line>.bends`.',
    onlyWith: 'a way on the map',
  },
  {
    key: 'line.feed.bendAngle',
    kind: 'angle',
    meaning: 'How far it is bent in all: `line.<line>.bendAngle`.',
    onlyWith: 'a way on the map',
  },
  {
    key: 'line.feed.minClearance',
    kind: 'length',
    meaning:
      'Clearance between the skins of a line and of what leaves it least beyond the room that is asked (hot pipe, moving part, edge, battery cable), over all movement: `line.<line>.minClearance`.',
    onlyWith: 'a way on the map',
  },
  {
    key: 'line.feed.highPoint',
    kind: 'length',
    meaning: 'Greatest height of its centreline above the ground: `line.<line>.highPoint`.',
    onlyWith: 'a way on the map',
  },
  {
    key: 'line.feed.lowPoint',
    kind: 'length',
    meaning: 'Least height of its centreline: `line.<line>.lowPoint`.',
    onlyWith: 'a way on the map',
  },
  {
    key: 'line.feed.clampCount',
    kind: 'count',
    meaning:
      'Clamps that its length asks for: one within 120 mm of each end, 450 mm apart at most on hose, 600 on hardline: `line.<line>.clampCount`.',
    onlyWith: 'a way on the map',
  },
  {
    key: 'line.feed.uncertainty',
    kind: 'length',
    meaning:
      'To what its length is known, ±: 5 mm where it was typed or measured, else by its two ends, each 80 mm or what its tape reading is good to: `line.<line>.uncertainty`.',
    onlyWith: 'a way on the map',
  },
  {
    key: 'map.lowestPoint',
    kind: 'length',
    meaning: 'Lowest point of all lines on the map, above the ground.',
    onlyWith: 'a way on the map',
  },
  {
    key: 'line.feed.clearanceMargin',
    kind: 'length',
    meaning: 'That clearance beyond the room that is asked: `line.<line>.clearanceMargin`.',
    onlyWith: 'a way on the map',
  },
  {
    key: 'line.feed.bendLoss',
    kind: 'ratio',
    meaning:
      'Loss coefficient of all its bends in the bore of the line, in the fuel network beside its fittings: `line.<line>.bendLoss`.',
    onlyWith: 'a way on the map',
  },
  {
    key: 'map.groundMargin',
    kind: 'length',
    meaning: 'Lowest point of all lines above the lowest protected member.',
    onlyWith: 'a way on the map',
  },
  {
    key: 'tank.starve.braking',
    kind: 'volume',
    meaning:
      'Fuel in the first circuit’s tank at which its pickup falls dry, by what the vehicle does (`accelerating`, `climbing`, `leftTurn`, `rightTurn` in place of `braking`).',
    onlyWith: 'a tank on the map',
  },
  {
    key: 'tank.swirlLasts',
    kind: 'duration',
    meaning: 'How long its swirl pot lasts at the design peak.',
    onlyWith: 'a tank on the map',
  },
  {
    key: 'vehicle.length',
    kind: 'length',
    meaning: 'Overall length: wheelbase and both overhangs.',
  },
  {
    key: 'vehicle.sideArea',
    kind: 'area',
    meaning: 'Area of the outline from the side, generated or as corrected point by point.',
  },
  { key: 'vehicle.frontArea', kind: 'area', meaning: 'Width times height of the vehicle.' },
  { key: 'vehicle.axleHeight', kind: 'length', meaning: 'Height of the axles: half a tyre.' },
  { key: 'vehicle.betweenTyres', kind: 'length', meaning: 'Room between the tyres of an axle.' },
  {
    key: 'hotRun.downpipe.asks',
    kind: 'length',
    meaning: 'Room that a hot pipe asks of a bare line: `hotRun.<pipe>.asks`.',
    onlyWith: 'a hot pipe on the map',
  },
  {
    key: 'solid.engine.volume',
    kind: 'volume',
    meaning: 'Room that a solid thing takes: `solid.<thing>.volume`.',
    onlyWith: 'a solid thing on the map',
  },
  {
    key: 'line.return.startTurn',
    kind: 'angle',
    meaning:
      'Angle between the direction out of the port that a line begins at and the line as it leaves it: `line.<line>.startTurn`; `line.<line>.endTurn` for its end.',
    onlyWith: 'a part on the map',
  },
  {
    key: 'component.pump.clearance',
    kind: 'length',
    meaning:
      'Room between the box of a part and what leaves it least beyond the room that is asked, over its full travel: `component.<component>.clearance`; below 0 they overlap.',
    onlyWith: 'a part on the map',
  },
  {
    key: 'component.pump.lowest',
    kind: 'length',
    meaning: 'Lowest corner of a part above the ground: `component.<component>.lowest`.',
    onlyWith: 'a part on the map',
  },
  {
    key: 'fixing.pump.blankLength',
    kind: 'length',
    meaning:
      'The flat plate that holds a part, along it: `fixing.<component>.blankLength`; across it `blankWidth`, its mass `mass`.',
    onlyWith: 'a part that is fastened',
  },
  {
    key: 'fixing.pump.boltLoad',
    kind: 'force',
    meaning: 'Load of each of its bolts at 20 times its weight: `fixing.<component>.boltLoad`.',
    onlyWith: 'a part that is fastened',
  },
  {
    key: 'tank.belowPickup',
    kind: 'volume',
    meaning: 'Fuel in the box of a tank below its pickup, never drawn.',
    onlyWith: 'a tank on the map',
  },
  {
    key: 'injector.pushOff',
    kind: 'force',
    meaning: 'Force of the rail pressure at peak on the upper seal of one injector.',
    onlyWith: 'measured seats',
  },
  {
    key: 'injector.seatGap',
    kind: 'length',
    meaning: 'Distance of the seats beyond the reach of the injector.',
    onlyWith: 'measured seats',
  },
];
