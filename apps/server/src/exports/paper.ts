import type { BuildDocument, Catalogue, Evaluation, UnitSystem } from '@brookrain/core';

/** A build as its papers need it. */
export interface PaperBuild {
  readonly id: string;
  readonly revision: number;
  readonly document: BuildDocument;
}

/** What a paper is written from. */
export interface PaperSource {
  readonly build: PaperBuild;
  readonly catalogue: Catalogue;
  readonly evaluation: Evaluation;
  /** units of the paper */
  readonly units: UnitSystem;
  /** of which part, line or sheet it is, where it is of one */
  readonly of: string;
  /** where pages of the program are found: for codes on paper */
  readonly base: string;
}

/** A file that is taken from a build. */
export interface Paper {
  readonly body: Uint8Array | string;
  /** what its name ends in, after the name of the build */
  readonly rest: string;
}

/** So many letters of a name stand on one line at the foot. */
const LONGEST = 40;

/** What stands at the foot of every page of a build's papers, on one line. */
export function footOf({ document: { name }, revision }: PaperBuild): string {
  const short = name.length > LONGEST ? `${name.slice(0, LONGEST - 1)}…` : name;
  return `Brookrain · ${short} · revision ${revision}`;
}
