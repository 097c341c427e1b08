import type { ControllerPin, EcuItem, PinCapability } from '../../catalogue/index.ts';
import { body } from './body.ts';

const MM2 = 1e-6;

/** A run of pins that are alike. */
interface PinRun {
  readonly name: string;
  readonly capabilities: readonly PinCapability[];
  readonly count?: number;
  /** number of the first, where it is not 1 */
  readonly from?: number;
  readonly current?: number;
  readonly frequency?: number;
  readonly timer?: string;
  readonly pullUp?: number;
  /** the pins of the run are pairs: the first with the second, the third with the fourth */
  readonly paired?: true;
}

interface PlugRun {
  readonly id: string;
  readonly columns: number;
  readonly runs: readonly PinRun[];
}

const pinId = (plug: string, cavity: number): string => `${plug}${String(cavity).padStart(2, '0')}`;

/** The pins of a plug, cavity after cavity, row after row. */
function pinsOfPlug(plug: PlugRun): ControllerPin[] {
  let cavity = 0;
  return plug.runs.flatMap(({ count = 1, from = 1, paired, name, capabilities, ...run }) =>
    Array.from({ length: count }, (_, i): ControllerPin => {
      cavity += 1;
      const partner = paired ? (i % 2 === 0 ? cavity + 1 : cavity - 1) : undefined;
      const ofPair = i % 2 === 0 ? '+' : '−';
      const numbered = count === 1 && from === 1 ? name : `${name} ${from + i}`;
      return {
        id: pinId(plug.id, cavity),
        name: paired ? `${name} ${Math.floor(i / 2) + 1} ${ofPair}` : numbered,
        plug: plug.id,
        row: Math.floor((cavity - 1) / plug.columns) + 1,
        column: ((cavity - 1) % plug.columns) + 1,
        number: from + i,
        capabilities,
        current: run.current ?? 0,
        frequency: run.frequency ?? 0,
        timer: run.timer ?? '',
        pairedWith: partner === undefined ? '' : pinId(plug.id, partner),
        pullUp: run.pullUp ?? 0,
      };
    }),
  );
}

const supply: PinRun = { name: 'Switched supply', capabilities: ['supply-switched'], current: 10 };
const constant: PinRun = { name: 'Constant supply', capabilities: ['supply-constant'], current: 1 };
const powerGround: PinRun = { name: 'Power ground', capabilities: ['power-ground'], current: 13 };
const sensorGround: PinRun = { name: 'Sensor ground', capabilities: ['sensor-ground'] };
const reference: PinRun = { name: '5 V', capabilities: ['reference-5v'], current: 0.1 };
const inductive: PinRun = {
  name: 'Trigger',
  capabilities: ['inductive'],
  count: 2,
  frequency: 20000,
  paired: true,
};
const analogue: PinRun = { name: 'Analogue', capabilities: ['analogue'] };
const pullUp: PinRun = { name: 'Temperature', capabilities: ['analogue-pull-up'], pullUp: 2200 };
const digital: PinRun = {
  name: 'Digital',
  capabilities: ['digital', 'frequency'],
  frequency: 10000,
  pullUp: 4700,
};
const knock: PinRun = { name: 'Knock', capabilities: ['knock'] };
const bus: PinRun = { name: 'Bus', capabilities: ['can'], count: 2, paired: true };
const injector: PinRun = {
  name: 'Injector',
  capabilities: ['low-side', 'pwm'],
  current: 3,
  frequency: 200,
};
const coilLogic: PinRun = { name: 'Coil', capabilities: ['logic-out'], current: 0.05 };
const lowSide: PinRun = { name: 'Low side', capabilities: ['low-side'], current: 1 };
const lowSidePwm: PinRun = {
  name: 'Low side, pulsed',
  capabilities: ['pwm', 'low-side'],
  current: 3,
  frequency: 500,
  timer: 'T1',
};
const highSide: PinRun = { name: 'High side', capabilities: ['high-side'], current: 2 };

const controller = (
  parts: Pick<EcuItem, 'id' | 'designation' | 'pumpPin' | 'injectorOutputs' | 'price'> &
    Partial<EcuItem> & { readonly layout: readonly PlugRun[] },
): EcuItem => {
  const { layout, ...rest } = parts;
  return {
    category: 'ecu',
    revision: 1,
    family: 'standalone ECU',
    mass: 0.45,
    interchange: parts.id,
    pumpPinSide: 'low-side',
    pumpPinCurrent: 1,
    injectorDriver: 'saturated',
    wireAreaMin: 0.3 * MM2,
    wireAreaMax: 1.5 * MM2,
    ...body([150, 120, 36], 'none'),
    splashProof: true,
    plugSide: 'front',
    plugRoom: 0.09,
    referenceTotal: 0.25,
    highSideTotal: 0,
    standbyCurrent: 0,
    sequence: 'cylinder',
    pins: layout.flatMap(pinsOfPlug),
    ...rest,
  };
};

const rill18 = controller({
  id: 'RILL18',
  designation: 'Rill 18',
  pumpPin: 'A11',
  injectorOutputs: 3,
  price: 420,
  referenceTotal: 0.1,
  layout: [
    {
      id: 'A',
      columns: 12,
      runs: [
        supply,
        { ...powerGround, count: 2 },
        { ...sensorGround, count: 2 },
        reference,
        inductive,
        { ...pullUp, count: 2 },
        { ...lowSide, name: 'Pump' },
        { ...injector, count: 3 },
        { name: 'Coil', capabilities: ['coil-driver'], current: 8, count: 3 },
        { ...analogue, count: 3 },
        { ...lowSide, name: 'Low side', count: 2 },
        { ...digital, count: 2 },
      ],
    },
  ],
});

const leat34 = controller({
  id: 'LEAT34',
  standbyCurrent: 0.002,
  designation: 'Leat 34',
  pumpPin: 'B07',
  injectorOutputs: 4,
  price: 760,
  layout: [
    {
      id: 'A',
      columns: 9,
      runs: [
        constant,
        supply,
        { ...powerGround, count: 2 },
        sensorGround,
        reference,
        inductive,
        { ...digital, count: 2 },
        { ...analogue, count: 5 },
        { ...pullUp, count: 2 },
        knock,
      ],
    },
    {
      id: 'B',
      columns: 8,
      runs: [
        { ...injector, count: 4 },
        { ...coilLogic, count: 2 },
        { ...lowSide, name: 'Pump' },
        { ...coilLogic, count: 2, from: 3 },
        { ...highSide, count: 4 },
        { ...lowSidePwm, name: 'Idle' },
        { ...lowSidePwm, name: 'Pulsed' },
        { ...lowSide, name: 'Tachometer', capabilities: ['low-side', 'logic-out'] },
      ],
    },
  ],
});

const weir60 = controller({
  id: 'WEIR60',
  standbyCurrent: 0.004,
  designation: 'Weir 60',
  pumpPin: 'C14',
  injectorOutputs: 12,
  injectorDriver: 'peak-hold',
  price: 1840,
  referenceTotal: 0.2,
  sequence: 'firing order',
  layout: [
    {
      id: 'A',
      columns: 17,
      runs: [
        constant,
        { ...supply, count: 2 },
        { ...sensorGround, count: 4 },
        { ...reference, count: 2 },
        { ...inductive, count: 4 },
        { ...digital, count: 6 },
        { ...analogue, count: 13 },
        { ...knock, count: 2 },
      ],
    },
    {
      id: 'B',
      columns: 13,
      runs: [
        { ...pullUp, count: 8 },
        { ...bus, count: 4 },
        { ...analogue, count: 6, from: 14 },
        { ...lowSidePwm, count: 4 },
        { ...lowSidePwm, count: 4, from: 5, timer: 'T2' },
      ],
    },
    {
      id: 'C',
      columns: 12,
      runs: [
        {
          name: 'Injector',
          capabilities: ['peak-hold', 'low-side'],
          current: 8,
          frequency: 200,
          count: 12,
        },
        { ...lowSide, name: 'Low side', count: 6 },
        { ...highSide, count: 2 },
        { ...powerGround, count: 4 },
      ],
    },
    {
      id: 'D',
      columns: 10,
      runs: [
        { ...coilLogic, count: 6 },
        { name: 'Throttle', capabilities: ['h-bridge'], current: 10, count: 2, paired: true },
        { ...powerGround, name: 'Power ground, drivers', count: 2 },
      ],
    },
  ],
});

const sluice16 = controller({
  id: 'SLUICE16',
  standbyCurrent: 0.003,
  designation: 'Sluice 16',
  family: 'power module',
  pumpPin: 'B01',
  pumpPinSide: 'high-side',
  pumpPinCurrent: 25,
  injectorOutputs: 0,
  price: 1290,
  wireAreaMax: 16 * MM2,
  highSideTotal: 120,
  layout: [
    {
      id: 'A',
      columns: 6,
      runs: [
        { ...supply, name: 'Supply', current: 150 },
        { ...powerGround, current: 5 },
        bus,
        { ...digital, name: 'Input', count: 8 },
      ],
    },
    {
      id: 'B',
      columns: 8,
      runs: [
        { ...highSide, name: 'Channel', current: 25, count: 8 },
        { ...highSide, name: 'Channel, small', current: 10, count: 8 },
      ],
    },
  ],
});

const eddy24 = controller({
  id: 'EDDY24',
  standbyCurrent: 0.001,
  designation: 'Eddy 24',
  family: 'input unit',
  pumpPin: 'A24',
  pumpPinCurrent: 0.5,
  injectorOutputs: 0,
  price: 480,
  referenceTotal: 0.15,
  layout: [
    {
      id: 'A',
      columns: 17,
      runs: [
        supply,
        powerGround,
        { ...sensorGround, count: 3 },
        { ...reference, count: 2 },
        bus,
        { ...digital, count: 8 },
        { ...analogue, count: 12 },
        { ...pullUp, count: 3 },
        { ...lowSide, count: 2 },
      ],
    },
  ],
});

const ferry26 = controller({
  id: 'FERRY26',
  standbyCurrent: 0.006,
  designation: 'Ferry 26',
  family: 'gearbox controller',
  pumpPin: 'A22',
  injectorOutputs: 0,
  price: 0,
  layout: [
    {
      id: 'A',
      columns: 13,
      runs: [
        constant,
        supply,
        { ...powerGround, count: 2 },
        sensorGround,
        inductive,
        { ...digital, count: 6 },
        { ...analogue, count: 2 },
        { ...pullUp, count: 2 },
        { ...lowSidePwm, name: 'Solenoid', count: 3 },
        { ...lowSide, count: 3 },
        { ...coilLogic, name: 'Logic out', count: 2 },
      ],
    },
  ],
});

/** Three engine controllers of different size, a power module, an input unit, a gearbox unit. */
export const sampleEcus: readonly EcuItem[] = [rill18, leat34, weir60, sluice16, eddy24, ferry26];
