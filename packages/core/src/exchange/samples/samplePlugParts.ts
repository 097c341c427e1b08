import type { PlugPartItem } from '../../catalogue/index.ts';

type Family = PlugPartItem['plugFamily'];

/** What a family of plugs is made of: mm² of its contacts, mm of insulation of its seals. */
interface FamilyMake {
  readonly family: Family;
  readonly letters: string;
  readonly ways: readonly number[];
  readonly contacts: readonly (readonly [
    from: number,
    to: number,
    pullOff: number,
    price: number,
  ])[];
  readonly seals: readonly (readonly [from: number, to: number])[];
}

const makes: readonly FamilyMake[] = [
  {
    family: 'S0.64',
    letters: 'S0',
    ways: [2, 3, 4, 6, 8, 12, 16],
    contacts: [
      [0.2, 0.5, 60, 0.28],
      [0.5, 1, 90, 0.32],
    ],
    seals: [
      [0.9, 1.4],
      [1.4, 2.1],
    ],
  },
  {
    family: 'S1.5',
    letters: 'S1',
    ways: [1, 2, 3, 4, 5, 6, 8, 10, 12, 16],
    contacts: [
      [0.2, 0.5, 60, 0.3],
      [0.5, 1, 90, 0.34],
      [1, 2.5, 170, 0.4],
    ],
    seals: [
      [1.1, 1.7],
      [1.7, 2.4],
      [2.4, 3.2],
    ],
  },
  {
    family: 'S2.8',
    letters: 'S2',
    ways: [1, 2, 3, 4, 6, 8],
    contacts: [
      [0.5, 1, 90, 0.45],
      [1, 2.5, 170, 0.5],
      [2.5, 6, 260, 0.65],
    ],
    seals: [
      [1.2, 2.1],
      [2.1, 3],
      [3, 4.4],
    ],
  },
  {
    family: 'header',
    letters: 'SH',
    ways: [16, 20, 24, 26, 34, 40, 48, 60],
    contacts: [
      [0.2, 0.5, 60, 0.32],
      [0.5, 1, 90, 0.36],
      [1, 2.5, 170, 0.42],
      [2.5, 6, 260, 0.7],
      [6, 16, 550, 2.4],
    ],
    seals: [
      [1, 1.6],
      [1.6, 2.3],
      [2.3, 3.1],
      [3.1, 4.4],
      [4.4, 7.3],
    ],
  },
  {
    family: 'round bulkhead',
    letters: 'SB',
    ways: [12, 24, 37, 47, 66, 128],
    contacts: [
      [0.2, 0.6, 70, 0.9],
      [0.6, 1.3, 120, 1],
      [1.3, 2.5, 200, 1.2],
    ],
    seals: [],
  },
  {
    family: 'blade 6.3',
    letters: 'SR',
    ways: [],
    contacts: [
      [0.3, 1, 90, 0.2],
      [1, 2.5, 170, 0.24],
      [2.5, 6, 260, 0.35],
    ],
    seals: [],
  },
];

const part = (
  words: Pick<PlugPartItem, 'id' | 'designation' | 'form' | 'price' | 'mass'> &
    Partial<PlugPartItem>,
): PlugPartItem => ({
  category: 'plug-part',
  revision: 1,
  family:
    words.plugFamily && words.plugFamily !== 'none' ? `Plugs ${words.plugFamily}` : 'Wire ends',
  interchange: words.id,
  plugFamily: 'none',
  ways: 0,
  areaMin: 0,
  areaMax: 0,
  holdsMin: 0,
  holdsMax: 0,
  pullOff: 0,
  ...words,
});

const mm2 = (value: number): number => value / 1e6;
const mm = (value: number): number => value / 1e3;

const ofFamily = ({ family, letters, ways, contacts, seals }: FamilyMake): PlugPartItem[] => [
  ...ways.map((count) =>
    part({
      id: `${letters}-${count}`,
      designation: `Housing ${family}, ${count} ways, with lock`,
      form: 'housing',
      plugFamily: family,
      ways: count,
      mass: 0.002 + 0.0009 * count,
      price: Number((1.2 + 0.35 * count).toFixed(2)),
    }),
  ),
  ...contacts.map(([from, to, pullOff, price]) =>
    part({
      id: `${letters}-C${to * 10}`,
      designation: `Contact ${family}, ${from} to ${to} mm²`,
      form: 'contact',
      plugFamily: family,
      areaMin: mm2(from),
      areaMax: mm2(to),
      pullOff,
      mass: 0.0004,
      price,
    }),
  ),
  ...seals.map(([from, to]) =>
    part({
      id: `${letters}-D${to * 10}`,
      designation: `Seal ${family}, insulation ${from} to ${to} mm`,
      form: 'seal',
      plugFamily: family,
      holdsMin: mm(from),
      holdsMax: mm(to),
      mass: 0.0002,
      price: 0.12,
    }),
  ),
  ...(seals.length > 0 || family === 'round bulkhead'
    ? [
        part({
          id: `${letters}-P`,
          designation: `Cavity plug ${family}`,
          form: 'cavity plug',
          plugFamily: family,
          mass: 0.0003,
          price: 0.1,
        }),
      ]
    : []),
];

const lugs: readonly (readonly [from: number, to: number, pullOff: number, price: number])[] = [
  [0.3, 1.5, 130, 0.25],
  [1.5, 2.5, 200, 0.3],
  [2.5, 6, 320, 0.45],
  [6, 16, 700, 0.9],
  [16, 35, 1400, 1.6],
  [35, 70, 2300, 2.8],
];

const boots = [4, 6, 10, 16, 24, 36, 50] as const;
const backshells = [12, 20, 30, 45] as const;

/** Housings, contacts, seals and the other parts that wires end in; all of them invented. */
export const samplePlugParts: readonly PlugPartItem[] = [
  ...makes.flatMap(ofFamily),
  ...lugs.map(([from, to, pullOff, price]) =>
    part({
      id: `LUG-${to * 10}`,
      designation: `Ring terminal, ${from} to ${to} mm²`,
      form: 'lug',
      areaMin: mm2(from),
      areaMax: mm2(to),
      pullOff,
      mass: 0.0015 + 0.0004 * to,
      price,
    }),
  ),
  ...[1.5, 4, 10, 30].map((to, i, all) =>
    part({
      id: `SPL-${to * 10}`,
      designation: `Splice sleeve with sealing shrink, up to ${to} mm²`,
      form: 'splice',
      areaMin: mm2(all[i - 1] ?? 0),
      areaMax: mm2(to),
      pullOff: 90 + 20 * to,
      mass: 0.001 + 0.0003 * to,
      price: Number((0.5 + 0.06 * to).toFixed(2)),
    }),
  ),
  ...boots.map((to, i) =>
    part({
      id: `BOOT-${to}`,
      designation: `Shrink boot for a bundle up to ${to} mm`,
      form: 'boot',
      holdsMin: mm((boots[i - 1] ?? 3) * 0.6),
      holdsMax: mm(to),
      mass: 0.0006 * to,
      price: Number((3 + 0.25 * to).toFixed(2)),
    }),
  ),
  ...backshells.map((to, i) =>
    part({
      id: `BKS-${to}`,
      designation: `Backshell for a round plug, bundle up to ${to} mm`,
      form: 'backshell',
      plugFamily: 'round bulkhead',
      holdsMin: mm(backshells[i - 1] ?? 0),
      holdsMax: mm(to),
      mass: 0.01 + 0.001 * to,
      price: Number((9 + 0.6 * to).toFixed(2)),
    }),
  ),
];
