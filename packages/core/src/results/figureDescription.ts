import type { UnitKind } from '../quantities/index.ts';

/** One documented figure: its key, its kind and what it means. Keys are only ever added. */
export interface FigureDescription {
  readonly key: string;
  readonly kind: UnitKind | 'text';
  readonly meaning: string;
  /** what a build must have for it to be there; nothing when every build has it */
  readonly onlyWith?:
    | 'a surge tank'
    | 'a device on the list'
    | 'a staged row'
    | 'a seasonal fuel'
    | 'a way on the map'
    | 'a solid thing on the map'
    | 'a hot pipe on the map'
    | 'a part on the map'
    | 'a part that is fastened'
    | 'measured seats'
    | 'lines with their ends'
    | 'a hose that is cut'
    | 'a tank on the map'
    | 'a harness that is led'
    | 'a bundle through a hole'
    | 'a splice that has its place';
}
