import { type Change, type TrippedBuild, changed, cool, trip } from './trippedBuilds.ts';

const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
const corner = (route: string, point: string, axis: string, value: number): Change => [
  `routes.${route}.points.${point}.${axis}`,
  mm(value),
];
const at = (x: number, y: number, z: number) => ({ x: mm(x), y: mm(y), z: mm(z) });

/** The feed in a heat sleeve: what Lantern’s map is sound with. */
const sleeved = changed(...cool, ['routes.feed.sleeve', true]);

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
  trip('tank.starve', 'tank.starve:tank', [['tanks.tank.swirl', null]]),
  trip('map.hard-point', 'map.hard-point:tank-outlet', [['hardPoints.tank-outlet.x', mm(-460)]]),
];
