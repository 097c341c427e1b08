import '../tests/inlineWorker.ts';
import { evaluate, fuelFigure, lantern, sampleCatalogue, withValueAt } from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { useBuild } from '../build/BuildContext.ts';
import { renderInBuild } from '../tests/renderInBuild.tsx';
import { Figure } from './Figure.tsx';
import { FigureRows } from './FigureRows.tsx';
import { FindingList, FindingNote } from './FindingNote.tsx';

afterEach(cleanup);

/** Lantern with injectors that are far too small. */
const starved = withValueAt(lantern, 'injectorRows.primary.item', { id: 'I360', revision: 1 });

function Finding({ id }: { id: string }) {
  const { evaluation } = useBuild();
  const finding = evaluation.findings.find((f) => f.id === id);
  return finding ? <FindingNote finding={finding} explained /> : <p>gone</p>;
}

describe('a finding', () => {
  test('says what, why, against what, and where the limit comes from', () => {
    renderInBuild(starved, <Finding id="injector.duty:primary" />);
    const note = screen.getByRole('article');
    expect(note.dataset['finding']).toBe('injector.duty:primary');
    expect(note.textContent).toContain('Injector duty is above the limit');
    expect(note.textContent).toMatch(/stays open [\d.]+ %/);
    expect(note.textContent).toMatch(/[\d.]+ % against 80 %/);
    expect(note.textContent).toContain('Duty limit of the chosen school');
    expect(note.textContent).not.toMatch(/[{}]/);
  });

  test('is gone after its cure, which is worked out when it is looked at', async () => {
    const edited = renderInBuild(starved, <Finding id="injector.duty:primary" />);
    await userEvent.click(await screen.findByRole('button', { name: /^Fit .* instead$/ }));
    expect(edited.commands.map((c) => c.name)).toEqual(['choose-injector']);
    expect(await screen.findByText('gone')).toBeTruthy();
  });

  test('that warns is accepted with a reason and an author, and taken back', async () => {
    const hot = withValueAt(lantern, 'brief.fuelTemperatureHot', { value: 319.4, unit: '°C' });
    const edited = renderInBuild(hot, <Finding id="suction.head:pump" />);
    await userEvent.click(screen.getByRole('button', { name: 'Accept with a reason' }));
    await userEvent.type(
      screen.getByRole('textbox', { name: /Why it is accepted/ }),
      'only driven in winter',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Accept it' }));
    await waitFor(() => expect(screen.getByRole('article').textContent).toContain('Accepted by'));
    const [kept] = Object.values(edited.document.acceptances);
    expect(kept).toMatchObject({ reason: 'only driven in winter' });
    await userEvent.click(screen.getByRole('button', { name: 'Withdraw the acceptance' }));
    expect(Object.keys(edited.document.acceptances)).toEqual([]);
  });

  test('that stops cannot be accepted', () => {
    renderInBuild(starved, <Finding id="injector.duty:primary" />);
    expect(screen.queryByRole('button', { name: 'Accept with a reason' })).toBeNull();
  });
});

describe('a list of findings', () => {
  test('has those of its stage', () => {
    renderInBuild(starved, <FindingList where="injectors" />);
    const ids = screen.getAllByRole('article').map((note) => note.dataset['finding']);
    expect(ids).toContain('injector.duty:primary');
    expect(ids.filter((id) => !id!.startsWith('injector.'))).toEqual([]);
  });

  test('says when there is nothing', () => {
    renderInBuild(lantern, <FindingList where="demand" />);
    expect(screen.getByText('No findings.')).toBeTruthy();
  });
});

describe('a figure', () => {
  const margin = fuelFigure('pumps.margin');

  test('is read in the unit of the build and opens its working', async () => {
    renderInBuild(lantern, <Figure of={margin} />);
    const figure = screen.getByRole('button');
    // A share is read in percent, as the evaluation has it.
    const { value } = evaluate(lantern, sampleCatalogue).results.find((r) => r.key === margin.key)!;
    expect(figure.textContent).toBe(`${Number((100 * value).toFixed(1))} %`);
    expect(figure.dataset['figure']).toBe('pump.peak.margin');
    await userEvent.click(figure);
    const working = await screen.findByRole('dialog');
    await waitFor(() => expect(within(working).getByText(/Pump margin at peak/)).toBeTruthy());
  });

  test('that the build has not says so', () => {
    renderInBuild(lantern, <Figure of={fuelFigure('surge.seconds')} />);
    expect(screen.getByText('not solved')).toBeTruthy();
  });

  test('is left out of rows where the build has it not', () => {
    renderInBuild(
      lantern,
      <FigureRows
        title="At peak"
        rows={[
          ['In hand', margin],
          ['Lasts', fuelFigure('surge.seconds')],
        ]}
      />,
    );
    expect(screen.getAllByRole('term').map((term) => term.textContent)).toEqual(['In hand']);
  });
});
