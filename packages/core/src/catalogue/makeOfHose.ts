import type { HoseItem } from './catalogueItem.ts';
import type { HoseMake } from './kinds/fitting.ts';

/** How a hose is made, for the ends that hold it. */
export function makeOfHose(hose: Pick<HoseItem, 'material' | 'wall'>): HoseMake {
  if (hose.wall === 'rigid') return hose.material === 'nylon' ? 'nylon tube' : 'metal tube';
  if (hose.material === 'PTFE')
    return hose.wall === 'convoluted' ? 'convoluted PTFE' : 'braided PTFE';
  return hose.wall === 'braided' ? 'braided rubber' : 'plain rubber';
}
