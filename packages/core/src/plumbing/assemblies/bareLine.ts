import type { Sourced } from '../../results/index.ts';
import type { RoutedLine } from '../../vehicle/index.ts';
import type { MadeLine } from './madeLine.ts';

/** A line before its figures are worked out: what it is, what it is made of, where it runs. */
export interface BareLine extends Pick<
  MadeLine,
  | 'lineId'
  | 'of'
  | 'name'
  | 'circuitId'
  | 'suction'
  | 'hose'
  | 'loose'
  | 'assembly'
  | 'ends'
  | 'pressure'
  | 'sleeved'
> {
  /** best known length between its seats, m */
  readonly length: Sourced<number> | undefined;
  /** the case in which it sees its highest pressure; undefined where its class says it */
  readonly pressureIn: string | undefined;
  readonly routed: RoutedLine | undefined;
}
