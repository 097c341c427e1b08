import type { Build, VehicleThings } from '../../model/index.ts';
import {
  bent,
  edge,
  hardPoint,
  held,
  hole,
  hotRun,
  mountingLine,
  movingBox,
  movingRod,
  onEngine,
  ontoLine,
  ontoSheet,
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

/** The vehicle of a demo and what runs over it. */
export type VehicleSlices = VehicleThings & Pick<Build, 'routes' | 'tanks'>;

/** Lantern’s van: engine under the cab between the seats, long lines, exhaust down the left. */
export const lanternVehicle: VehicleSlices = {
  vehicle: vehicle('van', {
    wheelbase: 3250,
    frontOverhang: 1000,
    rearOverhang: 1350,
    width: 2000,
    height: 2700,
    track: 1600,
    tyre: 700,
    clearance: 300,
  }),
  placements: [
    place('tank-outlet', 'Tank outlet', [-450, -420, 430], 'outside', { heading: 0 }),
    place('tank-return', 'Tank return', [-500, -400, 700], 'outside', { pitch: 90 }),
    place('tank-vent', 'Tank vent', [-800, -500, 700], 'outside', { pitch: 90 }),
    place('vent-valve', 'Roll-over valve', [-800, -860, 800], 'outside', { pitch: -90 }),
    place('coarse-filter', 'Coarse filter', [160, -370, 360], 'outside', {
      fixing: held(ontoLine('leg-right'), 'bracket', [3, 5], [2, 'M6']),
    }),
    place('pump', 'Fuel pump', [520, -370, 500], 'outside', {
      fixing: held(ontoSolid('leg-right'), 'bracket', [3, 5], [2, 'M6'], { rubber: true }),
    }),
    place('fine-filter', 'Fine filter', [820, -370, 500], 'outside', {
      fixing: held(ontoSolid('leg-right'), 'bracket', [3, 5], [2, 'M6']),
    }),
    onEngine('rail', 'Fuel rail', [2770, -120, 880], { heading: 180 }),
    onEngine('rail-end', 'Front end of the rail', [3150, -120, 880]),
    onEngine('regulator', 'Regulator', [3200, -150, 900], {
      heading: 90,
      fixing: held(ontoSolid('engine'), 'bracket', [3, 0], [2, 'M6']),
    }),
    onEngine('manifold', 'Inlet manifold', [3000, -200, 950]),
    place('gearbox-cooler', 'Gearbox cooler', [3820, -300, 560], 'engine-bay', { heading: 180 }),
    onEngine('gearbox-oil', 'Gearbox oil outlet', [2300, -220, 480], { heading: -90 }),
    place('battery', 'Battery box', [2300, 560, 880], 'cabin', {
      heading: 90,
      fixing: held(ontoSheet('cab-floor-left'), 'tray', [2, 0], [4, 'M8']),
    }),
    place('second-battery', 'Second battery', [900, -650, 900], 'body'),
    place('main-fuse', 'Main fuse', [2300, 500, 940], 'cabin'),
    place('panel', 'Relay and fuse panel', [2260, -480, 980], 'cabin'),
    place('ecu', 'ECU', [2420, -420, 900], 'cabin', {
      fixing: held(ontoSheet('cab-floor-right'), 'plate', [2, 10], [4, 'M5'], {
        metal: 'aluminium',
      }),
    }),
    place('inertia', 'Inertia switch', [2620, 620, 900], 'cabin'),
    place('pump-ground', 'Pump ground on the frame', [560, -430, 510], 'outside'),
  ],
  sheets: [
    sheet(
      'cab-floor-left',
      'Cab floor, left',
      [
        [2200, 390, 780],
        [3900, 390, 780],
        [2200, 950, 780],
      ],
      [hole('battery-cables', 'Battery cables', [2260, 420, 780], 40, 'boot')],
    ),
    sheet(
      'cab-floor-right',
      'Cab floor, right',
      [
        [2200, -950, 780],
        [3900, -950, 780],
        [2200, -390, 780],
      ],
      [
        hole(
          'harness',
          'Bulkhead connector of the harness',
          [2300, -420, 780],
          52,
          'bulkhead-connector',
        ),
      ],
    ),
    sheet('bulkhead', 'Bulkhead behind the seats', [
      [2200, -950, 780],
      [2200, 950, 780],
      [2200, -950, 2600],
    ]),
    sheet(
      'body-floor',
      'Floor of the body',
      [
        [-1350, -950, 850],
        [2200, -950, 850],
        [-1350, 950, 850],
      ],
      [hole('second-battery', 'Cable of the second battery', [900, -650, 850], 26, 'grommet')],
    ),
  ],
  solids: [
    {
      ...solid('engine', 'Engine', 'engine', [
        [2600, 3300],
        [-300, 240],
        [380, 1050],
      ]),
      carriesMounts: true,
    },
    solid('gearbox', 'Gearbox', 'gearbox', [
      [1750, 2600],
      [-220, 220],
      [400, 720],
    ]),
    solid('tank', 'Fuel tank', 'tank', [
      [-1150, -450],
      [-800, -250],
      [380, 700],
    ]),
    {
      ...solid('leg-left', 'Left chassis leg', 'other', [
        [-1350, 4250],
        [400, 460],
        [450, 570],
      ]),
      carriesMounts: true,
    },
    {
      ...solid('leg-right', 'Right chassis leg', 'other', [
        [-1350, 4250],
        [-460, -400],
        [450, 570],
      ]),
      carriesMounts: true,
    },
    solid('member-rear', 'Rear cross member', 'other', [
      [-930, -870],
      [-250, 400],
      [450, 570],
    ]),
    solid('member-axle', 'Cross member over the axle', 'other', [
      [-30, 30],
      [-250, 250],
      [580, 640],
    ]),
    solid('member-shaft', 'Cross member over the shaft', 'other', [
      [1270, 1330],
      [-250, 250],
      [560, 620],
    ]),
    solid('member-dropped', 'Dropped cross member', 'other', [
      [2570, 2630],
      [-400, 400],
      [310, 370],
    ]),
    solid('member-front', 'Front cross member', 'other', [
      [3670, 3730],
      [-400, 400],
      [400, 470],
    ]),
    solid('final-drive', 'Final drive', 'gearbox', [
      [-160, 160],
      [-150, 150],
      [330, 560],
    ]),
    solid('silencer', 'Silencer', 'silencer', [
      [-1150, -500],
      [300, 560],
      [400, 560],
    ]),
    solid('radiator', 'Radiator', 'radiator', [
      [3920, 3990],
      [-350, 350],
      [420, 950],
    ]),
  ],
  hotRuns: [
    hotRun(
      'turbo',
      'Turbo',
      [130, 650],
      [
        [3150, 320, 820],
        [3060, 350, 700],
      ],
      'turbine',
    ),
    hotRun(
      'downpipe',
      'Downpipe',
      [63, 450],
      [
        [3000, 360, 600],
        [2900, 360, 410],
        [2400, 360, 410],
      ],
    ),
    hotRun(
      'front-pipe',
      'Front pipe',
      [63, 350],
      [
        [2400, 360, 410],
        [1600, 360, 410],
        [1500, 540, 410],
        [700, 540, 410],
      ],
    ),
    hotRun(
      'axle-pipe',
      'Pipe over the axle',
      [63, 250],
      [
        [700, 540, 410],
        [520, 300, 410],
        [360, 300, 680],
        [-300, 300, 680],
        [-460, 400, 480],
      ],
    ),
    hotRun(
      'silencer',
      'Silencer',
      [160, 250],
      [
        [-500, 430, 480],
        [-1150, 430, 480],
      ],
    ),
    hotRun(
      'tail',
      'Tail pipe',
      [55, 180],
      [
        [-1150, 430, 480],
        [-1350, 430, 480],
      ],
    ),
  ],
  movingZones: [
    movingRod('prop-shaft', 'Prop shaft', 'shaft', {
      from: [160, 0, 430],
      to: [1750, 0, 430],
      diameter: 90,
      travel: 60,
    }),
    movingRod('steering-shaft', 'Steering shaft', 'steering', {
      from: [3850, 500, 900],
      to: [3500, 480, 520],
      diameter: 30,
      travel: 0,
    }),
    movingBox('suspension-left', 'Rear suspension, left', 'suspension', [
      [-350, 350],
      [480, 800],
      [250, 600],
    ]),
    movingBox('suspension-right', 'Rear suspension, right', 'suspension', [
      [-350, 350],
      [-800, -480],
      [250, 600],
    ]),
    movingBox('wheel-left', 'Left front wheel at lock', 'wheel', [
      [2830, 3670],
      [620, 980],
      [0, 720],
    ]),
    movingBox('wheel-right', 'Right front wheel at lock', 'wheel', [
      [2830, 3670],
      [-980, -620],
      [0, 720],
    ]),
    movingBox('belts', 'Belts', 'belt', [
      [3300, 3420],
      [-250, 200],
      [420, 950],
    ]),
    movingBox('fans', 'Radiator fans', 'fan', [
      [3880, 3915],
      [-340, 340],
      [440, 930],
    ]),
  ],
  edges: [
    edge('step-well', 'Edge of the step well', [1700, -950, 560], [1700, -560, 560]),
    edge('dropped-flange', 'Flange of the dropped member', [2570, -400, 370], [2570, 250, 370]),
  ],
  mountingLines: [
    mountingLine('leg-right', 'Right leg, inside', [-1350, -370, 510], [4250, -370, 510], 400),
    mountingLine('leg-left', 'Left leg, inside', [-1350, 370, 510], [4250, 370, 510]),
  ],
  spaces: [
    space('cab-left', 'The cab, driver’s side', 'cabin', [
      [2200, 3900],
      [390, 950],
      [780, 2600],
    ]),
    space('cab-right', 'The cab, passenger’s side', 'cabin', [
      [2200, 3900],
      [-950, -390],
      [780, 2600],
    ]),
    space('nose', 'The nose', 'crush', [
      [3990, 4250],
      [-950, 950],
      [300, 1200],
    ]),
    space('tail', 'The tail', 'crush', [
      [-1350, -1180],
      [-950, 950],
      [300, 850],
    ]),
  ],
  hardPoints: [
    hardPoint('tank-outlet', [-450, -420, 430], 5, 'rear axle, right leg and ground'),
    hardPoint('battery', [2300, 560, 880], 10, 'bulkhead and floor'),
  ],
  otherLines: [
    otherLine('vent', 'Tank vent', 'vent', ['tank-vent', 'vent-valve'], 'HVT-6'),
    otherLine(
      'reference',
      'Regulator reference',
      'vacuum-reference',
      ['manifold', 'regulator'],
      'HLP-4',
    ),
    otherLine(
      'gearbox-oil-out',
      'Gearbox oil to the cooler',
      'gearbox-cooler',
      ['gearbox-oil', 'gearbox-cooler'],
      'HBR-6',
      8,
    ),
    otherLine(
      'second-battery-cable',
      'Cable of the second battery',
      'battery-cable',
      ['battery', 'second-battery'],
      12,
    ),
  ],
  tanks: [
    tankOnMap('tank', 'tank', 'main', 1, {
      pickup: 'draw-tube',
      pickupHeight: q(10, 'length', 'mm'),
      sock: true,
      rollOver: true,
      sender: 'float',
      filler: 'neck',
      drain: true,
      bung: 'threaded',
    }),
  ],
  routes: [
    way(
      'main',
      'suction',
      bent(130, [
        [-220, -420, 430],
        [40, -370, 375],
      ]),
    ),
    way('main', 'pump-inlet'),
    way('main', 'pump-outlet'),
    // The short way: along the right leg, under the engine, up on its left beside the downpipe.
    way(
      'main',
      'feed',
      bent(80, [
        [2660, -370, 500],
        [2730, -370, 330],
        [2760, 261, 330],
        [2760, 261, 880],
      ]),
    ),
    way('main', 'rail'),
    way(
      'main',
      'return',
      bent(90, [
        [3200, -360, 860],
        [3150, -360, 548],
        [-250, -370, 548],
        [-400, -385, 780],
      ]),
    ),
    otherWay('vent', bent(75, [[-800, -620, 790]])),
    otherWay('reference'),
    otherWay(
      'gearbox-oil-out',
      bent(90, [
        [2450, -330, 500],
        [3600, -330, 520],
      ]),
    ),
    otherWay(
      'second-battery-cable',
      bent(80, [
        [2260, 420, 860],
        [2260, 420, 660],
        [900, 300, 660],
        [900, -650, 660],
      ]),
    ),
  ],
};
