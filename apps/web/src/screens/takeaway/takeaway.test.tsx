import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, evaluate, kittiwake, lantern, sampleCatalogue } from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { refused, served } from '../../tests/served.ts';
import { TakeAwayScreen } from './TakeAwayScreen.tsx';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const open = (build: BuildDocument) => renderInBuild(build, <TakeAwayScreen />);
const part = () => within(screen.getByRole('region', { name: 'Import a file' }));
const choose = (text: string): Promise<void> =>
  userEvent.upload(
    part().getByLabelText('Build file'),
    new File([text], 'lantern.json', { type: 'application/json' }),
  );
const preview = 'POST /builds/test/import/preview';
const power = {
  path: ['brief', 'power'],
  before: { value: 168e3, unit: 'kW' },
  after: { value: 1.5e5, unit: 'kW' },
};

describe('papers', () => {
  test('are links to what the server makes, in the units of the reader', () => {
    served({});
    open(lantern);
    const addresses = ['Work order', 'Parts', 'Wires', 'Build file'].map((name) =>
      screen.getByRole('link', { name: new RegExp(`^${name}`) }).getAttribute('href'),
    );
    expect(addresses).toEqual([
      '/api/builds/test/work-sheet.pdf?units=metric',
      '/api/builds/test/parts.csv',
      '/api/builds/test/wires.csv',
      '/api/builds/test/build.json',
    ]);
  });

  test('what a gauge reads is told for each circuit', () => {
    served({});
    open(kittiwake);
    const circuits = evaluate(kittiwake, sampleCatalogue).fluids.map(
      ({ design }) => design.circuit.name,
    );
    expect(circuits).toHaveLength(2);
    for (const name of circuits) {
      expect(screen.getAllByText(new RegExp(name)).length).toBeGreaterThan(0);
    }
  });
});

describe('a file that is imported over the build', () => {
  test('is first told by what it would change, in words and units, and can be left', async () => {
    const asked = served({ [preview]: { changes: [power], newItems: [] } });
    open(lantern);
    await choose('{"any": "file"}');
    expect(await part().findByText(/lantern\.json: 1 changes/)).toBeTruthy();
    const cells = part()
      .getAllByRole('cell')
      .map((cell) => cell.textContent);
    expect(cells[0]).toMatch(/power/i);
    expect(cells.slice(1)).toEqual(['168 kW', '150 kW']);
    await userEvent.click(part().getByRole('button', { name: 'Leave it' }));
    expect(part().queryByRole('table')).toBeNull();
    const written = asked.filter(({ method }) => method === 'POST');
    expect(written.map(({ path }) => path)).toEqual(['/builds/test/import/preview']);
  });

  test('is imported as it was read, onto the revision that is open', async () => {
    const asked = served({
      [preview]: { changes: [power], newItems: ['P999'] },
      'POST /builds/test/import': { id: 'test', revision: 2 },
      'GET /catalogue': sampleCatalogue,
    });
    open(lantern);
    await choose('{"any": "file"}');
    expect(await part().findByText(/new in the catalogue: P999/)).toBeTruthy();
    await userEvent.click(part().getByRole('button', { name: 'Import it' }));
    await waitFor(() => expect(part().queryByRole('table')).toBeNull());
    const sent = asked.find(({ path }) => path.startsWith('/builds/test/import?'))!;
    expect(sent).toEqual({
      method: 'POST',
      path: '/builds/test/import?baseRevision=1&generation=test',
      body: { any: 'file' },
    });
  });

  test('that says the same cannot be imported', async () => {
    served({ [preview]: { changes: [], newItems: [] } });
    open(lantern);
    await choose('{}');
    expect(await part().findByText(/nothing would change/)).toBeTruthy();
    const button = part().getByRole<HTMLButtonElement>('button', { name: 'Import it' });
    expect(button.disabled).toBe(true);
  });

  test('that is damaged is refused whole, each fault at its place', async () => {
    const issues = [
      { path: 'brief.power', message: 'has to be a quantity' },
      { path: 'version', message: 'is newer than this program' },
    ];
    served({ [preview]: refused(400, 'The file is damaged', issues) });
    open(lantern);
    await choose('{}');
    const alert = await part().findByRole('alert');
    expect(alert.textContent).toContain('nothing was changed');
    expect(
      within(alert)
        .getAllByRole('listitem')
        .map((each) => each.textContent),
    ).toEqual(['brief.power: has to be a quantity', 'version: is newer than this program']);
    // Another one is looked at afresh.
    served({ [preview]: { changes: [power], newItems: [] } });
    await choose('{}');
    expect(await part().findByText(/1 changes/)).toBeTruthy();
    expect(part().queryByRole('alert')).toBeNull();
  });
});
