import { type Build, type Change, ORDER_STEP } from '../../model/index.ts';
import type { Connection } from '../slices/connections.ts';
import { plainDevice } from '../slices/plainDevice.ts';
import { freeId } from './newDevice.ts';

/** A fuse that is put in beside the stud, fed from somewhere. */
export function newFuse(
  wired: Pick<Build, 'devices' | 'controllers' | 'power'>,
  base: string,
  name: string,
  from: Connection,
  placementId: string = wired.power.studPlacementId,
): { readonly out: Connection; readonly change: Change } {
  const id = freeId(wired, base);
  return {
    out: { to: 'part', partId: id, pin: 'out' },
    change: {
      path: ['devices', id],
      value: {
        ...plainDevice,
        order: ORDER_STEP * (wired.devices.length + 1),
        name,
        part: { kind: 'fuse', item: null },
        placementId,
        connections: { in: from },
      },
    },
  };
}
