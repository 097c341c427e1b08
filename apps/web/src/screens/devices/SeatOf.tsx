import {
  type Device,
  type DeviceItem,
  deviceRoleOf,
  drillInWords,
  lookalike,
  sensorSeat,
} from '@brookrain/core';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { useUnits } from '../../ui/preferences.ts';

/** What a sensor is screwed into: thread, drill, metal and seal, and where it wants to sit. */
export function SeatOf({ device, item }: { device: Device; item: DeviceItem }) {
  const [units] = useUnits();
  const seat = sensorSeat(item.seat);
  if (!seat) return null;
  const metal = drillInWords(seat.leastWall, units);
  const words = [
    device.seat === 'boss'
      ? 'A boss with this thread is welded on; it is on the parts list.'
      : `Tapping drill ${drillInWords(seat.drill, units)} into at least ${metal} of metal; thinner metal wants a boss or a pad.`,
    `Sealed by ${seat.seal === 'sealant' ? 'sealant on its taper thread' : 'a washer under its head'}.`,
    lookalike(item.seat),
    deviceRoleOf(item.role).seatAdvice,
  ];
  return (
    <section className="rule mt-3 space-y-1.5 pt-2" aria-label="Seat">
      <h3>Sits in {item.seat}</h3>
      <FieldOf path={['devices', device.id, 'seat']} />
      <p className="text-[13px] text-second">{words.filter((each) => each !== '').join(' ')}</p>
    </section>
  );
}
