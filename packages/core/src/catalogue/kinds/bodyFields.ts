import { type Fields, choice, figure, yesNo } from '../../model/spec.ts';

/** A side of a part, as one sees it standing behind it and looking the way it faces. */
export const sides = ['front', 'back', 'left', 'right', 'top', 'bottom'] as const;
export type Side = (typeof sides)[number];

const servicedFrom = ['none', ...sides, 'around'] as const;
/** The side from which a part is reached; `around`: any one of the four beside its length. */
export type ServicedFrom = (typeof servicedFrom)[number];

const side = (label: string) => choice(sides, { label });
const length = (label: string) => figure('length', 'mm', [0, 3], label);

/** The box that a part takes, along its own front, left and top; 0: nobody gave it. */
export const bodyFields = {
  bodyLength: length('Body, front to back (0: not known)'),
  bodyWidth: length('Body, left to right'),
  bodyHeight: length('Body, bottom to top'),
  servicedFrom: choice(servicedFrom, { label: 'Reached from' }),
  serviceRoom: length('Room to reach it'),
  splashProof: yesNo({ label: 'Stands splashing water' }),
} satisfies Fields;

/** Room to pull the plug off a part. */
export const plugFields = {
  plugSide: side('Plug on its'),
  plugRoom: length('Room to pull the plug off'),
} satisfies Fields;

/** Where fuel goes in and comes out: at the middle of a side. */
export const portFields = {
  inletSide: side('Inlet on its'),
  outletSide: side('Outlet on its'),
} satisfies Fields;

export const returnPort = { returnSide: side('Return on its') } satisfies Fields;

/** Tells whether a part says how large it is. */
export const hasBody = (item: object): boolean =>
  'bodyLength' in item && typeof item.bodyLength === 'number' && item.bodyLength > 0;

/** What a part is when nobody has said how large it is. */
export const bodyNotKnown = {
  bodyLength: 0,
  bodyWidth: 0,
  bodyHeight: 0,
  servicedFrom: 'none',
  serviceRoom: 0,
  splashProof: false,
} as const;
export const plugNotKnown = { plugSide: 'top', plugRoom: 0 } as const;
export const portsNotKnown = { inletSide: 'back', outletSide: 'front' } as const;
