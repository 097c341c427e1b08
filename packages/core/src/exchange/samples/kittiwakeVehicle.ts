import type { VehicleSlices } from './lanternVehicle.ts';
import {
  bent,
  edge,
  held,
  hole,
  hotRun,
  mountingLine,
  movingBox,
  movingRod,
  onEngine,
  ontoLine,
  ontoSolid,
  otherLine,
  otherWay,
  place,
  q,
  sheet,
  solid,
  space,
  tankOnMap,
  vehicle,
  way,
} from './shorthand.ts';

/** Kittiwake’s single-seater: cells behind a sealed firewall, pumps beside them, equal branches. */
export const kittiwakeVehicle: VehicleSlices = {
  vehicle: vehicle('single-seater', {
    wheelbase: 2620,
    frontOverhang: 950,
    rearOverhang: 580,
    width: 1780,
    height: 1010,
    track: 1480,
    tyre: 580,
    clearance: 40,
  }),
  placements: [
    place('tank-outlet', 'Cell outlet', [1310, -360, 150], 'outside', { heading: -90 }),
    place('tank-return', 'Cell return', [1200, -180, 440], 'outside', { pitch: 90 }),
    place('coarse-filter', 'Coarse filter', [1240, -600, 150], 'outside', {
      heading: 180,
      fixing: held(ontoLine('rail-right'), 'bracket', [2, 5], [2, 'M6'], { metal: 'stainless' }),
    }),
    place('pump', 'First pump', [850, -525, 160], 'outside', {
      heading: 180,
      fixing: held(ontoLine('rail-right'), 'bracket', [2, 5], [2, 'M6'], {
        metal: 'stainless',
        rubber: true,
      }),
    }),
    place('pump-2', 'Second pump', [850, -625, 160], 'outside', {
      heading: 180,
      fixing: held(ontoLine('rail-right'), 'bracket', [2, 5], [2, 'M6'], {
        metal: 'stainless',
        rubber: true,
      }),
    }),
    place('fine-filter', 'Fine filter', [370, -560, 160], 'outside', {
      heading: 180,
      fixing: held(ontoLine('rail-right'), 'bracket', [2, 5], [2, 'M6'], { metal: 'stainless' }),
    }),
    place('inlet-y', 'Y-block of the pump inlets', [1115, -580, 150], 'outside'),
    onEngine('y-block', 'Y-block to the rails', [340, 0, 740]),
    place('pump-y', 'Y-block of the pumps', [610, -575, 160], 'outside'),
    onEngine('rail', 'Left rail', [470, 180, 640], { heading: 180 }),
    onEngine('rail-end', 'End of the left rail', [890, 180, 640], { heading: 0 }),
    onEngine('rail-2', 'Right rail', [470, -180, 640], { heading: 180 }),
    onEngine('rail-2-end', 'End of the right rail', [890, -180, 640], { heading: 0 }),
    onEngine('regulator', 'Regulator', [960, 0, 790], {
      fixing: held(ontoSolid('engine'), 'bracket', [2, 0], [2, 'M6'], { metal: 'stainless' }),
    }),
    place('methanol-tank-outlet', 'Methanol cell outlet', [1310, 360, 150], 'outside', {
      heading: 90,
    }),
    place('methanol-tank-return', 'Methanol cell return', [1200, 180, 440], 'outside', {
      pitch: 90,
    }),
    place('methanol-coarse-filter', 'Methanol coarse filter', [1240, 600, 150], 'outside', {
      heading: 180,
      fixing: held(ontoLine('rail-left'), 'bracket', [2, 5], [2, 'M6'], { metal: 'stainless' }),
    }),
    place('methanol-pump', 'Methanol pump', [850, 590, 160], 'outside', {
      heading: 180,
      fixing: held(ontoLine('rail-left'), 'bracket', [2, 5], [2, 'M6'], {
        metal: 'stainless',
        rubber: true,
      }),
    }),
    place('methanol-fine-filter', 'Methanol fine filter', [370, 570, 160], 'outside', {
      heading: 180,
      fixing: held(ontoLine('rail-left'), 'bracket', [2, 5], [2, 'M6'], { metal: 'stainless' }),
    }),
    onEngine('methanol-rail', 'Methanol rail', [330, 80, 740], { heading: 180 }),
    onEngine('methanol-rail-end', 'End of the methanol rail', [750, 80, 740]),
    onEngine('methanol-regulator', 'Methanol regulator', [775, 80, 780], {
      fixing: held(ontoSolid('engine'), 'bracket', [2, 0], [2, 'M6'], { metal: 'stainless' }),
    }),
    place('cell-vent', 'Cell vent', [1250, -260, 440], 'outside', { pitch: 90 }),
    place('methanol-vent', 'Methanol cell vent', [1250, 260, 440], 'outside', { pitch: 90 }),
    place('vent-valve', 'Roll-over valve', [1180, -420, 560], 'outside'),
    place('methanol-vent-valve', 'Methanol roll-over valve', [1180, 420, 560], 'outside'),
    place('battery', 'Battery', [1580, -340, 160], 'cabin', {
      heading: 180,
      fixing: held(ontoLine('rail-right'), 'tray', [2, 0], [4, 'M6'], { metal: 'aluminium' }),
    }),
    place('main-fuse', 'Main fuse', [1580, -350, 290], 'cabin'),
    place('panel', 'Power panel', [1380, -300, 430], 'body'),
    onEngine('ecu', 'ECU', [520, -100, 790], {
      fixing: held(ontoSolid('engine'), 'plate', [2, 10], [4, 'M5'], {
        metal: 'aluminium',
        rubber: true,
      }),
    }),
    place('inertia', 'Inertia switch', [1420, -150, 500], 'body'),
    place('pump-ground', 'Pump ground on the frame', [1000, -330, 220], 'outside'),
    place('pump-ground-left', 'Pump ground on the frame, left', [1000, 430, 220], 'outside'),
  ],
  sheets: [
    sheet(
      'firewall',
      'Sealed firewall',
      [
        [1350, -400, 60],
        [1350, 400, 60],
        [1350, -400, 900],
      ],
      [
        hole('harness-right', 'Engine loom', [1350, -220, 640], 52, 'bulkhead-connector'),
        hole('harness-left', 'Loom of the left side', [1350, 242, 650], 40, 'bulkhead-connector'),
      ],
      true,
    ),
  ],
  solids: [
    {
      ...solid('engine', 'Engine', 'engine', [
        [250, 1050],
        [-280, 280],
        [120, 700],
      ]),
      carriesMounts: true,
    },
    solid('gearbox', 'Gearbox', 'gearbox', [
      [-350, 250],
      [-280, 280],
      [120, 700],
    ]),
    solid('cell', 'E85 cell', 'tank', [
      [1070, 1320],
      [-360, -20],
      [70, 440],
    ]),
    solid('methanol-cell', 'Methanol cell', 'tank', [
      [1070, 1320],
      [20, 360],
      [70, 440],
    ]),
    solid('seat', 'Seat', 'seat', [
      [1400, 1900],
      [-230, 230],
      [60, 600],
    ]),
  ],
  hotRuns: [
    hotRun(
      'turbo-left',
      'Left turbo',
      [120, 750],
      [
        [620, 360, 430],
        [520, 360, 430],
      ],
      'turbine',
    ),
    hotRun(
      'turbo-right',
      'Right turbo',
      [120, 750],
      [
        [620, -360, 430],
        [520, -360, 430],
      ],
      'turbine',
    ),
    hotRun(
      'pipe-left',
      'Left exhaust',
      [70, 600],
      [
        [520, 360, 430],
        [-400, 330, 430],
      ],
    ),
    hotRun(
      'pipe-right',
      'Right exhaust',
      [70, 600],
      [
        [520, -360, 430],
        [-400, -330, 430],
      ],
    ),
  ],
  movingZones: [
    movingRod('shaft-left', 'Left half shaft', 'shaft', {
      from: [0, 300, 290],
      to: [0, 660, 290],
      diameter: 60,
      travel: 70,
    }),
    movingRod('shaft-right', 'Right half shaft', 'shaft', {
      from: [0, -300, 290],
      to: [0, -660, 290],
      diameter: 60,
      travel: 70,
    }),
    movingBox('wheel-left', 'Left front wheel at lock', 'wheel', [
      [2250, 2990],
      [560, 890],
      [0, 600],
    ]),
    movingBox('wheel-right', 'Right front wheel at lock', 'wheel', [
      [2250, 2990],
      [-890, -560],
      [0, 600],
    ]),
    movingBox('belts', 'Belts', 'belt', [
      [1050, 1065],
      [-200, 200],
      [150, 600],
    ]),
  ],
  edges: [edge('undertray', 'Edge of the undertray', [700, -620, 42], [1350, -620, 42])],
  mountingLines: [
    mountingLine('rail-right', 'Side rail, right', [250, -430, 150], [2400, -430, 150]),
    mountingLine('rail-left', 'Side rail, left', [250, 430, 150], [2400, 430, 150]),
    mountingLine('cage', 'Cage over the engine', [250, 0, 800], [1350, 0, 800]),
  ],
  spaces: [
    space('cockpit', 'The cockpit', 'cabin', [
      [1355, 2500],
      [-350, 350],
      [60, 900],
    ]),
    space('tail', 'The tail', 'crush', [
      [-580, -380],
      [-500, 500],
      [100, 700],
    ]),
  ],
  hardPoints: [],
  otherLines: [
    otherLine('vent', 'Cell vent', 'vent', ['cell-vent', 'vent-valve'], 'HBP-6'),
    otherLine(
      'methanol-vent',
      'Methanol cell vent',
      'vent',
      ['methanol-vent', 'methanol-vent-valve'],
      'HBP-6',
    ),
  ],
  tanks: [
    tankOnMap('tank', 'cell', 'main', 1.5, {
      pickup: 'sump',
      pickupHeight: q(15, 'length', 'mm'),
      baffle: true,
      rollOver: true,
      sender: 'capacitive',
      bung: 'flange',
    }),
    tankOnMap('methanol-tank', 'methanol-cell', 'methanol', 1, {
      pickup: 'sump',
      pickupHeight: q(15, 'length', 'mm'),
      baffle: true,
      rollOver: true,
      sender: 'capacitive',
      bung: 'flange',
    }),
  ],
  routes: [
    way('main', 'suction'),
    way('main', 'pump-inlet-1'),
    way('main', 'pump-inlet-2'),
    way('main', 'pump-hose-1'),
    way('main', 'pump-hose-2'),
    way('main', 'pump-outlet'),
    way('main', 'feed', bent(135, [[270, -560, 790]])),
    way('main', 'branch-1'),
    way('main', 'branch-2'),
    way('main', 'rail-1'),
    way('main', 'rail-2'),
    way('main', 'rail-link-1'),
    way('main', 'rail-link-2'),
    way('main', 'return', bent(135, [[1200, -150, 740]])),
    way('methanol', 'methanol-suction'),
    way('methanol', 'methanol-pump-inlet'),
    way('methanol', 'methanol-pump-outlet'),
    way('methanol', 'methanol-rail'),
    way('methanol', 'methanol-feed', bent(135, [[270, 570, 790]])),
    way('methanol', 'methanol-return', bent(135, [[1200, 160, 730]])),
    otherWay('vent', bent(80, [[1250, -260, 560]])),
    otherWay('methanol-vent', bent(80, [[1250, 260, 560]])),
  ],
};
