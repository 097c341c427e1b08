import { type Of, constant, idOf, kinds, object, text, yesNo } from '../../model/spec.ts';

const pin = text({ label: 'Pin', min: 1, max: 20 });

/** Where a pin is wired to: a pin of another part, a controller's, a wire found, a ground. */
export const connectionSpec = kinds('to', {
  /** another part of the vehicle's wiring, by its id: a device, or a part of a pump's feed */
  part: object({
    to: constant('part'),
    partId: text({ min: 1, max: 60, mayName: ['devices'] }),
    pin,
  }),
  /** a pin of a controller; empty while none is assigned */
  controller: object({
    to: constant('controller'),
    controllerId: text({ min: 1, max: 40, mayName: ['controllers'] }),
    pin: text({ label: 'Pin', min: 0, max: 20 }),
    locked: yesNo({ label: 'Settled by hand' }),
  }),
  signal: object({ to: constant('signal'), signalId: idOf('vehicleSignals', 'vehicle signal') }),
  ground: object({ to: constant('ground'), groundId: idOf('grounds', 'ground') }),
});
export type Connection = Of<typeof connectionSpec>;
