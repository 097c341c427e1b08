import type { Harness } from '../../model/index.ts';
import { asDrawn, atBreakout, atPlace, breakout, segment, spliced } from './harnessShorthand.ts';

/** The slack of a branch onto the engine. */
const FLEXES = 80;

/** Lantern: braided, from panel and ECU through the cab floor to the engine, the front and the pump. */
export const lanternHarness: Harness = {
  school: 'braided',
  massBudget: null,
  breakouts: [
    breakout('cab', 'Behind the passenger seat', [2300, -420, 900], 'cabin'),
    breakout('cab-left', 'Behind the driver', [2260, 460, 985], 'cabin'),
    breakout('dash', 'Under the dash', [3480, 440, 980], 'cabin'),
    breakout('middle', 'Under the cab floor', [2300, -420, 665], 'outside'),
    breakout('pump', 'Above the pump', [620, -385, 610], 'outside'),
    breakout('bell', 'Beside the bell housing', [2640, -380, 640], 'engine-bay'),
    breakout('side', 'Right side of the engine', [2960, -378, 830], 'engine-bay'),
    breakout('top', 'Over the engine', [3010, -310, 1120], 'engine-bay'),
    breakout('front', 'Behind the radiator', [3560, -380, 610], 'outside'),
    breakout('left', 'Left side of the engine', [2640, 300, 690], 'engine-bay'),
  ].map((each) => ({ ...each, movesWithEngine: each.id === 'top' })),
  segments: [
    segment('ecu', 'To the ECU', [atBreakout('cab'), atPlace('ecu')]),
    segment('panel', 'To the panel', [atBreakout('cab'), atPlace('panel')]),
    segment('panel-ground', 'To the ground beside the panel', [
      atBreakout('cab'),
      atPlace('panel-stud-place'),
    ]),
    segment(
      'gearbox-unit',
      'To the gearbox controller',
      [atBreakout('cab'), atPlace('gearbox-unit')],
      [[2320, -600, 880]],
      { radius: 55 },
    ),
    segment(
      'across',
      'Across behind the seats',
      [atBreakout('cab'), atBreakout('cab-left')],
      [[2255, -300, 985]],
      { radius: 60 },
    ),
    segment('main-fuse', 'To the main fuse', [atBreakout('cab-left'), atPlace('main-fuse')]),
    segment(
      'inertia',
      'To the inertia switch',
      [atBreakout('cab-left'), atPlace('inertia')],
      [[2420, 660, 985]],
      { radius: 40 },
    ),
    segment(
      'to-dash',
      'Along the sill to the dash',
      [atBreakout('cab-left'), atBreakout('dash')],
      [
        [2420, 800, 985],
        [2560, 860, 850],
        [3300, 860, 850],
      ],
      { radius: 70 },
    ),
    segment('instruments', 'To the instruments', [atBreakout('dash'), atPlace('dash')]),
    segment('pedals', 'To the pedals', [atBreakout('dash'), atPlace('pedal-box')]),
    segment('trunk', 'To the cab floor', [atBreakout('cab'), atPlace('cab-connector')]),
    segment('below', 'Through the cab floor', [atPlace('cab-connector'), atBreakout('middle')]),
    segment(
      'gearbox',
      'To the gearbox',
      [atBreakout('middle'), atPlace('gearbox-loom')],
      [[2250, -330, 560]],
      { radius: 95, loop: FLEXES },
    ),
    segment(
      'rear',
      'Along the right leg to the pump',
      [atBreakout('middle'), atBreakout('pump')],
      [
        [2170, -420, 650],
        [770, -385, 615],
      ],
      { radius: 60 },
    ),
    segment('fuel-pump', 'To the fuel pump', [atBreakout('pump'), atPlace('pump')]),
    segment('pump-ground', 'To the pump ground', [atBreakout('pump'), atPlace('pump-ground')]),
    segment('forward', 'Forward to the engine', [atBreakout('middle'), atBreakout('bell')]),
    segment(
      'block',
      'To the ground on the block',
      [atBreakout('bell'), atPlace('block-stud')],
      [],
      { loop: FLEXES },
    ),
    segment('crank', 'To the crank sensor', [atBreakout('bell'), atPlace('crank-seat')], [], {
      loop: FLEXES,
    }),
    segment('rise', 'Up beside the engine', [atBreakout('bell'), atBreakout('side')]),
    segment('knock', 'To the knock sensor', [atBreakout('side'), atPlace('knock-seat')], [], {
      loop: FLEXES,
    }),
    segment(
      'charge-air',
      'To the charge air sensor',
      [atBreakout('side'), atPlace('charge-air-seat')],
      [],
      { loop: FLEXES },
    ),
    segment('over', 'Onto the engine', [atBreakout('side'), atBreakout('top')], [], {
      loop: FLEXES,
    }),
    segment('manifold', 'To the manifold', [atBreakout('top'), atPlace('manifold')]),
    segment('throttle', 'To the throttle body', [atBreakout('top'), atPlace('throttle-seat')]),
    segment('idle', 'To the idle valve', [atBreakout('top'), atPlace('idle-seat')]),
    segment('rail-end', 'To the pressure sensor', [atBreakout('top'), atPlace('rail-end')]),
    segment('rail', 'To the injectors', [atBreakout('top'), atPlace('rail')]),
    segment('coils', 'To the coils', [atBreakout('top'), atPlace('coil-seat')]),
    segment('cam', 'To the cam sensor', [atBreakout('top'), atPlace('cam-seat')]),
    segment(
      'coolant',
      'To the coolant sensor',
      [atBreakout('top'), atPlace('coolant-seat')],
      [[3240, -70, 1080]],
    ),
    segment(
      'to-front',
      'Along the right leg to the front',
      [atBreakout('bell'), atBreakout('front')],
      [[2800, -385, 610]],
      { radius: 90 },
    ),
    segment('fan-right', 'To the right fan', [atBreakout('front'), atPlace('fan-right')]),
    segment('fan-left', 'To the left fan', [atBreakout('front'), atPlace('fan-left')]),
    segment('cooler-fan', 'To the cooler fan', [atBreakout('front'), atPlace('cooler-fan')]),
    segment('frame-front', 'To the ground in front', [atBreakout('front'), atPlace('frame-front')]),
    segment(
      'behind',
      'Behind the engine',
      [atBreakout('bell'), atBreakout('left')],
      [
        [2550, -300, 790],
        [2540, 200, 800],
      ],
      { radius: 60 },
    ),
    segment('oil', 'To the oil sender', [atBreakout('left'), atPlace('oil-seat')], [], {
      loop: FLEXES,
    }),
    segment('starter', 'To the starter', [atBreakout('left'), atPlace('starter-seat')], [], {
      loop: FLEXES,
    }),
    segment(
      'lambda',
      'To the lambda sensor',
      [atBreakout('left'), atPlace('lambda-seat')],
      [[2720, 420, 600]],
      { radius: 52, heatSleeve: true },
    ),
  ],
  splices: [
    spliced('splice ecu:A05', 'over', 90),
    spliced('splice ecu:A06', 'over', 60),
    spliced('splice gearbox-controller:A05', 'gearbox', 36),
    spliced('splice ign-brown:wire', 'across', 4),
  ],
  colours: [],
  ...asDrawn,
};
