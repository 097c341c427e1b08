import { BadInput } from '../../quantities/index.ts';
import { command, entryOf } from '../../model/command.ts';
import { mergeInto } from '../../model/edit.ts';
import { itemRef, text } from '../../model/spec.ts';

const id = text({ min: 1, max: 40 });

/** Chooses the injector of a row. */
export const chooseInjector = command({
  name: 'choose-injector',
  fields: { rowId: id, item: itemRef('injector') },
  words: (c) => `Choose injector ${c.item.id}`,
  recipe: (draft, c) =>
    mergeInto(entryOf(draft.injectorRows, c.rowId, 'injector row').item, c.item),
});

/** Chooses the part of a circuit's element. */
export const choosePart = command({
  name: 'choose-part',
  fields: { circuitId: id, elementId: id, item: itemRef('*') },
  words: (c) => `Choose ${c.item.id} for ${c.elementId}`,
  recipe(draft, c) {
    const { elements } = entryOf(draft.fuelCircuits, c.circuitId, 'fuel circuit');
    const element = entryOf(elements, c.elementId, 'element');
    if (!('item' in element)) {
      throw new BadInput(`"${element.name}" is no part from the catalogue`, c.elementId);
    }
    mergeInto(element.item, c.item);
  },
});
