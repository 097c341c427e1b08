import type { SeatThread } from '../../catalogue/index.ts';

/** What a thread asks of the metal that it is cut into. SI. */
export interface SensorSeat {
  readonly thread: SeatThread;
  /** major diameter, m: what a boss and a sealing washer go by */
  readonly diameter: number;
  /** tapping drill, m */
  readonly drill: number;
  /** least thickness of metal, m */
  readonly leastWall: number;
  /** what seals: the thread itself, with sealant, or a washer under the sensor */
  readonly seal: 'sealant' | 'sealing washer';
}

/** A pad of less is not tapped, m: thin tube gets a boss, or is built up. */
const LEAST_PAD = 5e-3;
/** Turns that a parallel thread wants to hold. */
const TURNS = 5;

const taper = (
  thread: SeatThread,
  diameter: number,
  drill: number,
  effective: number,
): SensorSeat => ({
  thread,
  diameter: diameter / 1e3,
  drill: drill / 1e3,
  leastWall: Math.max(LEAST_PAD, effective / 1e3),
  seal: 'sealant',
});
const parallel = (
  thread: SeatThread,
  diameter: number,
  pitch: number,
  drill: number,
): SensorSeat => ({
  thread,
  diameter: diameter / 1e3,
  drill: drill / 1e3,
  leastWall: Math.max(LEAST_PAD, (TURNS * pitch) / 1e3),
  seal: 'sealing washer',
});

/** Taper threads with their effective length L2 (ASME B1.20.1), parallel ones with their pitch (ISO 261). */
const seats: readonly SensorSeat[] = [
  taper('1/8-27 NPT', 10.29, 8.6, 6.7),
  taper('1/4-18 NPT', 13.72, 11.1, 10.21),
  taper('3/8-18 NPT', 17.15, 14.5, 10.36),
  taper('1/2-14 NPT', 21.34, 18, 13.56),
  parallel('M8×1.25', 8, 1.25, 6.8),
  parallel('M10×1', 10, 1, 9),
  parallel('M12×1.5', 12, 1.5, 10.5),
  parallel('M14×1.5', 14, 1.5, 12.5),
  parallel('M18×1.5', 18, 1.5, 16.5),
];
const byThread = new Map(seats.map((seat) => [seat.thread, seat]));

/** The seat of a thread; undefined for what is not screwed in. */
export const sensorSeat = (thread: SeatThread): SensorSeat | undefined => byThread.get(thread);

/** What a taper thread is mistaken for. */
export const lookalike = (thread: SeatThread): string =>
  thread === '1/8-27 NPT' ? '1/8-28 BSPT looks alike and does not fit.' : '';
