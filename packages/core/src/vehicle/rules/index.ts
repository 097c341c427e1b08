import type { VehicleRule } from '../checked.ts';
import { componentRules } from './componentSite.ts';
import { drainFalls } from './drainFalls.ts';
import { fixingRules } from './fixing.ts';
import { hardPointOff } from './hardPointOff.ts';
import { otherLineHose } from './otherLineHose.ts';
import { routeBend } from './routeBend.ts';
import { routeClamps } from './routeClamps.ts';
import { routeCover } from './routeCover.ts';
import { routeFlex } from './routeFlex.ts';
import { routeHeat } from './routeHeat.ts';
import { routeLow } from './routeLow.ts';
import { routeCable, routeComponent, routeEdge, routeMoving, routeSolid } from './routeNear.ts';
import { routePocket } from './routePocket.ts';
import { routeShape } from './routeShape.ts';
import { routeHole, routeSheet } from './routeSheet.ts';
import { routeCabin, routeCrush } from './routeSpace.ts';
import { ventSag } from './ventSag.ts';

export { boreFor, holeOpenedTo, newHole, widerHole } from './holeCures.ts';
export { slideAlongRail } from './otherSite.ts';

/** Checks of what runs over the vehicle. */
export const vehicleRules: readonly VehicleRule[] = [
  routeShape,
  routeBend,
  routeHeat,
  routeMoving,
  routeEdge,
  routeSolid,
  routeComponent,
  routeSheet,
  routeHole,
  routeCable,
  routeCabin,
  routeCrush,
  routeLow,
  routeFlex,
  routeCover,
  routeClamps,
  routePocket,
  otherLineHose,
  ventSag,
  drainFalls,
  hardPointOff,
  ...componentRules,
  ...fixingRules,
];
