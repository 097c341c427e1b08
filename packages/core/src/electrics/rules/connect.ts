import type { BuildCommand } from '../../model/index.ts';
import type { Connection } from '../slices/connections.ts';

/** Wires a pin of a device to something. */
export const connect = (
  device: { readonly id: string },
  pin: string,
  connection: Connection,
): BuildCommand => ({
  name: 'connect-pin',
  owner: { kind: 'device', id: device.id },
  pin,
  connection,
});
