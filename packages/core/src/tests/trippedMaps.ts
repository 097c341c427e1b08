import { lantern } from '../exchange/index.ts';
import { type Change, type TrippedBuild, changed, cool, trip, withPart } from './trippedBuilds.ts';

const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
const corner = (route: string, point: string, axis: string, value: number): Change => [
  `routes.${route}.points.${point}.${axis}`,
  mm(value),
];
const at = (x: number, y: number, z: number) => ({ x: mm(x), y: mm(y), z: mm(z) });

/** The fine filter of Lantern, drilled for so far behind where it sits, m. */
const drilledBehind = (off: number) => {
  const { x, y, z } = lantern.placements['fine-filter']!;
  return { x: { ...x, value: x.value - off }, y, z };
};

/** The feed in a heat sleeve: what Lantern’s map is sound with. */
const sleeve = {
  kind: 'heat-sleeve',
  from: null,
  to: null,
  bears: { value: 823.15, unit: '°C' },
};
const sleeved = changed(...cool, ['routes.feed.covers', { s1: sleeve }]);

/** One build for every finding that the map can trip. */
export const trippedMaps: readonly TrippedBuild[] = [
  trip('route.shape', 'route.shape:return', [['routes.return.points.p3.radius', mm(1500)]]),
  trip('route.bend', 'route.bend:feed', [['routes.feed.points.p2.radius', mm(40)]]),
  { ...trip('route.heat', 'route.heat:feed', []), soundBuild: sleeved },
  {
    ...trip('route.heat', 'route.heat:feed', [
      corner('feed', 'p3', 'y', 330),
      corner('feed', 'p4', 'y', 330),
    ]),
    soundBuild: sleeved,
  },
  trip('route.moving', 'route.moving:suction', [
    ['movingZones.suspension-right.room.high.y', mm(-450)],
  ]),
  trip('route.edge', 'route.edge:feed', [
    ['edges.dropped-flange.from.z', mm(485)],
    ['edges.dropped-flange.to.z', mm(485)],
  ]),
  trip('route.solid', 'route.solid:return', [
    ['solids.member-shaft.low.y', mm(-400)],
    ['solids.member-shaft.low.z', mm(540)],
  ]),
  trip('route.sheet', 'route.sheet:second-battery-cable', [
    ['sheets.body-floor.passThroughs.second-battery.x', mm(600)],
  ]),
  trip('route.sheet', 'route.sheet:second-battery-cable', [
    ['sheets.body-floor.passThroughs.second-battery.bore', mm(10)],
  ]),
  trip('route.hole', 'route.hole:second-battery-cable', [
    ['sheets.body-floor.passThroughs.second-battery.fitted', 'none'],
  ]),
  trip('route.cable', 'route.cable:return', [
    corner('second-battery-cable', 'p4', 'z', 600),
    corner('second-battery-cable', 'p3', 'z', 600),
  ]),
  trip('route.cabin', 'route.cabin:return', [['spaces.cab-right.high.y', mm(-300)]]),
  trip('route.crush', 'route.crush:return', [
    ['spaces.nose.low', at(200, -380, 530)],
    ['spaces.nose.high', at(400, -300, 600)],
  ]),
  trip('route.low', 'route.low:feed', [['vehicle.clearance', mm(325)]]),
  trip('route.flex', 'route.flex:feed', [
    ['fuelCircuits.main.elements.feed.item', { id: 'TSS-6', revision: 1 }],
  ]),
  trip('other.hose', 'other.hose:gearbox-oil-out', [
    ['otherLines.gearbox-oil-out.item', { id: 'HVT-6', revision: 1 }],
  ]),
  trip('other.hose', 'other.hose:vent', [['otherLines.vent.use', 'power-steering-pressure']]),
  trip('other.vent-sag', 'other.vent-sag:vent', [corner('vent', 'p1', 'z', 600)], false),
  trip(
    'other.drain',
    'other.drain:gearbox-oil-out',
    [['otherLines.gearbox-oil-out.use', 'turbo-oil-drain']],
    false,
  ),
  trip('route.cover', 'route.cover:feed:s1', [
    ['routes.feed.covers', { s1: { ...sleeve, bears: { value: 533.15, unit: '°C' } } }],
  ]),
  trip('route.clamps', 'route.clamps:return', [
    ['routes.return.clamps', { c1: { at: mm(100) }, c2: { at: mm(900) } }],
  ]),
  trip('route.clamps', 'route.clamps:return', [['routes.return.clamps', { c1: { at: mm(5100) } }]]),
  trip('route.pocket', 'route.pocket:suction', [corner('suction', 'p1', 'z', 520)]),
  trip('route.component', 'route.component:return', [['placements.fine-filter.z', mm(530)]]),
  trip('component.heat', 'component.heat:fine', [
    ['placements.fine-filter.y', mm(250)],
    ['placements.fine-filter.x', mm(1900)],
  ]),
  trip('component.moving', 'component.moving:coarse', [['placements.coarse-filter.y', mm(-480)]]),
  trip('component.solid', 'component.solid:fine', [['placements.fine-filter.y', mm(-400)]]),
  trip('component.component', 'component.component:ecu', [
    ['placements.ecu.x', mm(2300)],
    ['placements.ecu.y', mm(560)],
    ['placements.ecu.z', mm(960)],
  ]),
  trip('component.sheet', 'component.sheet:battery', [['placements.battery.x', mm(2250)]]),
  trip('component.service', 'component.service:regulator', [
    ['solids.radiator.low', at(3150, -250, 950)],
    ['solids.radiator.high', at(3300, -100, 1000)],
  ]),
  trip('component.plug', 'component.plug:ecu', [
    ['solids.radiator.low', at(2510, -480, 880)],
    ['solids.radiator.high', at(2560, -300, 960)],
  ]),
  trip('component.space', 'component.space:battery', [
    ['spaces.nose.use', 'splash'],
    ['spaces.nose.low', at(2200, 400, 780)],
    ['spaces.nose.high', at(2390, 800, 830)],
  ]),
  trip('component.low', 'component.low:coarse', [['vehicle.clearance', mm(337)]]),
  trip('fixing.none', 'fixing.none:fine', [['placements.fine-filter.fixing', null]]),
  trip('fixing.carrier', 'fixing.carrier:fine', [
    ['placements.fine-filter.fixing.onto', { kind: 'solid', solidId: 'silencer' }],
  ]),
  trip('fixing.carrier', 'fixing.carrier:fine', [
    ['placements.fine-filter.fixing.onto', { kind: 'mounting-line', mountingLineId: 'leg-left' }],
  ]),
  trip('fixing.moved', 'fixing.moved:fine', [
    ['placements.fine-filter.fixing.drilled', drilledBehind(0.02)],
  ]),
  trip('fixing.bolts', 'fixing.bolts:fine', [['placements.fine-filter.fixing.bolts', 8]]),
  trip('fixing.bolts', 'fixing.bolts:ecu', [['placements.ecu.fixing.standoff', mm(190)]]),
  trip('tank.vent', 'tank.vent:tank', [['otherLines.vent.use', 'breather']]),
  {
    ...trip('tank.vent-narrow', 'tank.vent-narrow:tank', []),
    catalogue: withPart('HVT-6', { bore: 1.2e-3 }),
  },
  trip('tank.roll-over', 'tank.roll-over:tank', [['tanks.tank.rollOver', false]]),
  trip('tank.return', 'tank.return:tank', [
    ['tanks.tank.swirl', null],
    ['tanks.tank.baffle', false],
    ['placements.tank-return.z', mm(500)],
    ['placements.tank-return.x', mm(-470)],
  ]),
  trip('tank.usable', 'tank.usable:tank', [['solids.tank.high.z', mm(500)]]),
  trip('tank.bung', 'tank.bung:tank', [['tanks.tank.bung', 'welded']]),
  trip('tank.sender', 'tank.sender:tank', [['tanks.tank.sender', 'none']]),
  trip('injector.retention', 'injector.retention:primary', [
    ['injectorRows.primary.seating.retention', 'clips'],
  ]),
  trip('injector.seal', 'injector.seal:primary', [
    ['injectorRows.primary.seating.railBore', mm(11)],
  ]),
  trip('injector.seats', 'injector.seats:primary', [
    ['injectorRows.primary.seating.seatDistance', mm(53)],
  ]),
  trip('injector.spacing', 'injector.spacing:primary', [
    ['injectorRows.primary.seating.bossSpacing', mm(24)],
  ]),
  trip('injector.plug', 'injector.plug:primary', [['injectorRows.primary.seating.plug', 'slot']]),
  trip('tank.starve', 'tank.starve:tank', [['tanks.tank.swirl', null]]),
  trip('map.hard-point', 'map.hard-point:tank-outlet', [['hardPoints.tank-outlet.x', mm(-460)]]),
];
