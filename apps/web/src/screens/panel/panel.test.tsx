import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { sandpiper } from '@brookrain/core';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { PanelScreen } from './PanelScreen.tsx';

afterEach(cleanup);
const holder = (name: RegExp) => screen.findByRole('button', { name });

describe('the panel', () => {
  test('says of nothing that it is not there before it has looked', async () => {
    renderInBuild(sandpiper, <PanelScreen />);
    expect(screen.getByRole('status').textContent).toContain('Working it out');
    expect(screen.queryByText(/No relay and no fuse/u)).toBeNull();
    await screen.findByRole('group', { name: 'Plate from the front' });
    expect(screen.queryByText(/Working it out/u)).toBeNull();
  });

  test('shows every holder with its number, from the front and from behind', async () => {
    renderInBuild(sandpiper, <PanelScreen />);
    const plate = await screen.findByRole('group', { name: 'Plate from the front' });
    const count = within(plate).getAllByRole('button').length;
    expect(
      within(screen.getByRole('list', { name: 'Parts on the panel' })).getAllByRole('button'),
    ).toHaveLength(count);
    const left = (): number =>
      Number(within(plate).getAllByRole('button')[0]!.querySelector('rect')!.getAttribute('x'));
    const before = left();
    await userEvent.click(screen.getByRole('radio', { name: 'From behind' }));
    expect(left()).toBeGreaterThan(before + 100);
  });

  test('moves a holder by arrow keys as one edit, says what is in its way, and puts it back', async () => {
    const edited = renderInBuild(sandpiper, <PanelScreen />);
    const first = await holder(/^1, Relay, fuel pump/);
    first.focus();
    for (let i = 0; i < 3; i++) fireEvent.keyDown(first, { key: 'ArrowRight', shiftKey: true });
    expect(edited.commands).toHaveLength(0);
    fireEvent.keyUp(first, { key: 'ArrowRight' });
    expect(edited.commands).toHaveLength(1);
    const [panel] = Object.values(edited.document.panels);
    expect(panel!.positions['pump-relay']!.x.value).toBeCloseTo(0.069, 9);
    expect(await screen.findByText('Two holders overlap on the panel')).toBeTruthy();
    await userEvent.click(await screen.findByRole('button', { name: 'Put it back in its row' }));
    expect(Object.values(edited.document.panels)[0]!.positions).toEqual({});
    expect(screen.queryByText('Two holders overlap on the panel')).toBeNull();
  });

  test('gets a size of its own, refused where it is none, and let go again', async () => {
    const edited = renderInBuild(sandpiper, <PanelScreen />);
    await userEvent.click(await screen.findByRole('button', { name: 'Fix its size' }));
    const field = await screen.findByLabelText('Height of the plate');
    await userEvent.clear(field);
    await userEvent.type(field, '2 m{Enter}');
    expect(await screen.findByText(/a panel is from 50 to 1500 mm/)).toBeTruthy();
    await userEvent.clear(field);
    await userEvent.type(field, '120 mm{Enter}');
    expect(Object.values(edited.document.panels)[0]!.height?.value).toBeCloseTo(0.12, 9);
    expect(
      (await screen.findAllByText('Holder overhangs the edge of the panel')).length,
    ).toBeGreaterThan(0);
  });
});
