import type { VehicleSlices } from './lanternVehicle.ts';
import {
  bent,
  edge,
  held,
  hotRun,
  mountingLine,
  movingBox,
  movingRod,
  onEngine,
  ontoLine,
  otherLine,
  otherWay,
  place,
  q,
  solid,
  space,
  tankOnMap,
  vehicle,
  way,
} from './shorthand.ts';

/** Sandpiper’s runabout: a tube frame, the tank over the rear wheel, everything close together. */
export const sandpiperVehicle: VehicleSlices = {
  vehicle: vehicle('three-wheeler', {
    wheelbase: 1980,
    frontOverhang: 400,
    rearOverhang: 370,
    width: 1420,
    height: 1250,
    track: 1200,
    tyre: 600,
    clearance: 240,
  }),
  placements: [
    place('tank-pump', 'Pump in the tank', [60, 0, 800], 'outside'),
    place('tank-top', 'Tank top', [60, 0, 1020], 'outside', { heading: 0 }),
    place('tank-return', 'Tank return', [220, -60, 812], 'outside', { heading: 0 }),
    place('tank-vent', 'Tank vent', [-60, -60, 1000], 'outside', { pitch: 90 }),
    place('vent-valve', 'Roll-over valve', [-150, -220, 900], 'outside'),
    place('filter-regulator', 'Filter-regulator', [330, 120, 804], 'outside', {
      heading: 90,
      fixing: held(ontoLine('upper-left'), 'bracket', [2, 5], [2, 'M6'], { metal: 'stainless' }),
    }),
    onEngine('rail', 'Fuel rail', [720, 120, 700], { heading: 90 }),
    onEngine('rail-end', 'End of the fuel rail', [720, -120, 700]),
    place('battery', 'Battery', [470, 300, 540], 'outside', {
      fixing: held(ontoLine('upper-left'), 'tray', [2, 0], [4, 'M6'], { metal: 'aluminium' }),
    }),
    place('main-fuse', 'Main fuse', [450, 240, 580], 'outside'),
    place('panel', 'Relay and fuse box', [470, 120, 660], 'outside'),
    place('ecu', 'ECU', [480, -320, 690], 'outside', {
      fixing: held(ontoLine('upper-right'), 'plate', [2, 10], [4, 'M5'], {
        metal: 'aluminium',
      }),
    }),
    place('inertia', 'Tip-over sensor', [430, 60, 790], 'outside'),
    place('pump-ground', 'Ground on the frame', [480, -60, 640], 'outside'),
    onEngine('starter', 'Starter', [640, 200, 420]),
  ],
  sheets: [],
  solids: [
    solid('engine', 'Engine', 'engine', [
      [550, 950],
      [-240, 240],
      [330, 760],
    ]),
    solid('tank', 'Fuel tank', 'tank', [
      [-120, 220],
      [-160, 160],
      [740, 1000],
    ]),
    {
      ...solid('upper-left', 'Upper rail, left', 'other', [
        [-100, 1900],
        [164, 196],
        [604, 636],
      ]),
      carriesMounts: true,
    },
    {
      ...solid('upper-right', 'Upper rail, right', 'other', [
        [-100, 1900],
        [-196, -164],
        [604, 636],
      ]),
      carriesMounts: true,
    },
    {
      ...solid('lower-left', 'Lower rail, left', 'other', [
        [-100, 1900],
        [194, 226],
        [244, 276],
      ]),
      carriesMounts: true,
    },
    {
      ...solid('lower-right', 'Lower rail, right', 'other', [
        [-100, 1900],
        [-226, -194],
        [244, 276],
      ]),
      carriesMounts: true,
    },
    solid('seat', 'Seat', 'seat', [
      [1050, 1500],
      [-300, 300],
      [420, 620],
    ]),
  ],
  hotRuns: [
    hotRun(
      'header',
      'Exhaust under the engine',
      [42, 420],
      [
        [900, -60, 300],
        [560, -120, 300],
        [300, -260, 380],
        [100, -260, 420],
      ],
    ),
    hotRun(
      'silencer',
      'Silencer',
      [110, 250],
      [
        [100, -260, 420],
        [-350, -260, 520],
      ],
    ),
  ],
  movingZones: [
    movingRod('chain', 'Chain', 'belt', {
      from: [0, 120, 340],
      to: [600, 120, 340],
      diameter: 60,
      travel: 25,
    }),
    movingBox(
      'rear-wheel',
      'Rear wheel',
      'wheel',
      [
        [-300, 300],
        [-90, 90],
        [0, 600],
      ],
      110,
    ),
    movingBox('front-left', 'Left front wheel at lock', 'wheel', [
      [1680, 2280],
      [480, 720],
      [0, 640],
    ]),
    movingBox('front-right', 'Right front wheel at lock', 'wheel', [
      [1680, 2280],
      [-720, -480],
      [0, 640],
    ]),
  ],
  edges: [edge('tank-strap', 'Edge of the tank’s strap', [230, -160, 740], [230, 160, 740])],
  mountingLines: [
    mountingLine('upper-left', 'Upper rail, left', [-100, 180, 636], [1900, 180, 636], 300),
    mountingLine('upper-right', 'Upper rail, right', [-100, -180, 636], [1900, -180, 636]),
  ],
  spaces: [
    space('splash', 'Below the splash line', 'splash', [
      [-370, 2380],
      [-710, 710],
      [0, 450],
    ]),
    space('seat-room', 'Around the driver', 'cabin', [
      [1020, 1700],
      [-320, 320],
      [620, 1250],
    ]),
  ],
  hardPoints: [],
  otherLines: [
    otherLine('vent', 'Tank vent', 'vent', ['tank-vent', 'vent-valve'], 'HVT-6'),
    otherLine('starter-cable', 'Starter cable', 'battery-cable', ['battery', 'starter'], 9),
  ],
  tanks: [
    tankOnMap('tank', 'tank', 'main', 0.5, {
      pickup: 'hanger',
      pickupHeight: q(12, 'length', 'mm'),
      sock: true,
      rollOver: true,
      sender: 'capacitive',
      bung: 'flange',
    }),
  ],
  routes: [
    way('main', 'pump-hose'),
    {
      ...way('main', 'feed'),
      clamps: [
        { id: 'c1', at: q(110, 'length', 'mm') },
        { id: 'c2', at: q(300, 'length', 'mm') },
      ],
    },
    way('main', 'rail'),
    way('main', 'regulator-hose', bent(80, [[330, 45, 1020]])),
    way('main', 'return'),
    otherWay(
      'vent',
      bent(75, [
        [-60, -60, 1120],
        [-150, -220, 1120],
      ]),
    ),
    otherWay('starter-cable', bent(60, [[590, 330, 500]])),
  ],
};
