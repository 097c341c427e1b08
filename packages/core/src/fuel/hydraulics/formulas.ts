import { entryAt } from '../../numerics/index.ts';
import { defineFormula } from '../../results/index.ts';
import { boreArea, flowOrNothing } from './fluid.ts';
import { pipeLoss, reynoldsNumber } from './pipeBranch.ts';

export const lineLoss = defineFormula({
  name: 'pressure loss of a line',
  notation:
    'Δp = (f · L/D) · ρv²/2 + Σ K · ρv_K²/2, v_K in the bore of each fitting, of bends in that of the line',
  kind: 'pressure',
  inputKinds: {
    massFlow: 'massFlow',
    length: 'length',
    bore: 'length',
    roughness: 'length',
    lossCoefficients: 'ratio',
    fittingBores: 'length',
    fittingCounts: 'count',
    bendLoss: 'ratio',
    density: 'density',
    viscosity: 'viscosity',
  },
  source: 'Darcy-Weisbach; f = 64/Re below 2300, Colebrook above 4000, straight between',
  compute: (i: {
    massFlow: number;
    length: number;
    bore: number;
    roughness: number;
    lossCoefficients: readonly number[];
    fittingBores: readonly number[];
    fittingCounts: readonly number[];
    bendLoss: number;
    density: number;
    viscosity: number;
  }) =>
    pipeLoss(
      {
        length: i.length,
        bore: i.bore,
        roughness: i.roughness,
        losses: [
          ...i.lossCoefficients.map((lossCoefficient, n) => ({
            lossCoefficient,
            bore: entryAt(i.fittingBores, n),
            count: entryAt(i.fittingCounts, n),
          })),
          { lossCoefficient: i.bendLoss, bore: i.bore, count: 1 },
        ],
      },
      i.massFlow,
      i,
    ),
});

export const reynolds = defineFormula({
  name: 'Reynolds number',
  notation: 'Re = 4 ṁ / (π D μ)',
  kind: 'count',
  inputKinds: { massFlow: 'massFlow', bore: 'length', viscosity: 'viscosity' },
  source: 'definition',
  compute: (i) => reynoldsNumber(i.massFlow, i.bore, i.viscosity),
});

export const velocity = defineFormula({
  name: 'mean velocity',
  notation: 'v = ṁ / (ρ · π D²/4)',
  kind: 'velocity',
  inputKinds: { massFlow: 'massFlow', density: 'density', bore: 'length' },
  source: 'continuity',
  compute: (i) => Math.abs(i.massFlow) / (i.density * boreArea(i.bore)),
});

export const pressureSum = defineFormula({
  name: 'pressure along the run',
  notation: 'p = p_tank + Δp_pump − Σ Δp − ρ g (z − z_tank)',
  kind: 'pressure',
  inputKinds: {
    tank: 'pressure',
    pumpRise: 'pressure',
    losses: 'pressure',
    staticHead: 'pressure',
  },
  source: 'solved network, followed from the tank',
  compute: (i: { tank: number; pumpRise: number; losses: readonly number[]; staticHead: number }) =>
    i.tank + i.pumpRise - i.losses.reduce((a, b) => a + b, 0) - i.staticHead,
});

export const injectorDifference = defineFormula({
  name: 'injector pressure difference',
  notation: 'Δp = p_rail − p_man',
  kind: 'pressure',
  inputKinds: { rail: 'pressure', manifold: 'pressure' },
  source: 'definition, gauge pressures',
  compute: (i) => i.rail - i.manifold,
});

export const sag = defineFormula({
  name: 'sag',
  notation: 'sag = 1 − Δp / Δp_assumed',
  kind: 'ratio',
  inputKinds: { pressureDifference: 'pressure', assumed: 'pressure' },
  source: 'against what the ECU calibration assumes',
  compute: (i) => 1 - i.pressureDifference / i.assumed,
});

export const terminalVoltage = defineFormula({
  name: 'voltage at the pump',
  notation: 'V = V_system − I · R',
  kind: 'voltage',
  inputKinds: { systemVoltage: 'voltage', current: 'current', resistance: 'resistance' },
  source: 'solved with the pump curve in one Newton solve',
  compute: (i) => i.systemVoltage - i.current * i.resistance,
});

export const availableFlow = defineFormula({
  name: 'pump flow available',
  notation: 'Q = (ṁ_engine + ṁ_spare) / ρ with the rail held at its pressure, at least 0',
  kind: 'volumeFlow',
  inputKinds: { engine: 'massFlow', spare: 'massFlow', density: 'density' },
  source: 'solved network with the regulator inlet held at set + ratio · p_man',
  compute: (i) => flowOrNothing((i.engine + i.spare) / i.density),
});

export const margin = defineFormula({
  name: 'pump margin',
  notation: '(Q_available − Q_needed) / Q_needed',
  kind: 'ratio',
  inputKinds: { available: 'volumeFlow', needed: 'volumeFlow' },
  source: 'at the worst point',
  compute: (i) => (i.available - i.needed) / i.needed,
});

export const inletHead = defineFormula({
  name: 'pressure above vapour pressure',
  notation: 'margin = p_gauge + p_amb − p_vap',
  kind: 'pressure',
  inputKinds: { gauge: 'pressure', ambient: 'pressure', vapour: 'pressure' },
  source: 'net positive suction head, as pressure',
  compute: (i) => i.gauge + i.ambient - i.vapour,
});

export const headLeft = defineFormula({
  name: 'head left at the inlet',
  notation: 'left = p_gauge + p_amb − p_vap − need',
  kind: 'pressure',
  inputKinds: { gauge: 'pressure', ambient: 'pressure', vapour: 'pressure', need: 'pressure' },
  source: 'net positive suction head against the need of the data sheet, as pressure',
  compute: (i) => i.gauge + i.ambient - i.vapour - i.need,
});

export const flowAtDensity = defineFormula({
  name: 'volume flow',
  notation: 'Q = ṁ / ρ',
  kind: 'volumeFlow',
  inputKinds: { massFlow: 'massFlow', density: 'density' },
  source: 'definition',
  compute: (i) => i.massFlow / i.density,
});

export const reserve = defineFormula({
  name: 'regulator reserve',
  notation: 'reserve = p_set + ratio · p_man − 35 kPa − (p_out + wide-open loss)',
  kind: 'pressure',
  inputKinds: {
    setPressure: 'pressure',
    manifoldRatio: 'ratio',
    manifold: 'pressure',
    outlet: 'pressure',
    wideOpenLoss: 'pressure',
  },
  source: 'the regulator must stay in control at idle and overrun',
  compute: (i) => i.setPressure + i.manifoldRatio * i.manifold - 35e3 - (i.outlet + i.wideOpenLoss),
});

export const elementDrop = defineFormula({
  name: 'pressure difference across',
  notation: 'Δp = p_in − p_out − ρ g (z_out − z_in)',
  kind: 'pressure',
  inputKinds: { inlet: 'pressure', outlet: 'pressure', staticHead: 'pressure' },
  source: 'solved network',
  compute: (i) => i.inlet - i.outlet - i.staticHead,
});

export const hydraulicFormulas = [
  lineLoss,
  reynolds,
  velocity,
  pressureSum,
  injectorDifference,
  sag,
  terminalVoltage,
  availableFlow,
  margin,
  inletHead,
  headLeft,
  flowAtDensity,
  reserve,
  elementDrop,
];
