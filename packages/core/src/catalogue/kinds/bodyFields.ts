import { type Fields, choice, figure, yesNo } from '../../model/spec.ts';

/** A side of a part, as one sees it standing behind it and looking the way it faces. */
export const sides = ['front', 'back', 'left', 'right', 'top', 'bottom'] as const;
export type Side = (typeof sides)[number];

const servicedFrom = ['none', ...sides, 'around'] as const;
/** The side from which a part is reached; `around`: any one of the four beside its length. */
export type ServicedFrom = (typeof servicedFrom)[number];

const side = (label: string, whenEmpty: Side) => ({ ...choice(sides, { label }), whenEmpty });
/** 0 where nobody says. */
const length = (label: string) => ({ ...figure('length', 'mm', [0, 3], label), whenEmpty: 0 });

/** The box that a part takes, along its own front, left and top; 0: nobody gave it. */
export const bodyFields = {
  bodyLength: length('Body, front to back (empty: not known)'),
  bodyWidth: length('Body, left to right'),
  bodyHeight: length('Body, bottom to top'),
  servicedFrom: { ...choice(servicedFrom, { label: 'Reached from' }), whenEmpty: 'none' },
  serviceRoom: length('Room to reach it'),
  splashProof: { ...yesNo({ label: 'Stands splashing water' }), whenEmpty: false },
} satisfies Fields;

/** Room to pull the plug off a part. */
export const plugFields = {
  plugSide: side('Plug on its', 'top'),
  plugRoom: length('Room to pull the plug off'),
} satisfies Fields;

/** Where fuel goes in and comes out: at the middle of a side. */
export const portFields = {
  inletSide: side('Inlet on its', 'back'),
  outletSide: side('Outlet on its', 'front'),
} satisfies Fields;

export const returnPort = { returnSide: side('Return on its', 'bottom') } satisfies Fields;

/** Tells whether a part says how large it is. */
export const hasBody = (item: object): boolean =>
  'bodyLength' in item && typeof item.bodyLength === 'number' && item.bodyLength > 0;
