import { place } from './shorthand.ts';
import { inlineConnector } from './wiringShorthand.ts';

/** Where Lantern's harness parts at the cab floor. */
export const lanternConnectorPlaces = [
  place('cab-connector', 'Bulkhead connector in the cab floor', [2300, -420, 790], 'cabin'),
];

/** What leads through the cab floor: heavy feeds over studs, the rest over contacts. */
export const lanternConnectors = [
  inlineConnector('cab-connector', 'Bulkhead connector', 'DV-BH47', 'cab-connector', {
    beginning: `
      cam~1 wideband~1 injector-1~1 injector-2~1 injector-3~1 injector-4~1 coil-1~A
      coil-2~A coil-3~A coil-4~A idle-valve~2 park-neutral~in kickdown~2 shift-1~1
      shift-2~1 lock-up~1 temperature-sender~1 ecu~A06~splice
    `,
    ending: `
      crank~1 crank~2 cam~3 coolant~1 charge-air~1 manifold-pressure~3 throttle~3 knock~1
      wideband~3 fuel-pressure~3 oil-pressure~3 injector-1~2 injector-2~2 injector-3~2
      injector-4~2 coil-1~B coil-2~B coil-3~B coil-4~B boost~1 output-speed~1
      output-speed~2 gearbox-oil-temperature~1 shift-1~2 shift-2~2 lock-up~2
      starter-relay~86 ecu~A05~splice gearbox-controller~A05~splice
    `,
  }),
  inlineConnector('cab-studs', 'Feed-through studs', 'DV-FT8', 'cab-connector', {
    beginning: `ecu~A03 ecu~A04 cooler-fan-motor~+ pump~+ fan-1~+ fan-2~+ starter~50`,
    ending: ``,
  }),
];
