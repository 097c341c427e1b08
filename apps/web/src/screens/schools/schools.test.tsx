import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { kittiwake, sandpiper } from '@brookrain/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { SchoolsScreen } from './SchoolsScreen.tsx';

afterEach(cleanup);
const table = () => screen.findByRole('table', { name: 'Schools of switching' });
const cells = async (name: RegExp): Promise<string[]> =>
  within(within(await table()).getByRole('row', { name }))
    .getAllByRole('cell')
    .map(({ textContent }) => textContent);

describe('relays or module', () => {
  test('a module takes the relays’ place, and is taken as one edit', async () => {
    const edited = renderInBuild(kittiwake, <SchoolsScreen />);
    const [now, module] = await cells(/^Relays/);
    expect(Number(module)).toBe(Number(now) - 3);
    await userEvent.click(
      within(await table()).getByRole('button', {
        name: 'Use it: Sluice 16 in place of relays',
      }),
    );
    expect(edited.commands).toHaveLength(1);
    expect(edited.document.devices['pump-relay']!.state).toBe('removed');
    expect(Object.keys(edited.document.controllers)).toHaveLength(3);
  });

  test('where none can be fitted it says why; the kept box costs less', async () => {
    renderInBuild(sandpiper, <SchoolsScreen />);
    const [present, module, kept] = await cells(/^Electric parts to buy/);
    expect(module).toBe('–');
    expect((await cells(/^To use it/))[1]).toContain('no bus with a free place');
    expect(parseFloat(kept!)).toBeLessThan(parseFloat(present!));
  });
});
