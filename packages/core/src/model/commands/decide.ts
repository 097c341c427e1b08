import { current } from 'immer';
import { command, entryOf } from '../command.ts';
import { putAt } from '../edit.ts';
import { valueAt } from '../path.ts';
import { assembliesAlong } from '../../plumbing/model.ts';
import { text } from '../spec.ts';

/** Settles a decision: the values of the alternative take their places, those there are kept. */
export const decide = command({
  name: 'decide',
  fields: {
    optionId: text({ min: 1, max: 40 }),
    alternativeId: text({ min: 1, max: 40 }),
    assemblies: assembliesAlong,
  },
  words: (c) => `Decide ${c.optionId}: ${c.alternativeId}`,
  recipe(draft, c) {
    const option = entryOf(draft.options, c.optionId, 'decision');
    const next = entryOf(option.alternatives, c.alternativeId, 'alternative');
    const left = entryOf(option.alternatives, option.chosen, 'alternative');
    const now = current(draft);
    for (const kept of Object.values(left.values)) kept.value = valueAt(now, kept.path);
    const { values } = entryOf(
      entryOf(now.options, c.optionId, 'decision').alternatives,
      c.alternativeId,
      'alternative',
    );
    for (const { path, value } of Object.values(values)) putAt(draft, path, value);
    Object.assign(draft.assemblies, c.assemblies);
    if (next !== left) option.chosen = c.alternativeId;
  },
});
