import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import {
  type BuildDocument,
  createEvaluator,
  evaluate,
  kittiwake,
  ladderVariants,
  lantern,
  limitLadder,
  reachedRungs,
  readBuild,
  sampleCatalogue,
} from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, test } from 'vitest';
import { choose, offered, press } from '../../tests/fields.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { MarginsScreen } from './MarginsScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument, address = '/') =>
  renderInBuild(build, <MarginsScreen />, address);

test('what is open stands by how bad it is, each kind counted', () => {
  open(lantern);
  const all = evaluate(lantern, sampleCatalogue).findings;
  for (const [heading, severity] of [
    ['Stops', 'stop'],
    ['Warnings', 'warn'],
    ['Notes', 'note'],
  ] as const) {
    const count = all.filter((f) => f.severity === severity).length;
    const part = screen.getByRole('heading', { level: 2, name: `${heading} ${count}` });
    expect(part.parentElement!.querySelectorAll('[data-finding]')).toHaveLength(count);
  }
});

describe('another ladder', () => {
  test('is offered of all that may be lost, and of other fuels', async () => {
    open(kittiwake);
    const variants = ladderVariants(readBuild(kittiwake)).map(({ label }) => label);
    expect(variants.length).toBeGreaterThan(2);
    expect(await offered('Ladder')).toEqual(['as planned', ...variants]);
  });

  test('says how far it holds and what gives out then', async () => {
    open(lantern);
    const [variant] = ladderVariants(readBuild(lantern));
    await choose('Ladder', variant!.label);
    await waitFor(() =>
      expect(screen.getByRole('status').textContent).toMatch(
        new RegExp(`^${variant!.label}: (good for \\d+ kW, then .+ is the limit|no limit .+)\\.$`),
      ),
    );
    await choose('Ladder', 'as planned');
    expect(screen.queryByRole('status')).toBeNull();
  });
});

describe('how sure it is', () => {
  const part = () => within(screen.getByRole('region', { name: 'How sure is it' }));
  const holds = async (): Promise<number> => {
    const words = await part().findByText(/^Pressure holds at peak in/);
    return parseFloat(words.querySelector('strong')!.textContent);
  };

  test('is drawn, with what matters most in its order, the same each time', async () => {
    open(lantern);
    await press('Draw 2000 times');
    const first = await holds();
    expect(first).toBeGreaterThan(0);
    expect(first).toBeLessThanOrEqual(100);
    const rows = () =>
      within(part().getByRole('table', { name: 'What matters most' }))
        .getAllByRole('row')
        .map((row) => row.textContent);
    const causes = rows();
    expect(causes.length).toBeGreaterThan(3);
    for (const words of causes) {
      expect(words).toMatch(/hardly matters|more is worse|more is better/);
    }
    const strengths = [...document.querySelectorAll('[aria-label="What matters most"] rect')].map(
      (bar) => Number(bar.getAttribute('width')),
    );
    expect(strengths).toEqual([...strengths].sort((a, b) => b - a));
    await press('Draw again');
    expect(await holds()).toBe(first);
    expect(rows()).toEqual(causes);
  });
});

test('a rung that is asked for by its address is marked on the ladder, no other', () => {
  const { ladder } = climbed();
  const [first] = reachedRungs(ladder);
  const marked = (address: string): number => {
    renderInBuild(lantern, <MarginsScreen />, address, { ladder });
    const drawing = screen.getByRole('img', { name: 'Limit ladder over power' });
    const count = drawing.querySelectorAll('path[stroke-width="5"]').length;
    cleanup();
    return count;
  };
  const alike = reachedRungs(ladder).filter(({ check }) => check === first!.check).length;
  // The target is drawn as stoutly, always.
  const target = marked('/');
  expect(marked(`/?rung=${first!.check}`)).toBe(target + alike);
  expect(marked('/?rung=nothing')).toBe(target);
});

/** The ladder of Lantern, climbed as the worker does. */
function climbed() {
  return { ladder: limitLadder(createEvaluator().check(lantern, sampleCatalogue)) };
}
