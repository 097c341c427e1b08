import { place } from './shorthand.ts';
import { inlineConnector } from './wiringShorthand.ts';

/** Where Kittiwake's engine looms meet the chassis, on both sides of the firewall. */
export const kittiwakeConnectorPlaces = [
  place('firewall-left', 'Bulkhead connector, left', [1360, 242, 650], 'body'),
  place('firewall-right', 'Bulkhead connector, right', [1360, -220, 640], 'body'),
];

/** What leads through the firewall: heavy feeds over studs, the rest over contacts. */
export const kittiwakeConnectors = [
  inlineConnector('firewall-left', 'Bulkhead connector, left', 'DV-BH12', 'firewall-left', {
    beginning: `water-pump-left~+`,
    ending: `charge-air-left~1 charge-air-left~2 fan-left~3`,
  }),
  inlineConnector('studs-left', 'Feed-through studs, left', 'DV-FT4', 'firewall-left', {
    beginning: `methanol-pump~+ fan-left~1`,
    ending: ``,
  }),
  inlineConnector('firewall-right', 'Bulkhead connector, right', 'DV-BH66', 'firewall-right', {
    beginning: `
      ecu~A01 ecu~A02 ecu~A03 sluice~A03 sluice~A04 pump-relay~85 pump-2-relay~85
      methanol-pump-relay~85 cam-left~1 cam-right~1 ethanol~1 pedal~2 pedal~3 pedal~5
      pedal~6 barometer~2 barometer~3 injector-1~1 injector-2~1 methanol-injector-1~1
      coil-1~A coil-2~A wastegate-left~1 cam-valve-left~1 wastegate-right~1
      cam-valve-right~1 water-pump-right~+ gearbox-1~1 gearbox-2~1 oil-fan~+ rain-light~+
      starter~50 alternator~L lambda-left~1 lambda-right~1 thermocouples~1 wheel-speed-3~1
      wheel-speed-4~1 travel-3~1 travel-4~1 gear~1 main-relay~85 firewall-left~2A
      firewall-left~3A firewall-left~4A
    `,
    ending: `
      pedal~1 pedal~4 barometer~1 lambda-left~2 lambda-right~2 thermocouples~2
      wheel-speed-3~2 wheel-speed-3~3 wheel-speed-4~2 wheel-speed-4~3 travel-3~2 travel-3~3
      travel-4~2 travel-4~3 gear~2 gear~3
    `,
  }),
  inlineConnector('studs-right', 'Feed-through studs, right', 'DV-FT4', 'firewall-right', {
    beginning: `pump~+ pump-2~+ fan-right~1`,
    ending: ``,
  }),
];
