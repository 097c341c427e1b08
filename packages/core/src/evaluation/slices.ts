import { engineBrief } from '../engine/index.ts';
import type { Build } from '../model/index.ts';
import { memo } from '../numerics/index.ts';
import { withEnds } from '../plumbing/index.ts';
import { slice } from './runner/source.ts';

/** Circuits with the ends that their lines are made with, made once for the same two. */
const withMadeEnds = memo(withEnds);
const plumbed = ({ fuelCircuits, assemblies }: Build): Build['fuelCircuits'] =>
  withMadeEnds(fuelCircuits, assemblies);

const NAMELESS = { name: '' };

/** Things without their names: what a name is called moves no number. */
const bareCircuits = memo((circuits: Build['fuelCircuits']) =>
  circuits.map((circuit) => ({
    ...circuit,
    ...NAMELESS,
    elements: circuit.elements.map((element) => ({ ...element, ...NAMELESS })),
  })),
);
/** Pumps of the circuits: all that the wiring asks of them. */
const wiredCircuits = memo((circuits: Build['fuelCircuits']) =>
  circuits.map(({ id, elements }) => ({
    id,
    elements: elements
      .filter(({ kind }) => kind === 'pump')
      .map((element) => ({ ...element, ...NAMELESS })),
  })),
);
const wiredRows = memo((rows: Build['injectorRows']) => rows.map(({ id, item }) => ({ id, item })));
const bareRows = memo((rows: Build['injectorRows']) => rows.map((r) => ({ ...r, ...NAMELESS })));
const bareFuels = memo((fuels: Build['fuels']) => fuels.map((f) => ({ ...f, ...NAMELESS })));
/** Each made once, so that what rests on one place is as it was when another moves. */
const barePlace = memo((place: Build['placements'][number]) => ({ ...place, ...NAMELESS }));
const barePlacements = memo((places: Build['placements']) => places.map((p) => barePlace(p)));
const runningBrief = memo(engineBrief);
const wordlessBrief = memo((brief: Build['brief']) => ({ ...brief, vehicle: '', engine: '' }));

/** Parts of a build that stages read. */
export const slices = {
  catalogue: slice('catalogue', ({ catalogue }) => catalogue),
  brief: slice('brief', ({ build }) => runningBrief(build.brief)),
  judgedBrief: slice('brief without its words', ({ build }) => wordlessBrief(build.brief)),
  boughtLooms: slice('looms bought', ({ build }) => build.harness.bought),
  covers: slice('covers of the harness', ({ build: { harness } }) => ({
    school: harness.school,
    segments: Object.fromEntries(
      harness.segments.flatMap(({ id, cover }) => (cover ? [[id, cover] as const] : [])),
    ),
  })),
  school: slice('demand school', ({ build }) => ({ school: build.demand.school })),
  limits: slice('limits', ({ build }) => build.limits),
  runningLimits: slice('limits of running', ({ build: { limits } }) => ({
    designFactor: limits.designFactor,
    voltageRunning: limits.voltageRunning,
    voltageLow: limits.voltageLow,
    voltageCranking: limits.voltageCranking,
  })),
  designFactor: slice('design factor', ({ build: { limits } }) => ({
    designFactor: limits.designFactor,
  })),
  wiringLimits: slice('limits of wiring', ({ build: { limits } }) => ({
    voltageRunning: limits.voltageRunning,
    voltageLow: limits.voltageLow,
    voltageCranking: limits.voltageCranking,
    pumpFeedDrop: limits.pumpFeedDrop,
  })),
  thermostat: slice('thermostat', ({ build: { limits } }) => ({
    thermostatOpens: limits.thermostatOpens,
  })),
  vehicleSignals: slice('wires found', ({ build }) => build.vehicleSignals),
  hardPoints: slice('tape readings', ({ build }) => build.hardPoints),
  harness: slice('harness', ({ build }) => build.harness),
  switching: slice('switching', ({ build }) => build.switching),
  supplyLimits: slice('limits of supply', ({ build: { limits } }) => ({
    alternatorAtIdle: limits.alternatorAtIdle,
    alternatorHot: limits.alternatorHot,
    batteryUsable: limits.batteryUsable,
  })),
  hotDay: slice('hot day', ({ build: { brief } }) => ({ ambientHot: brief.ambientHot })),
  road: slice('cruise', ({ build: { brief } }) => ({
    cruisePower: brief.cruisePower,
    cruiseRoadSpeed: brief.cruiseRoadSpeed,
  })),
  power: slice('power', ({ build }) => build.power),
  electric: slice('devices', ({ build }) => ({
    devices: build.devices,
    controllers: build.controllers,
    vehicleSignals: build.vehicleSignals,
    grounds: build.grounds,
    buses: build.buses,
  })),
  panels: slice('panels', ({ build }) => ({
    devices: build.devices,
    panels: build.panels,
    power: { studPlacementId: build.power.studPlacementId },
  })),
  mountedPower: slice('mounted power', ({ build: { power } }) => ({
    battery: power.battery,
    batteryPlacementId: power.batteryPlacementId,
    ecu: power.ecu,
    ecuPlacementId: power.ecuPlacementId,
  })),
  fuels: slice('fuels', ({ build }) => bareFuels(build.fuels)),
  circuits: slice('fuel circuits', ({ build }) => bareCircuits(plumbed(build))),
  wiredCircuits: slice('pumps', ({ build }) => wiredCircuits(build.fuelCircuits)),
  wiredRows: slice('injectors', ({ build }) => wiredRows(build.injectorRows)),
  rows: slice('injector rows', ({ build }) => bareRows(build.injectorRows)),
  places: slice('places', ({ build }) => barePlacements(build.placements)),
  routes: slice('routes', ({ build }) => build.routes),
  tanks: slice('tanks', ({ build }) => build.tanks),
  solids: slice('solid things', ({ build }) => build.solids),
  otherLines: slice('other lines', ({ build }) => build.otherLines),
  use: slice('use', ({ build }) => ({ use: build.brief.use })),
  vehicle: slice('vehicle', ({ build }) => ({
    vehicle: build.vehicle,
    sheets: build.sheets,
    solids: build.solids,
    hotRuns: build.hotRuns,
    movingZones: build.movingZones,
    edges: build.edges,
    mountingLines: build.mountingLines,
    spaces: build.spaces,
    hardPoints: build.hardPoints,
    otherLines: build.otherLines,
  })),
  namedThings: slice('names', ({ build }) => ({
    fuels: build.fuels,
    fuelCircuits: plumbed(build),
    injectorRows: build.injectorRows,
  })),
  offcuts: slice('offcuts', ({ build }) => build.offcuts),
  assemblies: slice('lines as they are made', ({ build }) => build.assemblies),
  acceptances: slice('acceptances', ({ build }) => build.acceptances),
};
