import '../tests/inlineWorker.ts';
import '../tests/radixInJsdom.ts';
import type { RippleEntry } from '@brookrain/core';
import { lantern } from '@brookrain/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test, vi } from 'vitest';
import type { OpenBuild } from '../build/BuildContext.ts';
import { renderInBuild } from '../tests/renderInBuild.tsx';
import { ConflictDialog } from './ConflictDialog.tsx';
import { RippleBar } from './RippleBar.tsx';

afterEach(cleanup);

const figure = (key: string, before: number, after: number): RippleEntry => ({
  type: 'figure',
  key,
  label: `Figure ${key}`,
  kind: 'ratio',
  before,
  after,
  change: Math.abs(after - before),
});
const finding = (id: string, more: object): RippleEntry =>
  ({ type: 'finding', id, title: `Finding ${id}`, ...more }) as unknown as RippleEntry;

describe('what an edit moved', () => {
  const open = (ripple: readonly RippleEntry[], more: Partial<OpenBuild> = {}) =>
    renderInBuild(lantern, <RippleBar />, '/', { ripple, ...more });
  const bar = () => screen.getByRole('status');

  test('nothing: there is no bar', () => {
    open([]);
    expect(screen.queryByRole('region', { name: 'Ripple' })).toBeNull();
  });

  test('the first three stand in the bar, all of them when asked for', async () => {
    open(['a', 'b', 'c', 'd', 'e'].map((key, k) => figure(key, 0.1 * k, 0.1 * k + 0.05)));
    expect(bar().textContent).toContain('Figure c 20 % → 25 %');
    expect(bar().textContent).not.toContain('Figure d');
    await userEvent.click(screen.getByRole('button', { name: 'All 5' }));
    expect(screen.getAllByRole('listitem').map((each) => each.textContent)).toContain(
      'Figure e 40 % → 45 %',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(screen.queryAllByRole('listitem')).toEqual([]);
  });

  test.each([
    [{ before: null, after: 'warn' }, 'is a new warning'],
    [{ before: 'warn', after: null }, 'is gone'],
    [{ before: 'warn', after: 'stop' }, 'was a warning, is a stop'],
    [{ before: 'note', after: 'warn', reopened: true }, 'is open again: worse than what was'],
  ])('a finding of which %o is told so', (more, words) => {
    open([finding('x', more)]);
    expect(bar().textContent).toContain(`Finding x ${words}`);
  });

  test('a figure and a finding of one name are two entries', () => {
    const said = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    open([
      figure('demand.disagreement', 0.1, 0.2),
      finding('demand.disagreement', { before: null, after: 'warn' }),
    ]);
    expect(bar().textContent).toContain('Figure demand.disagreement');
    expect(bar().textContent).toContain('Finding demand.disagreement');
    expect(said).not.toHaveBeenCalled();
    said.mockRestore();
  });

  test('is undone and put away from there', async () => {
    const [step, dismissRipple] = [vi.fn(), vi.fn()];
    open([figure('a', 0, 1)], { undo: 'Power 150 kW', step, dismissRipple });
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(step).toHaveBeenCalledWith('undo');
    await userEvent.click(screen.getByRole('button', { name: 'Dismiss' }));
    expect(dismissRipple).toHaveBeenCalledTimes(1);
  });

  test('cannot be undone where there is nothing to undo', () => {
    open([figure('a', 0, 1)], { undo: null });
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Undo' }).disabled).toBe(true);
  });
});

describe('an edit that someone else was faster than', () => {
  const power = {
    path: ['brief', 'power'],
    before: { value: 168e3, unit: 'kW' },
    after: { value: 150e3, unit: 'kW' },
  };
  const boost = {
    path: ['brief', 'boost'],
    before: { value: 85e3, unit: 'bar' },
    after: { value: 60e3, unit: 'bar' },
  };
  const conflict = {
    code: 'conflict',
    message: 'stale',
    untold: 2,
    since: [{ number: 5, words: 'Power and boost', author: 'B. Person', changes: [power, boost] }],
    command: { name: 'set', path: ['brief', 'cylinders'], value: 6 },
  } as unknown as NonNullable<OpenBuild['conflict']>;
  const open = (more: Partial<OpenBuild>) =>
    renderInBuild(lantern, <ConflictDialog />, '/', { conflict, ...more });

  test('is told beside what they changed, by name and in units', () => {
    open({});
    const dialog = within(screen.getByRole('dialog'));
    expect(dialog.getByText('2 earlier edits, and then')).toBeTruthy();
    expect(dialog.getByText(/^Power and boost/).textContent).toContain('by B. Person');
    const changes = dialog.getAllByRole('listitem').map((each) => each.textContent);
    expect(changes).toHaveLength(2);
    expect(changes[0]).toMatch(/power.*168 kW → 150 kW/i);
    expect(changes[1]).toMatch(/boost.*0\.85 bar → 0\.6 bar/i);
    expect(dialog.getByText('Your edit').nextSibling!.textContent).toMatch(/cylinders/i);
  });

  test('is made on top of theirs, or left', async () => {
    const [reapply, dropConflict] = [vi.fn(), vi.fn()];
    open({ reapply, dropConflict });
    await userEvent.click(screen.getByRole('button', { name: 'Re-apply my edit' }));
    expect(reapply).toHaveBeenCalledTimes(1);
    await userEvent.click(screen.getByRole('button', { name: 'Leave it as it is now' }));
    expect(dropConflict).toHaveBeenCalledTimes(1);
  });

  test('an undo cannot be made again: it is left', () => {
    const { command: _, ...undone } = conflict as unknown as Record<string, unknown>;
    open({ conflict: undone as unknown as typeof conflict });
    expect(screen.queryByRole('button', { name: 'Re-apply my edit' })).toBeNull();
    expect(screen.getByRole('button', { name: 'Leave it as it is now' })).toBeTruthy();
  });

  test('nothing of the kind: no dialog', () => {
    renderInBuild(lantern, <ConflictDialog />);
    expect(screen.queryByRole('dialog')).toBeNull();
  });
});
