import type { LostEdits } from './messages/replies.ts';

const counted = (count: number, one: string, many: string): string[] =>
  count === 0 ? [] : [`${count} ${count === 1 ? one : many}`];

const list = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** What is missing from the data, in words: "2 edits and 1 entry of the record are missing". */
export function missingInWords({
  edits,
  entries,
  items,
}: Omit<LostEdits, 'until' | 'kept'>): string {
  const parts = [
    ...counted(edits, 'edit', 'edits'),
    ...counted(entries, 'entry of the record', 'entries of the record'),
    ...counted(items, 'catalogue item', 'catalogue items'),
  ];
  return `${list.format(parts)} ${edits + entries + items === 1 ? 'is' : 'are'} missing`;
}
