import type {
  BuildCommand,
  BuildDocument,
  Catalogue,
  CatalogueItem,
  DocumentDifference,
  RecordKind,
  RecordSaid,
} from '@brookrain/core';
import type { Issue } from '../issue.ts';

/** A build in the list. */
export interface BuildSummary {
  readonly id: string;
  readonly name: string;
  readonly description: string;
  readonly revision: number;
  readonly updatedAt: string;
  /** shipped with the program; can be reset */
  readonly demo: boolean;
  /** archived */
  readonly archived: boolean;
}

/** The device that a request came from. */
export interface ThisDeviceReply {
  /** its name as it was paired */
  readonly name: string;
  /** whether it is the computer that the program runs on, which may do everything */
  readonly isOwner: boolean;
}

/** What stands against a build: open findings, accepted ones left out. */
export interface BuildStateReply {
  readonly revision: number;
  readonly stops: number;
  readonly warnings: number;
}

/** A build as it stands. */
export interface BuildReply {
  readonly id: string;
  readonly revision: number;
  /** names the line of revisions: another one after a restore */
  readonly generation: string;
  readonly document: BuildDocument;
  /** words of what undo and redo would do; null when there is nothing */
  readonly undo: string | null;
  readonly redo: string | null;
  readonly updatedAt: string;
}

/** One accepted change of a build. */
export interface RevisionReply {
  readonly number: number;
  readonly kind: 'create' | 'edit' | 'undo' | 'redo' | 'migrate';
  readonly author: string;
  readonly time: string;
  readonly words: string;
  readonly hash: string;
}

/** What a stale edit is answered with, 409. */
export interface ConflictReply {
  readonly code: 'conflict';
  readonly message: string;
  /** the revision that the build stands at now */
  readonly revision: number;
  /** generation of the data that it belongs to */
  readonly generation: string;
  /** the revision that the edit started from */
  readonly baseRevision: number;
  /** the edit that was not made; null where it was undo, redo or a file */
  readonly command: BuildCommand | null;
  /** what others changed since, the last few edits of them */
  readonly since: readonly {
    readonly words: string;
    readonly author: string;
    /** what it changed, by place */
    readonly changes: readonly DocumentDifference[];
  }[];
  /** how many edits before those are not told */
  readonly untold: number;
}

/** Why a request was not done. */
export interface ErrorReply {
  readonly code:
    | 'bad-input'
    | 'not-found'
    | 'not-solvable'
    | 'too-large'
    | 'storage'
    | 'refused'
    | 'busy'
    | 'internal';
  readonly message: string;
  readonly issues?: readonly Issue[];
}

/** What a file would change. */
export interface ImportPreview {
  readonly name: string;
  /** new catalogue items the file brings */
  readonly newItems: readonly string[];
  readonly changes: readonly DocumentDifference[];
}

/** The whole catalogue, every revision. */
export interface CatalogueReply extends Catalogue {
  readonly items: readonly CatalogueItem[];
}

/** That the server is up. */
export interface HealthReply {
  readonly status: 'ok';
  readonly version: string;
  readonly builds: number;
}

/** A revision with the document as it was then. */
export interface RevisionDocumentReply {
  readonly number: number;
  readonly document: BuildDocument;
}

/** A build made by the guided start, with what was proposed for it. */
export interface StartReply {
  readonly build: BuildReply;
  readonly proposed: readonly string[];
}

/** A catalogue item as it was kept. */
export interface KeptItemReply {
  readonly item: CatalogueItem;
  /** false when the same data were there already */
  readonly isNew: boolean;
}

/** What an import of items kept. */
export interface ImportItemsReply {
  readonly kept: readonly CatalogueItem[];
  /** items whose data were there already */
  readonly unchanged: number;
}

/** Builds that use an item, with the revision each of them uses. */
export interface WhereUsedReply {
  readonly uses: readonly {
    readonly buildId: string;
    readonly name: string;
    readonly revision: number;
    readonly archived: boolean;
  }[];
}

/** What was acknowledged and is not in the data any more, as after damage to their log. */
export interface LostEdits {
  /** revisions of builds */
  readonly edits: number;
  /** entries of the record */
  readonly entries: number;
  /** revisions of catalogue items */
  readonly items: number;
  /** when the last of them was made, ISO 8601 */
  readonly until: string;
  /** the folder in which the data are kept as they were found */
  readonly kept: string;
}

/** One snapshot of the data folder. */
export interface SnapshotReply {
  readonly file: string;
  /** ISO 8601 */
  readonly time: string;
  readonly bytes: number;
}

/** Snapshots, newest first, with where they are and how one is put back. */
export interface SnapshotsReply {
  readonly folder: string;
  readonly restoreCommand: string;
  readonly snapshots: readonly SnapshotReply[];
  /** what is missing from the data; null when none are, or it was read */
  readonly lost: LostEdits | null;
}

/** A device that may use the program over the workshop network. */
export interface PairedDeviceReply {
  readonly id: string;
  readonly name: string;
  /** ISO 8601 */
  readonly pairedAt: string;
  readonly seenAt: string;
}

/** Whether the program is open to the workshop network, and who is paired. */
export interface WorkshopReply {
  /** where other devices find it; none: it is closed */
  readonly urls: readonly string[];
  /** false: the program was started so that it is open */
  readonly canBeClosed: boolean;
  readonly devices: readonly PairedDeviceReply[];
}

/** A code with which one device is paired. */
export interface PairingReply {
  readonly code: string;
  /** where it is typed */
  readonly address: string;
  /** ISO 8601: until when it is good */
  readonly until: string;
  /** address and code as a QR code, SVG */
  readonly picture: string;
}

/** Something that happened to a build, as it is kept. */
export interface RecordEntryReply {
  readonly id: string;
  readonly kind: RecordKind;
  readonly subject: string;
  readonly said: RecordSaid;
  readonly corrects: string | null;
  readonly revision: number;
  readonly author: string;
  /** the device that it was entered on */
  readonly device: string;
  /** ISO 8601 */
  readonly time: string;
}

/** What happened to a build, in the order in which it came in. */
export interface RecordReply {
  readonly entries: readonly RecordEntryReply[];
}

/** What other open windows are told. */
export type LiveEvent =
  | {
      readonly type: 'build';
      readonly id: string;
      readonly revision: number;
      readonly author: string;
      readonly words: string;
    }
  | { readonly type: 'builds' }
  | { readonly type: 'catalogue' }
  /** something happened to a build at the vehicle */
  | { readonly type: 'record'; readonly id: string }
  /** sent on connecting and every few seconds, so that a lost connection is noticed */
  | { readonly type: 'alive' };
