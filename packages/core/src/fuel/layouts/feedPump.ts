import {
  type Build,
  type BuildCommand,
  type FuelCircuit,
  type PumpElement,
  ORDER_STEP,
  writeDevice,
} from '../../model/index.ts';
import { feedLikeFirst } from './feedsFor.ts';

/** The edit that feeds a pump like the build's first one; undefined where there is none to follow. */
export function feedPump(
  document: Pick<Build, 'devices'>,
  circuit: FuelCircuit,
  pump: PumpElement,
): BuildCommand | undefined {
  const placementId = circuit.nodes.find(({ id }) => id === pump.from)?.placementId;
  if (placementId === undefined) return undefined;
  const own = document.devices.find(
    ({ part }) =>
      part.kind === 'pump' && part.circuitId === circuit.id && part.elementId === pump.id,
  );
  const feed = feedLikeFirst(document, pump, {
    circuitId: circuit.id,
    placementId,
    ...(own ? { deviceId: own.id } : {}),
  });
  if (feed.length === 0) return undefined;
  const first = document.devices.length + 1;
  return {
    name: 'put-devices',
    label: `Feed ${pump.name}`,
    devices: Object.fromEntries(
      feed.map((each, i) => [each.id, writeDevice(each, ORDER_STEP * (first + i))]),
    ),
    placements: {},
  };
}
