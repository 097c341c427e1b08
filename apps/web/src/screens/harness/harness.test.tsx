import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { harnessFigure, sandpiper } from '@brookrain/core';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { HarnessScreen } from './HarnessScreen.tsx';
import { PlugsScreen } from './PlugsScreen.tsx';

afterEach(cleanup);
const bare = {
  ...sandpiper,
  harness: { ...sandpiper.harness, segments: {}, breakouts: {}, splices: {} },
};
const figureText = (key: string): string =>
  document.querySelector(`[data-figure="${key}"]`)?.textContent ?? '';

describe('the harness', () => {
  test('draws every segment, and the bundle that is looked at wire by wire', async () => {
    renderInBuild(sandpiper, <HarnessScreen />, '/?of=segment:coolant');
    const count = Object.keys(sandpiper.harness.segments).length;
    const side = await screen.findByRole('group', { name: 'Map, from the right' });
    expect(side.querySelectorAll('[data-segment]')).toHaveLength(count);
    const cut = await screen.findByRole('group', { name: /Cut through the bundle/ });
    expect(cut.querySelectorAll('[data-wire]')).toHaveLength(2);
  });

  test('a breakout moved by arrow keys is one edit, and lengths follow', async () => {
    const edited = renderInBuild(sandpiper, <HarnessScreen />, '/?of=breakout:top');
    const key = harnessFigure('harness.copperLength').key;
    const before = figureText(key);
    const [handle] = await screen.findAllByRole('button', { name: /^Over the engine/ });
    handle!.focus();
    for (let i = 0; i < 4; i++) fireEvent.keyDown(handle!, { key: 'ArrowUp', shiftKey: true });
    expect(edited.commands).toHaveLength(0);
    fireEvent.keyUp(handle!, { key: 'ArrowUp' });
    expect(edited.commands).toHaveLength(1);
    expect(edited.document.harness.breakouts['top']!.z.value).toBeCloseTo(1.04, 9);
    expect(figureText(key)).not.toBe(before);
  });

  test('a breakout is put half way into a segment, and taken out again', async () => {
    const edited = renderInBuild(sandpiper, <HarnessScreen />, '/?of=segment:front');
    await userEvent.click(await screen.findByRole('button', { name: 'Add a breakout half way' }));
    const made = Object.keys(edited.document.harness.breakouts).find(
      (id) => !(id in sandpiper.harness.breakouts),
    );
    expect(made).toBeDefined();
    expect(Object.keys(edited.document.harness.segments)).toHaveLength(
      Object.keys(sandpiper.harness.segments).length + 1,
    );
  });

  test('what is proposed is drawn, told and taken as one edit', async () => {
    const edited = renderInBuild(bare, <HarnessScreen />);
    await userEvent.click(await screen.findByRole('button', { name: 'Propose a harness' }));
    const told = await screen.findByRole('region', { name: 'Proposed harness' });
    expect(told.textContent).toMatch(/\d+ breakouts and \d+ segments/);
    expect(edited.commands).toHaveLength(0);
    await userEvent.click(within(told).getByRole('button', { name: 'Use it' }));
    expect(edited.commands).toHaveLength(1);
    expect(Object.keys(edited.document.harness.segments).length).toBeGreaterThan(20);
    expect(await screen.findByRole('table', { name: 'Segments' })).toBeTruthy();
  });

  test('two ends are joined with a segment between them', async () => {
    const edited = renderInBuild(sandpiper, <HarnessScreen />);
    const form = await screen.findByRole('region', { name: 'Join two ends' });
    expect(within(form).getByRole('button', { name: 'Join them' })).toHaveProperty(
      'disabled',
      true,
    );
    await userEvent.click(within(form).getByRole('combobox', { name: 'From' }));
    await userEvent.click(await screen.findByRole('option', { name: 'Ahead of the tank' }));
    await userEvent.click(within(form).getByRole('combobox', { name: 'To' }));
    await userEvent.click(await screen.findByRole('option', { name: 'Tank top' }));
    await userEvent.click(within(form).getByRole('button', { name: 'Join them' }));
    const [segment] = Object.entries(edited.document.harness.segments).filter(
      ([id]) => !(id in sandpiper.harness.segments),
    );
    expect(segment![1].to).toEqual({ at: 'place', placementId: 'tank-top' });
  });

  test('another school is chosen where the four stand side by side', async () => {
    const edited = renderInBuild(sandpiper, <HarnessScreen />);
    const ways = await screen.findByRole('region', { name: 'Ways of building it' });
    const [build] = within(ways).getAllByRole('button', { name: 'Build it so' });
    await userEvent.click(build!);
    expect(edited.document.harness.school).toBe('conduit');
  });
});

test('plugs tell cavity by cavity what ends there', async () => {
  renderInBuild(sandpiper, <PlugsScreen />);
  const table = await screen.findByRole('table', { name: 'Plugs' });
  await userEvent.click(within(table).getByRole('button', { name: 'Coolant sensor' }));
  expect(await screen.findByText(/2 of 2 ways used/)).toBeTruthy();
});
