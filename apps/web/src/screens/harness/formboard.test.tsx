import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { lantern, sandpiper, withValueAt } from '@brookrain/core';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, test } from 'vitest';
import { choose } from '../../tests/fields.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { FormboardScreen } from './FormboardScreen.tsx';

afterEach(cleanup);

describe('the formboard', () => {
  test('shows every segment of a loom, tells the length of one that is picked, leads to its sheets', async () => {
    renderInBuild(sandpiper, <FormboardScreen />);
    const plan = await screen.findByRole('img', { name: /^Plan of the board/ });
    const segments = plan.querySelectorAll('g.cursor-pointer');
    expect(segments).toHaveLength(Object.keys(sandpiper.harness.segments).length);
    fireEvent.click(segments[0]!);
    expect(screen.getByRole('status').textContent).toMatch(/: [\d.,]+ m?m$/);
    const sheets = screen.getByRole('link', { name: /^A4, \d+ sheets$/ });
    expect(sheets.getAttribute('href')).toMatch(/\/boards\/1\/a4\.pdf$/);
  });

  test('has a board for each loom of a harness that a connector parts', async () => {
    renderInBuild(lantern, <FormboardScreen />);
    const first = await screen.findByRole('link', { name: /^Roll/ });
    expect(first.getAttribute('href')).toContain('/boards/1/');
    await choose('Which loom', /^2: /);
    expect(screen.getByRole('link', { name: /^Roll/ }).getAttribute('href')).toContain(
      '/boards/2/',
    );
  });

  test('says what to do where no wire is led', async () => {
    const empty = { breakouts: {}, segments: {}, splices: {}, bought: {} };
    const bare = Object.entries(empty).reduce(
      (document, [key, value]) => withValueAt(document, `harness.${key}`, value),
      sandpiper,
    );
    renderInBuild(bare, <FormboardScreen />);
    expect(await screen.findByRole('link', { name: 'lead the harness' })).toBeDefined();
  });
});
