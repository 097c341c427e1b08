import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, test } from 'vitest';
import { Screen } from './Screen.tsx';

afterEach(cleanup);

const shown = (work?: { waiting: boolean; failed: string | undefined }) =>
  render(
    <Screen title="Panel" lead="What stands where." {...(work ? { work } : {})}>
      <p>The plate</p>
    </Screen>,
  );

describe('a stage that rests on work', () => {
  test('says that it is waited for, and nothing of the kind where there is none', () => {
    shown({ waiting: true, failed: undefined });
    expect(screen.getByRole('status').textContent).toContain('Working it out');
    cleanup();
    shown();
    expect(screen.queryByRole('status')).toBeNull();
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('says why it could not be done, and shows the rest', () => {
    shown({ waiting: false, failed: 'no item “RL70@1” in the catalogue' });
    expect(screen.getByRole('alert').textContent).toContain('RL70@1');
    expect(screen.queryByRole('status')).toBeNull();
    expect(screen.getByText('The plate')).toBeTruthy();
  });
});
