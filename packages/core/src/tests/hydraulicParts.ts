import { lookUp } from '../catalogue/index.ts';
import { sampleCatalogue } from '../exchange/index.ts';
import type { BranchModel, Fluid, LocalLoss, Network, NetworkBranch } from '../fuel/index.ts';
import { drawBranch, pipeBranch, pumpBranch, regulatorBranch } from '../fuel/index.ts';
import { pumpModel } from '../fuel/index.ts';

/** Petrol-like fluid for hydraulic tests. */
export const petrol: Fluid = { density: 740, viscosity: 0.5e-3 };

const always = (model: BranchModel) => () => model;

export const pipe = (
  id: string,
  from: string,
  to: string,
  options: {
    bore?: number;
    length?: number;
    rise?: number;
    roughness?: number;
    losses?: readonly LocalLoss[];
    fluid?: Fluid;
  } = {},
): NetworkBranch => ({
  id,
  from,
  to,
  model: always(
    pipeBranch({
      pipe: {
        length: options.length ?? 2,
        bore: options.bore ?? 8e-3,
        roughness: options.roughness ?? 5e-6,
        losses: options.losses ?? [],
      },
      rise: options.rise ?? 0,
      fluid: options.fluid ?? petrol,
      initialFlow: 0.01,
    }),
  ),
});

export const draw = (
  id: string,
  from: string,
  demand: number,
  staticCoefficient = 1,
  manifoldGauge = 0,
): NetworkBranch => ({
  id,
  from,
  to: null,
  model: always(drawBranch({ demand, staticCoefficient, manifoldGauge })),
});

export const pump = (
  id: string,
  from: string,
  to: string,
  options: { item?: string; voltage?: number; resistance?: number; wear?: number } = {},
): NetworkBranch => {
  const model = pumpModel({
    item: lookUp(sampleCatalogue, 'pump', { id: options.item ?? 'P340X', revision: 1 }, 'test'),
    wear: options.wear ?? 0,
    supply: {
      openCircuitV: options.voltage ?? 12.2,
      seriesResistanceOhm: options.resistance ?? 0.06,
    },
  });
  return {
    id,
    from,
    to,
    model: (smoothing) =>
      pumpBranch({ pump: model, rise: 0, fluid: petrol, initialFlow: 0.03, smoothing }),
  };
};

export const regulator = (
  id: string,
  from: string,
  to: string,
  options: { set?: number; manifold?: number; item?: string; holding?: boolean } = {},
): NetworkBranch => ({
  id,
  from,
  to,
  model: (smoothing) =>
    regulatorBranch({
      setting: {
        item: lookUp(
          sampleCatalogue,
          'regulator',
          { id: options.item ?? 'RR-M', revision: 1 },
          'test',
        ),
        setPressure: options.set ?? 300e3,
        manifoldRatio: 1,
      },
      manifoldGauge: options.manifold ?? 0,
      mode: options.holding ? 'holding' : 'regulating',
      fluid: petrol,
      initialFlow: 0.01,
      smoothing,
    }),
});

/** Tank, pump, feed, rail, draw, regulator and return to the tank. */
export function returnCircuit(options: {
  demand: number;
  feedBore?: number;
  returnBore?: number;
  manifold?: number;
  set?: number;
  voltage?: number;
  resistance?: number;
  holding?: boolean;
  item?: string;
}): Network {
  return {
    nodes: [
      { id: 'tank', fixedPressure: 0 },
      { id: 'return', fixedPressure: 0 },
      { id: 'in' },
      { id: 'out' },
      { id: 'rail' },
      { id: 'back' },
    ],
    branches: [
      pipe('suction', 'tank', 'in', { bore: 14e-3, length: 0.5 }),
      pump('pump', 'in', 'out', {
        voltage: options.voltage ?? 12.2,
        resistance: options.resistance ?? 0.06,
        item: options.item ?? 'P340X',
      }),
      pipe('feed', 'out', 'rail', { bore: options.feedBore ?? 8.7e-3, length: 4.4 }),
      draw(
        'injectors',
        'rail',
        options.demand,
        // Injectors that are open 80 % of the time at 300 kPa.
        options.demand / 0.8 / Math.sqrt(300e3),
        options.manifold ?? 0,
      ),
      regulator('regulator', 'rail', 'back', {
        set: options.set ?? 300e3,
        manifold: options.manifold ?? 0,
        holding: options.holding ?? false,
      }),
      pipe('return', 'back', 'return', { bore: options.returnBore ?? 8.7e-3, length: 4.4 }),
    ],
    initialPressure: options.set ?? 300e3,
  };
}
