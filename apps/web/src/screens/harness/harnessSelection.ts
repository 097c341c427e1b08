import type { Build } from '@brookrain/core';

/** What of the harness is looked at: a segment, or where branches part. */
export type HarnessSelection =
  | { readonly kind: 'segment'; readonly id: string }
  | { readonly kind: 'breakout'; readonly id: string };

/** A selection as it stands in the address. */
export const harnessText = ({ kind, id }: HarnessSelection): string => `${kind}:${id}`;

/** The selection that an address names, where that is there. */
export function readHarnessText(
  text: string | null,
  { harness }: Pick<Build, 'harness'>,
): HarnessSelection | undefined {
  const [kind, ...rest] = (text ?? '').split(':');
  const id = rest.join(':');
  if (kind === 'segment' && harness.segments.some((each) => each.id === id)) return { kind, id };
  if (kind === 'breakout' && harness.breakouts.some((each) => each.id === id)) return { kind, id };
  return undefined;
}
