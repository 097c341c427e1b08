import { lookUp } from '../../catalogue/index.ts';
import type { DeadHeadRegulatorElement } from '../../model/index.ts';
import { forwardRegulatorBranch } from '../hydraulics/forwardRegulatorBranch.ts';
import { type ElementKindEntry, FEED_GUESS } from './elementKind.ts';

/** A regulator that lets on only what keeps the pressure behind it. */
export const deadHeadRegulator: ElementKindEntry<DeadHeadRegulatorElement> = {
  category: 'dead-head-regulator',
  ports: ['from', 'to'],
  ways: [['from', 'to']],
  branches: (element, { catalogue, fluid, conditions }) => {
    const { id, from, to } = element;
    const item = lookUp(catalogue, 'dead-head-regulator', element.item, id);
    // Held from outside it stands wide open, as it would with nothing left to take away.
    const setPressure = conditions.regulators === 'holding' ? 1e9 : element.setPressure.value;
    return [
      {
        id,
        from,
        to,
        model: (smoothing) =>
          forwardRegulatorBranch({ item, setPressure, fluid, smoothing, initialFlow: FEED_GUESS }),
      },
    ];
  },
};
