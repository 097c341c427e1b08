import { command } from '../command.ts';
import { acceptanceSpec } from '../document.ts';
import { mergeInto } from '../edit.ts';
import { text } from '../spec.ts';

const findingId = text({ min: 1, max: 160 });

/** Accepts a warning with a reason. */
export const acceptFinding = command({
  name: 'accept-finding',
  fields: { findingId, acceptance: acceptanceSpec },
  words: (c) => `Accept "${c.acceptance.title}": ${c.acceptance.reason}`,
  recipe(draft, c) {
    const present = draft.acceptances[c.findingId];
    if (present) mergeInto(present, c.acceptance);
    else draft.acceptances[c.findingId] = c.acceptance;
  },
});

/** Opens an accepted warning again. */
export const withdrawAcceptance = command({
  name: 'withdraw-acceptance',
  fields: { findingId },
  words: () => 'Withdraw an acceptance',
  recipe(draft, c) {
    delete draft.acceptances[c.findingId];
  },
});
