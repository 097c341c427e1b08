import { type Catalogue, type DeviceItem, deviceRoleOf, lookUp } from '../../catalogue/index.ts';
import type { Device } from '../../model/index.ts';
import { type SensorSeat, sensorSeat } from './sensorSeats.ts';

/** A sensor that is screwed in anew, and what its seat takes. */
export interface SeatWork {
  readonly device: Device;
  readonly item: DeviceItem;
  readonly seat: SensorSeat;
  /** what seals it; a knock sensor is clamped and seals nothing */
  readonly seal: SensorSeat['seal'] | 'none';
}

/** How a new sensor is usually seated: lambda in a boss on the exhaust, others in a thread that is cut. */
export const usualSeat = ({ role, seat }: DeviceItem): Device['seat'] =>
  sensorSeat(seat) ? deviceRoleOf(role).seatMade : 'there';

/** The new sensors that are screwed into something. */
export const seatWorks = (devices: readonly Device[], catalogue: Catalogue): SeatWork[] =>
  devices.flatMap((device): SeatWork[] => {
    if (device.state !== 'new' || device.part.kind !== 'item') return [];
    const item = lookUp(catalogue, 'device', device.part.item, `devices.${device.id}`);
    const seat = sensorSeat(item.seat);
    const seal = deviceRoleOf(item.role).seal === 'none' ? 'none' : (seat?.seal ?? 'none');
    return seat ? [{ device, item, seat, seal }] : [];
  });

/** A tool, and what it is for. */
export interface ToolNeed {
  readonly tool: 'tapping drill' | 'tap';
  /** m; of a tap the major diameter of its thread */
  readonly diameter: number;
  readonly thread: SensorSeat['thread'];
  readonly usedFor: readonly string[];
}

/** Drills and taps for the seats that are cut, by thread. */
export function seatTools(works: readonly SeatWork[]): ToolNeed[] {
  const tapped = works.filter(({ device }) => device.seat === 'tapped');
  const threads = [...new Set(tapped.map(({ seat }) => seat))].sort(
    (a, b) => a.diameter - b.diameter,
  );
  return threads.flatMap((seat): ToolNeed[] => {
    const { thread } = seat;
    const usedFor = tapped.filter((work) => work.seat === seat).map(({ device }) => device.name);
    return [
      { tool: 'tapping drill', diameter: seat.drill, thread, usedFor },
      { tool: 'tap', diameter: seat.diameter, thread, usedFor },
    ];
  });
}
