import { memo } from '../../numerics/index.ts';
import type { Netlist } from '../netlist/netlist.ts';
import { generatedCurrents } from './generatedCurrents.ts';
import { liveLoads, loadsOn } from './liveLoads.ts';
import { protections } from './protection.ts';
import { ratedCurrents } from './ratedCurrents.ts';
import { wireRuns } from './runs.ts';

/** What a netlist at a voltage V says of its loads, whatever the lengths of its wires are. */
export const loadsOfNetlist = memo((netlist: Netlist, voltage: number) => {
  const loads = liveLoads(netlist);
  const isOn = loadsOn(netlist, loads);
  return {
    loads,
    rated: ratedCurrents({ netlist, loads, isOn, cases: ['worst', 'cranking'], voltage }),
    protectedBy: protections(netlist, loads),
    generated: generatedCurrents(netlist),
    runs: wireRuns(netlist),
  };
});
