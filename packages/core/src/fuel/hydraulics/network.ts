import type { BranchModel } from './branchModel.ts';
import type { Topology } from './topology.ts';

/** A place in the circuit; gauge pressure is fixed at tanks. Height enters through branches. */
export interface NetworkNode {
  readonly id: string;
  readonly fixedPressure?: number;
}

/** An element between nodes; `to` null leaves the network (an engine's injectors). */
export interface NetworkBranch {
  readonly id: string;
  readonly from: string;
  readonly to: string | null;
  /** node whose pressure the element watches, if it watches one */
  readonly senses?: string;
  /** `smoothing` rounds the corners of complementarity, Pa; 0 is the true law. */
  readonly model: (smoothing: number) => BranchModel;
}

export interface Network {
  readonly nodes: readonly NetworkNode[];
  readonly branches: readonly NetworkBranch[];
  /** first guess of free pressures, Pa gauge */
  readonly initialPressure: number;
  /** what is joined to what, where it was read before */
  readonly topology?: Topology;
}

/** Pressures Pa gauge by node and mass flows kg/s by branch, or the reason why there are none. */
export type NetworkSolution =
  | {
      readonly state: 'converged';
      readonly pressures: Readonly<Record<string, number>>;
      readonly flows: Readonly<Record<string, number>>;
      readonly iterations: number;
      readonly warm: WarmStart;
    }
  | { readonly state: 'failed'; readonly reason: string; readonly where: string };

/** Where to start: pressures by free node and flows by branch, in network order. */
export interface WarmStart {
  readonly pressures: Float64Array;
  readonly flows: Float64Array;
}
