import { type Catalogue, type DeviceItem, lookUp } from '../../catalogue/index.ts';
import type { Device } from '../../model/index.ts';
import {
  type Result,
  byDefault,
  defineFormula,
  derive,
  fromItem,
  solvedIn,
} from '../../results/index.ts';
import { electricsFigure } from '../figureNames.ts';
import { nodeOf } from '../netlist/netlist.ts';
import type { CaseVoltages } from './caseVoltages.ts';
import type { ElectricCase } from './electricCases.ts';
import type { SizedNetwork } from './sizeNetwork.ts';

/** Volts between the least and the greatest reading of a sensor of 0.5 to 4.5 V. */
const SPAN = 4;
const SUPPLY = 5;
/** Where the error of a temperature sensor is told: 90 °C, K. */
const WARM = 363.15;
const ROOM = 298.15;

export const groundDrop = defineFormula({
  name: 'rise of a ground',
  notation: 'ΔV = V_ground − V_battery−',
  kind: 'voltage',
  inputKinds: { ground: 'voltage', battery: 'voltage' },
  source: 'nodal analysis with everything on',
  compute: (i) => i.ground - i.battery,
});

export const pressureError = defineFormula({
  name: 'error of a pressure sensor from its ground',
  notation: 'Δp = ΔV / 4 V · span',
  kind: 'pressure',
  inputKinds: { rise: 'voltage', span: 'pressure', volts: 'voltage' },
  source: 'ratiometric sensor, 0.5 to 4.5 V over its span',
  compute: (i) => (i.rise / i.volts) * i.span,
});

/** Resistance Ω of a thermistor at K. */
const thermistorAt = (at25: number, beta: number, kelvin: number): number =>
  at25 * Math.exp(beta * (1 / kelvin - 1 / ROOM));

export const temperatureError = defineFormula({
  name: 'error of a temperature sensor from its ground',
  notation: 'ΔT = T(R_read) − T(R), R_read from ΔV + (5 V − ΔV) · R / (R + R_pull-up), at 90 °C',
  kind: 'temperatureDifference',
  inputKinds: {
    rise: 'voltage',
    resistanceAt25: 'resistance',
    beta: 'count',
    pullUp: 'resistance',
  },
  source: 'thermistor by β with a pull-up to 5 V',
  compute: ({ rise, resistanceAt25, beta, pullUp }) => {
    const resistance = thermistorAt(resistanceAt25, beta, WARM);
    const read = rise + ((SUPPLY - rise) * resistance) / (resistance + pullUp);
    const apparent = (pullUp * read) / (SUPPLY - read);
    const kelvin = 1 / (1 / ROOM + Math.log(apparent / resistanceAt25) / beta);
    return kelvin - WARM;
  },
});

export const sensorFormulas = [groundDrop, pressureError, temperatureError];

const USUAL_PULL_UP = 2200;

/** What a sensor's own ground stands above the ground of the controller that reads it, V. */
function riseAt(device: Device, item: DeviceItem, volts: ReadonlyMap<string, number>): number {
  const ground = item.pins.find(({ use }) => use === 'sensor-ground' || use === 'case');
  const signal = item.pins.find(({ use }) => use === 'signal');
  if (!ground || !signal) return 0;
  const own = volts.get(nodeOf(device.id, ground.id)) ?? 0;
  const target = device.connections[ground.id];
  const reader =
    target?.to === 'controller' ? volts.get(nodeOf(target.controllerId, target.pin)) : 0;
  return own - (reader ?? 0);
}

/** How far grounds rise with everything on, and what it does to the sensors. */
export function groundFigures(input: {
  readonly network: SizedNetwork;
  readonly devices: readonly Device[];
  readonly catalogue: Catalogue;
  readonly cases: Readonly<Record<ElectricCase, CaseVoltages>>;
}): Result[] {
  const { network, devices, catalogue, cases } = input;
  const { worst } = cases;
  if (worst.state === 'failed') return [];
  const { volts } = worst;
  const negative = volts.get(network.netlist.sources[0]?.negative ?? '') ?? 0;
  const grounds = network.netlist.parts
    .filter(({ sort, pins }) => sort === 'ground' && pins.length > 0)
    .map(({ id, name }) =>
      derive({
        figure: electricsFigure('ground.drop', { ground: id }),
        label: `${name}, above the battery’s negative`,
        formula: groundDrop,
        inputs: {
          ground: solvedIn(volts.get(nodeOf(id, 'ground')) ?? 0, 'worst'),
          battery: solvedIn(negative, 'worst'),
        },
      }),
    );
  const errors = devices.flatMap((device): Result[] => {
    if (device.state === 'removed' || device.part.kind !== 'item') return [];
    const item = lookUp(catalogue, 'device', device.part.item, device.id);
    const figure = electricsFigure('sensorError', { device: device.id });
    const label = `${device.name}, error from its ground`;
    const rise = solvedIn(riseAt(device, item, volts), 'worst');
    if (item.sensing === 'pressure') {
      return [
        derive({
          figure,
          label,
          formula: pressureError,
          inputs: {
            rise,
            span: fromItem(item.spanHigh - item.spanLow, item),
            volts: byDefault(SPAN, '0.5 to 4.5 V'),
          },
        }),
      ];
    }
    if (item.sensing === 'temperature' && item.beta > 0 && item.resistanceAt25 > 0) {
      return [
        derive({
          figure,
          label,
          formula: temperatureError,
          inputs: {
            rise,
            resistanceAt25: fromItem(item.resistanceAt25, item),
            beta: fromItem(item.beta, item),
            pullUp: byDefault(USUAL_PULL_UP, 'pull-up'),
          },
        }),
      ];
    }
    return [];
  });
  return [...grounds, ...errors];
}
