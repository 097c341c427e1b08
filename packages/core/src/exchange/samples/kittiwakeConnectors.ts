import { place } from './shorthand.ts';
import { inlineConnector } from './wiringShorthand.ts';

/** Where Kittiwake's engine looms meet the chassis, on both sides of the firewall. */
export const kittiwakeConnectorPlaces = [
  place('firewall-left', 'Bulkhead connector, left', [1360, 242, 650], 'cabin'),
  place('firewall-right', 'Bulkhead connector, right', [1360, -220, 640], 'cabin'),
];

/** What leads through the firewall: heavy feeds over studs, the rest over contacts. */
export const kittiwakeConnectors = [
  inlineConnector('firewall-left', 'Bulkhead connector, left', 'DV-BH128', 'firewall-left', {
    beginning: `
      cam-left~1 pedal~2 pedal~5 barometer~2 boost-right~2 charge-air-right~2 injector-1~1
      injector-3~1 injector-5~1 methanol-injector-1~1 methanol-injector-2~1
      methanol-injector-3~1 methanol-injector-4~1 methanol-injector-5~1
      methanol-injector-6~1 coil-1~A coil-3~A coil-5~A wastegate-left~1 cam-valve-left~1
      water-pump-left~+ gearbox-1~1 gearbox-2~1 oil-fan~+ rain-light~+ lambda-left~1
      lambda-right~3 lambda-right~4 wheel-speed-3~1 wheel-speed-4~1 travel-3~1 travel-4~1
      gear~1 ecu~A08~splice ecu~A09~splice
    `,
    ending: `
      crank~1 crank~2 crank~S cam-left~2 cam-left~3 electronic-throttle~1
      electronic-throttle~2 electronic-throttle~5 electronic-throttle~6 pedal~1 pedal~4
      knock-left~1 knock-left~2 knock-left~S manifold-pressure~3 barometer~1 boost-left~3
      boost-right~1 fuel-pressure~3 methanol-pressure~3 oil-pressure~3 coolant-pressure~3
      fuel-temperature~1 methanol-temperature~1 oil-temperature~1 coolant~1 gearbox-oil~1
      charge-air-left~1 injector-1~2 injector-3~2 injector-5~2 methanol-injector-1~2
      methanol-injector-2~2 methanol-injector-3~2 methanol-injector-4~2
      methanol-injector-5~2 methanol-injector-6~2 coil-1~B coil-1~C coil-3~B coil-3~C
      coil-5~B coil-5~C wastegate-left~2 cam-valve-left~2 fan-left~3 gearbox-1~2
      gearbox-2~2 lambda-left~2 lambda-left~3 lambda-left~4 wheel-speed-3~2
      wheel-speed-3~3 wheel-speed-4~2 wheel-speed-4~3 travel-3~2 travel-3~3 travel-4~2
      travel-4~3 gear~2 gear~3 ecu~A05~splice ecu~A06~splice ecu~A07~splice
    `,
  }),
  inlineConnector('studs-left', 'Feed-through studs, left', 'DV-FT8', 'firewall-left', {
    beginning: `methanol-pump~+ fan-left~1 starter~50 alternator~L`,
    ending: ``,
  }),
  inlineConnector('firewall-right', 'Bulkhead connector, right', 'DV-BH66', 'firewall-right', {
    beginning: `
      ecu~C21 ecu~C22 ecu~C23 ecu~C24 ecu~D09 ecu~D10 sluice~A03 sluice~A04 cam-right~1
      ethanol~1 boost-right~1 injector-2~1 injector-4~1 injector-6~1 coil-2~A coil-4~A
      coil-6~A wastegate-right~1 cam-valve-right~1 water-pump-right~+ lambda-right~1
      thermocouples~1
    `,
    ending: `
      cam-right~2 cam-right~3 ethanol~2 ethanol~3 knock-right~1 knock-right~2
      knock-right~S boost-right~2 boost-right~3 charge-air-right~1 charge-air-right~2
      injector-2~2 injector-4~2 injector-6~2 coil-2~B coil-2~C coil-4~B coil-4~C coil-6~B
      coil-6~C wastegate-right~2 cam-valve-right~2 fan-right~3 lambda-right~2
      lambda-right~3 lambda-right~4 thermocouples~2
    `,
  }),
  inlineConnector('studs-right', 'Feed-through studs, right', 'DV-FT8', 'firewall-right', {
    beginning: `pump~+ pump-2~+ fan-right~1`,
    ending: ``,
  }),
];
