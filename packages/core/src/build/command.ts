import type {
  Acceptance,
  BuildDocument,
  DemandChoiceName,
  Fuel,
  FuelCircuit,
  InjectorRow,
  ItemRef,
  LengthKnowledge,
  Placement,
  PumpFeed,
} from './document.ts';
import type { InsertedElement } from './circuitEdits.ts';

/** A small named edit. Every change of a build is one of these. */
export type BuildCommand =
  | { readonly name: 'set'; readonly path: string; readonly value: unknown }
  | { readonly name: 'set-several'; readonly label: string; readonly changes: readonly Change[] }
  | { readonly name: 'pick-demand'; readonly school: DemandChoiceName; readonly reason: string }
  | { readonly name: 'choose-injector'; readonly rowId: string; readonly item: ItemRef }
  | {
      readonly name: 'choose-part';
      readonly circuitId: string;
      readonly elementId: string;
      readonly item: ItemRef;
    }
  | { readonly name: 'choose-fuse'; readonly feedId: string; readonly item: ItemRef | null }
  | { readonly name: 'choose-wire'; readonly wireId: string; readonly size: ItemRef | null }
  | {
      readonly name: 'set-wire-length';
      readonly wireId: string;
      readonly length: LengthKnowledge;
    }
  | { readonly name: 'decide'; readonly optionId: string; readonly alternativeId: string }
  | {
      readonly name: 'insert-element';
      readonly circuitId: string;
      /** the new element comes behind this one */
      readonly afterId: string;
      readonly element: InsertedElement;
      /** id of the joint between the two */
      readonly nodeId: string;
      /** feed of a pump that is put in; null for everything else */
      readonly feed: PumpFeed | null;
    }
  | { readonly name: 'remove-element'; readonly circuitId: string; readonly elementId: string }
  | {
      readonly name: 'move-element';
      readonly circuitId: string;
      readonly elementId: string;
      readonly direction: 'towards-tank' | 'towards-engine';
    }
  | {
      readonly name: 'lay-out-circuit';
      readonly label: string;
      /** takes the place of the circuit of the same id, or comes as a further one */
      readonly circuit: FuelCircuit;
      readonly placements: readonly Placement[];
      readonly pumpFeeds: readonly PumpFeed[];
      /** fuels and rows that a further circuit brings with it */
      readonly fuels: readonly Fuel[];
      readonly injectorRows: readonly InjectorRow[];
    }
  | { readonly name: 'remove-circuit'; readonly circuitId: string }
  | { readonly name: 'accept-finding'; readonly acceptance: Acceptance }
  | { readonly name: 'withdraw-acceptance'; readonly findingId: string }
  | { readonly name: 'use-revision'; readonly itemId: string; readonly revision: number }
  | { readonly name: 'replace-document'; readonly document: BuildDocument };

/** A value put at a path of the document. */
export interface Change {
  readonly path: string;
  readonly value: unknown;
}
export type CommandName = BuildCommand['name'];
