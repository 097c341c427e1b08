import type { KeyboardEvent } from 'react';
import { describe, expect, test, vi } from 'vitest';
import { walkKeys } from './walkKeys.ts';

const press = (key: string, selected: string) => {
  const select = vi.fn<(id: string) => void>();
  const preventDefault = vi.fn();
  walkKeys(['a', 'b', 'c'], selected, select)({ key, preventDefault } as unknown as KeyboardEvent);
  return { chosen: select.mock.calls[0]?.[0], prevented: preventDefault.mock.calls.length === 1 };
};

describe('walking a list', () => {
  test.each([
    ['ArrowRight', 'a', 'b'],
    ['ArrowDown', 'b', 'c'],
    ['ArrowDown', 'c', 'c'],
    ['ArrowLeft', 'b', 'a'],
    ['ArrowUp', 'a', 'a'],
    ['Home', 'c', 'a'],
    ['End', 'a', 'c'],
  ])('%s on %s goes to %s', (key, from, to) => {
    expect(press(key, from)).toEqual({ chosen: to, prevented: true });
  });

  test('other keys are left to the page', () => {
    expect(press('Tab', 'a')).toEqual({ chosen: undefined, prevented: false });
    expect(press('x', 'b')).toEqual({ chosen: undefined, prevented: false });
  });
});
