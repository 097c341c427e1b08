import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { type Taken, TypedInput } from './TypedInput.tsx';

afterEach(cleanup);
const field = () => screen.getByRole<HTMLInputElement>('textbox');

describe('a typed field', () => {
  const taken: string[] = [];
  const take = (text: string): Taken => {
    taken.push(text);
    return text === 'no' ? { message: 'not that' } : { shown: text.toUpperCase() };
  };
  const shown = (kept: string) => <TypedInput label="Name" kept={kept} take={take} />;
  afterEach(() => taken.splice(0));

  test('follows a value that changes elsewhere while nobody types', () => {
    const { rerender } = render(shown('one'));
    rerender(shown('two'));
    expect(field().value).toBe('two');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('keeps what is half typed when the value changes elsewhere, and says so', async () => {
    const { rerender } = render(shown('one'));
    await userEvent.type(field(), ' and a half');
    rerender(shown('two'));
    expect(field().value).toBe('one and a half');
    expect(screen.getByRole('alert').textContent).toContain('Changed meanwhile to "two"');
    await userEvent.type(field(), '{Enter}');
    expect(taken).toEqual(['one and a half']);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('Escape takes what is stored now, not what was', async () => {
    const { rerender } = render(shown('one'));
    await userEvent.type(field(), ' and a half');
    rerender(shown('two'));
    await userEvent.type(field(), '{Escape}');
    expect(field().value).toBe('two');
    expect(taken).toEqual([]);
  });

  test('what is refused stays with its reason; what is taken is shown as it is kept', async () => {
    render(shown('one'));
    await userEvent.clear(field());
    await userEvent.type(field(), 'no{Enter}');
    expect(field().value).toBe('no');
    expect(screen.getByRole('alert').textContent).toBe('not that');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    await userEvent.clear(field());
    await userEvent.type(field(), 'yes');
    await userEvent.tab();
    expect(field().value).toBe('YES');
    expect(screen.queryByRole('alert')).toBeNull();
  });
});
