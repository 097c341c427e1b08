import { choice, figure, whole, yesNo } from '../../model/spec.ts';
import { catalogueKind } from './catalogueKind.ts';
import { portField } from './ports.ts';
import { pressureRating } from './sharedFields.ts';

export const fittingForms = [
  'hose end',
  'adapter',
  'bulkhead',
  'Y-block',
  'T',
  'barb',
  'flare',
  'ferrule',
  'check valve',
  'tank outlet',
  'in-tank hanger',
] as const;
/** What a fitting does. */
export type FittingForm = (typeof fittingForms)[number];

export const jointSchools = [
  'none',
  'push-on',
  'barb',
  'reusable',
  'crimped',
  'flared',
  'ferrule',
] as const;
/** How an end holds its hose or tube; `none`: it holds none. */
export type JointSchool = (typeof jointSchools)[number];

export const hoseMakes = [
  'none',
  'plain rubber',
  'braided rubber',
  'braided PTFE',
  'convoluted PTFE',
  'metal tube',
  'nylon tube',
] as const;
/** How a hose is made that an end holds. */
export type HoseMake = (typeof hoseMakes)[number];

export const earClampRules = ['forbidden', 'allowed', 'asked'] as const;
/** Whether an end wants a clamp around its hose. */
export type EarClampRule = (typeof earClampRules)[number];

/** 0 where nobody says. */
const size = (most: number, label: string) => ({
  ...figure('length', 'mm', [0, most], label),
  whenEmpty: 0,
});

/** A fitting: bore m and loss coefficient on that bore, what it screws onto, what hose it holds. */
export const fitting = catalogueKind({
  category: 'fitting',
  title: 'Ends and fittings',
  fields: {
    form: choice(fittingForms, { label: 'Form' }),
    bore: figure('length', 'mm', [1e-3, 0.1], 'Bore'),
    lossCoefficient: figure('count', '', [0, 100], 'Loss coefficient'),
    pressureRating,
    firstPort: portField('Port'),
    secondPort: portField('Port on its other side'),
    joint: { ...choice(jointSchools, { label: 'Holds its hose' }), whenEmpty: 'none' as const },
    holds: { ...choice(hoseMakes, { label: 'Made for hose' }), whenEmpty: 'none' as const },
    dash: {
      ...whole({ label: 'Dash size of the hose', help: '0: by its bore', min: 0, max: 32 }),
      whenEmpty: 0,
    },
    hoseBore: size(0.1, 'Bore of the hose it holds'),
    angle: { ...figure('angle', '°', [0, Math.PI], 'Angle'), whenEmpty: 0 },
    cutOff: size(0.3, 'Seat to end of the hose, along the bend'),
    standing: size(0.3, 'Seat to seat, of an adapter'),
    torque: { ...figure('torque', 'N·m', [0, 500], 'Tightened with'), whenEmpty: 0 },
    swivels: { ...yesNo({ label: 'Turns freely until it is tight' }), whenEmpty: true },
    earClamp: {
      ...choice(earClampRules, { label: 'Clamp around the hose' }),
      whenEmpty: 'allowed' as const,
    },
  },
});
