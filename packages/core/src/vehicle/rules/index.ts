import type { VehicleRule } from '../checked.ts';
import { routeBend } from './routeBend.ts';
import { routeHeat } from './routeHeat.ts';
import { routeShape } from './routeShape.ts';

/** Checks of what runs over the vehicle. */
export const vehicleRules: readonly VehicleRule[] = [routeShape, routeBend, routeHeat];
