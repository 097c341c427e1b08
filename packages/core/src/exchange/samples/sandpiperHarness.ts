import { wireCutTo } from '../../harness/index.ts';
import type { Harness } from '../../model/index.ts';
import {
  asDrawn,
  atBreakout,
  atPlace,
  breakout,
  leg,
  segment,
  spliced,
} from './harnessShorthand.ts';
import { q } from './shorthand.ts';

/** The slack of a branch onto the engine. */
const FLEXES = 80;

/** Sandpiper: taped, from a crossing behind the engine to the ECU, the box, the engine and the front. */
export const sandpiperHarness: Harness = {
  school: 'taped',
  massBudget: null,
  breakouts: [
    breakout('crossing', 'Crossing behind the engine', [490, -20, 740], 'outside'),
    breakout('right', 'Right rail', [490, -260, 670], 'outside'),
    breakout('box', 'Above the fuse box', [490, 90, 760], 'outside'),
    breakout('rear', 'Ahead of the tank', [330, 10, 800], 'outside'),
    breakout('top', 'Over the engine', [720, -30, 840], 'engine-bay'),
    breakout('left', 'Left of the gearbox', [530, 330, 420], 'outside'),
    breakout('seat', 'Beside the seat', [980, -350, 660], 'outside'),
  ],
  segments: [
    segment('ecu', 'ECU to the right rail', [atPlace('ecu'), atBreakout('right')]),
    segment('cross', 'Behind the engine', [atBreakout('right'), atBreakout('crossing')]),
    segment('middle', 'Behind the engine, left', [atBreakout('crossing'), atBreakout('box')]),
    segment('panel', 'To the fuse box', [atBreakout('box'), atPlace('panel')]),
    segment(
      'fuse',
      'To the main fuse',
      [atBreakout('left'), atPlace('main-fuse')],
      [[520, 100, 590]],
      { radius: 45 },
    ),
    segment('ground', 'To the frame ground', [atBreakout('right'), atPlace('frame-stud')]),
    segment('air', 'To the air box', [atBreakout('crossing'), atPlace('air-box')]),
    segment('tip-over', 'To the tip-over sensor', [atBreakout('crossing'), atPlace('inertia')]),
    segment('rear', 'To the tank', [atBreakout('crossing'), atBreakout('rear')]),
    segment('pump', 'To the pump', [atBreakout('rear'), atPlace('tank-pump')]),
    segment('pump-ground', 'To the pump ground', [atBreakout('crossing'), atPlace('pump-ground')]),
    segment(
      'tail',
      'To the tail lamp',
      [atBreakout('rear'), atPlace('lamp-rear')],
      [
        [270, -240, 790],
        [-260, -240, 850],
      ],
    ),
    segment(
      'over',
      'Onto the engine',
      [atBreakout('crossing'), atBreakout('top')],
      [[560, -25, 840]],
      { radius: 125, loop: FLEXES },
    ),
    segment('throttle', 'To the throttle bodies', [atBreakout('top'), atPlace('throttle-rack')]),
    segment('coils', 'To the coils', [atBreakout('top'), atPlace('coil-seat')]),
    segment(
      'coolant',
      'To the coolant sensor',
      [atBreakout('top'), atPlace('coolant-seat')],
      [[840, 60, 830]],
    ),
    segment(
      'down',
      'Down the left side',
      [atBreakout('box'), atBreakout('left')],
      [
        [520, 320, 740],
        [570, 420, 620],
        [560, 380, 460],
      ],
      { radius: 70 },
    ),
    segment(
      'gearbox',
      'To the neutral switch',
      [atBreakout('left'), atPlace('gearbox-side')],
      [[640, 290, 420]],
    ),
    segment(
      'crank',
      'To the crank sensor',
      [atBreakout('left'), atPlace('crank-seat')],
      [[600, 280, 430]],
      { radius: 55, loop: FLEXES },
    ),
    segment(
      'block',
      'To the ground on the block',
      [atBreakout('left'), atPlace('block-stud')],
      [[690, 320, 480]],
      { radius: 60, loop: FLEXES },
    ),
    segment(
      'stator',
      'To the stator',
      [atBreakout('left'), atPlace('stator-seat')],
      [[890, 350, 430]],
      { radius: 95, loop: FLEXES },
    ),
    segment(
      'starter',
      'To the starter',
      [atBreakout('right'), atPlace('starter-seat')],
      [
        [520, -310, 560],
        [620, -300, 430],
      ],
      { radius: 60, loop: FLEXES },
    ),
    segment(
      'right-rail',
      'Along the right rail',
      [atBreakout('right'), atBreakout('seat')],
      [[560, -350, 665]],
      { radius: 75 },
    ),
    segment('fan', 'To the fan', [atBreakout('seat'), atPlace('fan-seat')], [[1000, -120, 560]], {
      radius: 45,
    }),
    segment(
      'bar',
      'To the handlebar',
      [atBreakout('seat'), atPlace('handlebar')],
      [
        [1060, -345, 780],
        [1180, -160, 900],
      ],
      { radius: 60 },
    ),
    segment(
      'front',
      'To the lamp and horn',
      [atBreakout('seat'), atPlace('lamp-front')],
      [
        [1700, -345, 660],
        [1840, -160, 690],
      ],
      { radius: 42 },
    ),
  ],
  splices: [
    spliced('splice ecu:A04', 'over', 11.1),
    spliced('splice ecu:A06', 'over', 70),
    spliced('splice ecu:A05', 'cross', 12.1),
    spliced('splice key:15', 'middle', 72),
  ],
  colours: [],
  ...asDrawn,
  bought: [
    {
      id: 'stator-loom',
      name: 'Stator loom, kept',
      placementId: 'stator-seat',
      price: null,
      legs: [
        leg('fuse', 'To the main fuse', 'main-fuse', 1000, 440, 'on'),
        leg('ground', 'To the ground on the block', 'block-stud', 950, 440, 'back'),
      ],
    },
  ],
  cut: [
    { wireId: 'air~1', ...wireCutTo(q(670, 'length', 'mm')) },
    { wireId: 'air~2', ...wireCutTo(q(250, 'length', 'mm')) },
  ],
};
