import { choice, choiceOrLeftOut, figure, whole } from '../../model/spec.ts';
import { catalogueKind } from './catalogueKind.ts';
import { ethanolLimit, pressureRating, soldIn } from './sharedFields.ts';

export const hoseServices = ['fuel', 'low-pressure', 'immersed', 'hydraulic'] as const;
export const hoseMaterials = [
  'rubber',
  'PTFE',
  'nylon',
  'aluminium',
  'stainless',
  'steel',
] as const;
export const hoseWalls = ['plain', 'braided', 'convoluted', 'rigid'] as const;
/** What a hose is made for. */
export type HoseService = (typeof hoseServices)[number];
/** What touches the fuel in a hose or hardline. */
export type HoseMaterial = (typeof hoseMaterials)[number];
/** How the wall is made; a rigid one is hardline. */
export type HoseWall = (typeof hoseWalls)[number];

/** Hose or hardline by the metre. */
export const hose = catalogueKind({
  category: 'hose',
  title: 'Hose and hardline',
  fields: {
    bore: figure('length', 'mm', [1e-3, 0.1], 'Bore'),
    outsideDiameter: figure('length', 'mm', [1e-3, 0.2], 'Outside diameter'),
    roughness: figure('length', 'µm', [0, 1e-3], 'Roughness'),
    pressureRating,
    ethanolLimit,
    dash: whole({
      label: 'Dash size',
      help: 'number in the dash size series; 0 for hardline by metric size',
      min: 0,
      max: 32,
    }),
    material: choice(hoseMaterials, {
      label: 'Material',
      help: 'what touches the fuel; sets how far the line gives under pressure',
    }),
    wall: choice(hoseWalls, { label: 'Wall' }),
    bendRadius: {
      ...figure('length', 'mm', [0, 2], 'Least bend, inside (empty: usual for its size)'),
      whenEmpty: 0,
    },
    temperatureLimit: {
      ...figure('temperature', '°C', [0, 800], 'Stands, of what flows in it'),
      whenEmpty: 0,
    },
    shortening: {
      ...figure('ratio', '%', [-0.1, 0.1], 'Shortens at its rated pressure'),
      whenEmpty: 0.04,
    },
    ...soldIn,
    service: choiceOrLeftOut(hoseServices, {
      label: 'Made for',
      help: 'fuel under pressure when nothing is said',
    }),
  },
});
