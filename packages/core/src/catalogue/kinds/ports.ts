import { type Fields, choice } from '../../model/spec.ts';

export const portGenders = ['male', 'female'] as const;
export type PortGender = (typeof portGenders)[number];

/**
 * Kinds of ports with the sizes there are. Flares and bosses go by dash size, metric threads by
 * their diameter in mm, taper threads by sixteenths of an inch of pipe size, quick connectors by
 * sixteenths of an inch, barbs by the mm of the hose that goes over them.
 */
const portSizes = {
  /** 37° flare, SAE J514 */
  flare: [4, 6, 8, 10, 12, 16],
  /** 45° flare, SAE J512: never onto 37° */
  'flare-45': [5, 6, 8],
  /** straight thread with O-ring, SAE J1926 */
  boss: [4, 6, 8, 10, 12, 16],
  /** straight metric thread with O-ring, ISO 6149 */
  metric: [10, 12, 14, 16, 18, 22],
  /** taper pipe thread, ASME B1.20.1 */
  taper: [2, 4, 6, 8, 12],
  /** quick connector, SAE J2044 */
  quick: [5, 6],
  barb: [4, 5, 6, 8, 10, 12, 16, 19, 25],
} as const satisfies Readonly<Record<string, readonly number[]>>;
export type PortKind = keyof typeof portSizes;
export type PortCode = `${PortKind}-${number}-${PortGender}`;

/** One side of a joint. */
export interface PortType {
  readonly code: PortCode;
  readonly kind: PortKind;
  readonly size: number;
  readonly gender: PortGender;
}

const gendersOf = (kind: PortKind): readonly PortGender[] =>
  kind === 'barb' ? ['male'] : portGenders;

/** Every port there is, by its code. */
export const portTypes: ReadonlyMap<string, PortType> = new Map(
  (Object.keys(portSizes) as PortKind[]).flatMap((kind) =>
    portSizes[kind].flatMap((size) =>
      gendersOf(kind).map((gender) => {
        const code: PortCode = `${kind}-${size}-${gender}`;
        return [code, { code, kind, size, gender }] as const;
      }),
    ),
  ),
);
export const portCodes = [...portTypes.values()].map(({ code }) => code);

const pipeSizes: Readonly<Record<number, string>> = {
  2: '1/8',
  4: '1/4',
  6: '3/8',
  8: '1/2',
  12: '3/4',
};

/** A port as a person says it. */
export function portInWords(code: PortCode): string {
  const port = portTypes.get(code);
  if (!port) return code;
  const { kind, size, gender } = port;
  switch (kind) {
    case 'flare':
      return `−${size} flare 37°, ${gender}`;
    case 'flare-45':
      return `−${size} flare 45°, ${gender}`;
    case 'boss':
      return `−${size} O-ring port, ${gender}`;
    case 'metric':
      return `M${size} with O-ring, ${gender}`;
    case 'taper':
      return `${pipeSizes[size] ?? size} taper thread, ${gender}`;
    case 'quick':
      return `quick connector ${size}/16, ${gender}`;
    case 'barb':
      return `barb for ${size} mm hose`;
  }
}

/** Whether two ports go together: one goes into the other, of the same kind and size. */
export function mate(one: PortCode, other: PortCode): boolean {
  const a = portTypes.get(one);
  const b = portTypes.get(other);
  return (
    a !== undefined &&
    b !== undefined &&
    a.kind === b.kind &&
    a.size === b.size &&
    a.gender !== b.gender
  );
}

/** A port of a part; `none` where nobody says. */
export const portField = (label: string) => ({
  ...choice(['none', ...portCodes] as const, { label }),
  whenEmpty: 'none' as const,
});

/** What screws into a part where fuel goes in and comes out. */
export const threadFields = {
  inletPort: portField('Inlet port'),
  outletPort: portField('Outlet port'),
} satisfies Fields;
export const returnThread = { returnPort: portField('Return port') } satisfies Fields;
