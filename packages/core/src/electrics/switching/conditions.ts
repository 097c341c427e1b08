import type { Quantity } from '../../quantities/index.ts';
import type { StoredCondition, StoredSwitchRow } from '../slices/switching.ts';
import type { VehicleState } from './vehicleState.ts';

/** A condition without its place in the order. */
export type Condition = StoredCondition;
/** Ways of which one is enough; of each all conditions have to be so. */
export type Ways = readonly (readonly Condition[])[];

const inOrder = <T extends { readonly order: number }>(entries: Readonly<Record<string, T>>): T[] =>
  Object.values(entries).sort((a, b) => a.order - b.order);

/** The ways of a row in their order. */
export const switchingWays = ({ ways }: Pick<StoredSwitchRow, 'ways'>): Ways =>
  inOrder(ways).map(({ conditions }) => inOrder(conditions));

/** Whether one that goes on at a value is on at another: above where it goes off below, else below. */
const passes = (on: Quantity, off: Quantity, value: number): boolean =>
  on.value >= off.value ? value >= on.value : value <= on.value;

/** Whether a condition is so in a state; what is measured in pressure is there while the engine turns. */
export function isSo(condition: Condition, state: VehicleState): boolean {
  switch (condition.kind) {
    case 'key':
      switch (condition.position) {
        case 'acc':
          return state.key === 'acc' || state.key === 'run';
        case 'run':
          return state.key === 'run' || state.key === 'crank';
        case 'crank':
          return state.key === 'crank';
      }
      break;
    case 'engine':
      return state.engineTurns === (condition.state === 'turning');
    case 'temperature':
      return passes(condition.on, condition.off, state.temperature);
    case 'pressure':
      return state.engineTurns === condition.on.value >= condition.off.value;
    case 'input':
    case 'signal':
      return state.asked === (condition.is === 'on');
  }
}

/** Whether what has these ways is on; a way without a condition is always so, no way never. */
export const isOnBy = (ways: Ways, state: VehicleState): boolean =>
  ways.some((conditions) => conditions.every((condition) => isSo(condition, state)));

const keyWords = { acc: 'key in ACC', run: 'key in RUN', crank: 'cranking' } as const;

/** How conditions are told: names of things, and quantities in the reader's units. */
export interface ConditionWords {
  readonly nameOf: (id: string) => string;
  readonly quantityText: (quantity: Quantity, kind: 'temperature' | 'pressure') => string;
}

/** A condition as a person says it. */
export function conditionInWords(condition: Condition, words: ConditionWords): string {
  switch (condition.kind) {
    case 'key':
      return keyWords[condition.position];
    case 'engine':
      return condition.state === 'turning' ? 'engine turning' : 'engine standing';
    case 'temperature':
    case 'pressure': {
      const [on, off] = [condition.on, condition.off].map((quantity) =>
        words.quantityText(quantity, condition.kind),
      );
      const side = condition.on.value >= condition.off.value ? 'above' : 'below';
      return `${words.nameOf(condition.deviceId)} ${side} ${on ?? ''} until ${off ?? ''}`;
    }
    case 'input': {
      const button = condition.button === null ? '' : ` button ${String(condition.button)}`;
      return `${words.nameOf(condition.deviceId)}${button} ${condition.is}`;
    }
    case 'signal':
      return `${words.nameOf(condition.signalId)} ${condition.is === 'on' ? 'live' : 'dead'}`;
  }
}

/** Ways as a person says them: "key in RUN and engine turning, or …". */
export const waysInWords = (ways: Ways, words: ConditionWords): string =>
  ways.length === 0
    ? 'never'
    : ways
        .map((conditions) =>
          conditions.length === 0
            ? 'always'
            : conditions.map((each) => conditionInWords(each, words)).join(' and '),
        )
        .join(', or ');
