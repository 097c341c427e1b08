import type { StoredFixing } from '../slices/fixings.ts';
import type { BodyItem } from '../components/placedComponent.ts';
import type { CarrierOf } from './carrier.ts';

const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });

/** How parts of a kind are usually held. */
function usually(item: BodyItem): Omit<StoredFixing, 'onto' | 'drilled'> {
  const plain = { metal: 'steel', thickness: mm(3), standoff: mm(0), rubber: false } as const;
  switch (item.category) {
    case 'battery':
      return { ...plain, means: 'tray', bolt: 'M8', bolts: 4 };
    case 'ecu':
      return {
        means: 'plate',
        metal: 'aluminium',
        thickness: mm(2),
        standoff: mm(10),
        rubber: true,
        bolt: 'M5',
        bolts: 4,
      };
    case 'pump':
      return { ...plain, means: 'bracket', standoff: mm(5), rubber: true, bolt: 'M6', bolts: 2 };
    case 'filter':
    case 'filter-regulator':
    case 'regulator':
    case 'dead-head-regulator':
      return { ...plain, means: 'bracket', bolt: 'M6', bolts: 2 };
    case 'device':
      return { ...plain, means: 'bracket', bolt: 'M5', bolts: 2 };
  }
}

/** A first fixing of a part onto something that carries it. */
export const usualFixing = (item: BodyItem, { onto }: CarrierOf): StoredFixing => ({
  onto,
  ...usually(item),
  drilled: null,
});
