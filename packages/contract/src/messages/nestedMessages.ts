import { RecordEntryMessage, RecordMessage } from './recordMessages.ts';

/** Fields of messages that hold messages of their own, by the class of what they hold. */
export const nestedMessages: ReadonlyMap<
  new () => object,
  Readonly<Record<string, new () => object>>
> = new Map([[RecordMessage, { entries: RecordEntryMessage }]]);
