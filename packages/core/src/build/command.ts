import type {
  Acceptance,
  BuildDocument,
  DemandChoiceName,
  ItemRef,
  LengthKnowledge,
} from './document.ts';

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
