import '../../tests/radixInJsdom.ts';
import { type CatalogueItem, newestOf, sampleCatalogue } from '@brookrain/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router';
import { Toaster } from 'sonner';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { choose, field, problems, press, type } from '../../tests/fields.ts';
import { refused, served } from '../../tests/served.ts';
import { BringInScreen } from './BringInScreen.tsx';
import { CatalogueScreen } from './CatalogueScreen.tsx';
import { ItemEditor } from './ItemEditor.tsx';
import { ItemScreen } from './ItemScreen.tsx';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const pumps = newestOf(sampleCatalogue, 'pump');
const older = pumps.find(({ id }) => id === 'P255')!;
/** The catalogue with a second revision of one pump, dearer than the first. */
const twice: readonly CatalogueItem[] = [
  ...sampleCatalogue.items,
  { ...older, revision: 2, price: older.price + 10 },
];

function open(address: string, more: Record<string, unknown> = {}, items = twice) {
  const asked = served({ 'GET /catalogue': { items }, ...more });
  render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <MemoryRouter initialEntries={[address]}>
        <Routes>
          <Route path="/catalogue/:category" element={<CatalogueScreen />} />
          <Route path="/catalogue/:category/new" element={<ItemEditor />} />
          <Route path="/catalogue/:category/bring-in" element={<BringInScreen />} />
          <Route path="/catalogue/:category/:itemId" element={<ItemScreen />} />
          <Route path="/catalogue/:category/:itemId/change" element={<ItemEditor />} />
        </Routes>
        <Toaster />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return asked;
}
const rows = () =>
  within(screen.getByRole('table', { name: 'Items' }))
    .getAllByRole('row')
    .slice(1);

describe('the parts of a kind', () => {
  test('are the newest revision of each', async () => {
    open('/catalogue/pump');
    await screen.findByRole('link', { name: 'P255' });
    expect(rows()).toHaveLength(pumps.length);
    expect(rows().find((row) => row.textContent.startsWith('P255'))!.textContent).toContain(
      'rev. 2',
    );
  });

  test('each kind says how many it has', async () => {
    open('/catalogue/pump');
    await screen.findByRole('link', { name: 'P255' });
    const kinds = within(screen.getByRole('navigation', { name: 'Categories' }));
    expect(kinds.getByRole('link', { name: /^Pumps/ }).textContent).toBe(`Pumps${pumps.length}`);
  });

  test('are found in all kinds at once, by all of the words', async () => {
    open('/catalogue/pump');
    await screen.findByRole('link', { name: 'P255' });
    const search = screen.getByLabelText('Search the catalogue');
    await userEvent.type(search, 'i650');
    await waitFor(() => expect(rows().length).toBe(2));
    expect(rows().map((row) => within(row).getByRole('link').textContent)).toEqual([
      'I650',
      'I650L',
    ]);
    await userEvent.type(search, ' zebra');
    expect(await screen.findByText('Nothing here by those words.')).toBeTruthy();
  });

  test('up to four are held against one another', async () => {
    open('/catalogue/pump');
    await screen.findByRole('link', { name: 'P255' });
    for (const { designation } of pumps.slice(0, 5)) {
      await userEvent.click(screen.getByRole('checkbox', { name: `Compare ${designation}` }));
    }
    const ticked = screen
      .getAllByRole('checkbox')
      .filter((box) => box.getAttribute('aria-checked') === 'true');
    // The fifth takes the place of the first.
    expect(ticked).toHaveLength(4);
    const [first] = pumps;
    expect(
      screen
        .getByRole('checkbox', { name: `Compare ${first!.designation}` })
        .getAttribute('aria-checked'),
    ).toBe('false');
  });
});

describe('one part', () => {
  const uses = [
    { buildId: 'lantern', name: 'Lantern', revision: 1, archived: false },
    { buildId: 'old', name: 'Old one', revision: 2, archived: true },
  ];
  const used = { 'GET /catalogue/items/P255/where-used': { uses } };

  test('is told as it is now, and as it was', async () => {
    open('/catalogue/pump/P255', used);
    expect(await screen.findByRole('heading', { level: 1, name: older.designation })).toBeTruthy();
    const price = () => screen.getByText('Price').nextSibling!.textContent;
    expect(price()).toBe(`${older.price + 10}`);
    await choose('Revision', 'revision 1');
    expect(price()).toBe(`${older.price}`);
  });

  test('says which builds use it; one that is behind is moved on as an edit of its own', async () => {
    const build = { id: 'lantern', revision: 7, document: { name: 'Lantern' } };
    const asked = open('/catalogue/pump/P255', {
      ...used,
      'GET /builds/lantern': build,
      'POST /builds/lantern/commands': { ...build, revision: 8 },
    });
    expect(await screen.findByRole('link', { name: 'Old one, archived' })).toBeTruthy();
    // Only the one that is behind.
    await userEvent.click(screen.getByRole('button', { name: 'Use revision 2' }));
    await waitFor(() => expect(asked.some(({ method }) => method === 'POST')).toBe(true));
    expect(asked.find(({ method }) => method === 'POST')!.body).toMatchObject({
      baseRevision: 7,
      command: { name: 'use-revision', itemId: 'P255', revision: 2 },
    });
    expect(await screen.findByText(/Lantern uses revision 2/)).toBeTruthy();
  });

  test('that is not there is said so', async () => {
    open('/catalogue/pump/P0');
    expect(await screen.findByText('There is no item "P0".')).toBeTruthy();
  });
});

describe('a part that is written down', () => {
  test('is kept only when every field is filled; each that is empty says so', async () => {
    const asked = open('/catalogue/fuse/new');
    await screen.findByRole('button', { name: 'Keep it' });
    await press('Keep it');
    expect(await screen.findByText(/fields are still empty\.$/)).toBeTruthy();
    expect(document.querySelectorAll('[aria-invalid="true"]').length).toBeGreaterThan(2);
    expect(asked.filter(({ method }) => method === 'POST')).toEqual([]);
  });

  test('a change is the next revision; in what unit it is typed does not matter', async () => {
    const asked = open('/catalogue/hose/HBR-6/change', {
      'POST /catalogue/items': ({ body }: { body: unknown }) => ({
        item: { ...(body as { item: object }).item, revision: 2 },
        isNew: true,
      }),
    });
    await screen.findByRole('button', { name: 'Keep as revision 2' });
    await type('Outside diameter', '0.63 in');
    await press('Keep as revision 2');
    await waitFor(() => expect(asked.some(({ method }) => method === 'POST')).toBe(true));
    const { item } = asked.find(({ method }) => method === 'POST')!.body as {
      item: Record<string, unknown>;
    };
    expect(item['outsideDiameter']).toBeCloseTo(0.63 * 0.0254, 9);
    const before = sampleCatalogue.items.find(({ id }) => id === 'HBR-6')!;
    expect(item).toEqual({ ...before, outsideDiameter: item['outsideDiameter'] });
    expect((await screen.findAllByText('HBR −6 is stored, revision 2')).length).toBeGreaterThan(0);
  });

  test.each(['pump/P255', 'injector/I650', 'ecu/LEAT34', 'wire/W2_5'])(
    'of %s that nobody touches, not a digit is changed',
    async (address) => {
      const asked = open(
        `/catalogue/${address}/change`,
        {
          'POST /catalogue/items': ({ body }: { body: unknown }) => ({
            item: (body as { item: object }).item,
            isNew: false,
          }),
        },
        sampleCatalogue.items,
      );
      await screen.findByRole('button', { name: 'Keep as revision 2' });
      await press('Keep as revision 2');
      await waitFor(() => expect(asked.some(({ method }) => method === 'POST')).toBe(true));
      const { item } = asked.find(({ method }) => method === 'POST')!.body as { item: object };
      const id = address.split('/')[1];
      expect(item).toEqual(sampleCatalogue.items.find((each) => each.id === id));
      expect((await screen.findAllByText('These data were there already')).length).toBeGreaterThan(
        0,
      );
    },
  );

  test('an id that is given stays: its revisions are found by it', async () => {
    open('/catalogue/hose/HBR-6/change');
    await screen.findByRole('button', { name: 'Keep as revision 2' });
    fireEvent.change(field('Id, short and unique'), { target: { value: 'HBR-7' } });
    expect(field('Id, short and unique').value).toBe('HBR-6');
  });

  test.each([
    ['Outside diameter', 'thick', /number/],
    ['Outside diameter', '15 kPa', /unit|mm/],
    ['Outside diameter', '3 m', /at most|to|up/],
  ])('%s of "%s" is refused there, and stays', async (label, text, words) => {
    const asked = open('/catalogue/hose/HBR-6/change');
    await screen.findByRole('button', { name: 'Keep as revision 2' });
    await type(label, text);
    await press('Keep as revision 2');
    await waitFor(() => expect(problems().join(' ')).toMatch(words));
    expect(field(label).value).toBe(text);
    expect(asked.filter(({ method }) => method === 'POST')).toEqual([]);
  });

  test('what the server finds wrong stands at its field', async () => {
    open('/catalogue/hose/HBR-6/change', {
      'POST /catalogue/items': refused(400, 'refused', [
        { path: 'item.outsideDiameter', message: 'is less than its bore' },
      ]),
    });
    await screen.findByRole('button', { name: 'Keep as revision 2' });
    await press('Keep as revision 2');
    expect(await screen.findByText('is less than its bore')).toBeTruthy();
    expect(field('Outside diameter').getAttribute('aria-invalid')).toBe('true');
  });

  test('the curve of a pump is read from a pasted table; a cell that is no number is marked', async () => {
    open('/catalogue/pump/P255/change');
    const table = await screen.findByLabelText<HTMLTextAreaElement>(/curve|Curve|flow/i, {
      selector: '#data-table',
    });
    const [header, first] = table.value.split('\n');
    expect(header).toBe('Voltage [V]\tPressure [kPa]\tFlow [L/h]\tCurrent [A]');
    expect(first).toBe('8\t0\t127.5\t3.1');
    fireEvent.change(table, {
      target: { value: `${header}\n12\t300\t110,5\t7,2\n12\t400\tmuch\t8,1` },
    });
    await waitFor(() => expect(table.getAttribute('aria-invalid')).toBe('true'));
    await press('Keep as revision 3');
    expect(await screen.findByText('Mend the marked cells of the table first.')).toBeTruthy();
  });
});

describe('a table that is imported', () => {
  const csvOf = (lines: readonly string[]): void => {
    fireEvent.change(screen.getByRole('textbox', { name: /^Table/ }), {
      target: { value: lines.join('\n') },
    });
  };
  const keep = () => screen.getByRole<HTMLButtonElement>('button', { name: /^Keep/ });

  test('is kept only when every cell holds', async () => {
    open('/catalogue/hose/bring-in');
    csvOf(['id,designation', 'X1,']);
    await waitFor(() => expect(screen.getByRole('table')).toBeTruthy());
    expect(keep().disabled).toBe(true);
  });

  test('a list goes to the server whole; what it refuses is listed', async () => {
    const asked = open('/catalogue/hose/bring-in', {
      'POST /catalogue/import': refused(400, 'items.0 is no item', [
        { path: 'items.0', message: 'is no item' },
        { path: 'items.1.price', message: 'has to be 0 or more' },
      ]),
    });
    csvOf(['[{"id": "X1"}]']);
    await waitFor(() => expect(keep().textContent).toBe('Keep the list'));
    await userEvent.click(keep());
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('Nothing was stored. items.0 is no item');
    expect(alert.textContent).toContain('items.1.price: has to be 0 or more');
    expect(asked.find(({ method }) => method === 'POST')!.path).toBe(
      '/catalogue/import?format=json',
    );
  });

  test('says how many were kept and how many were there, and shows their kind', async () => {
    open('/catalogue/hose/bring-in', {
      'POST /catalogue/import': { kept: [pumps[0]], unchanged: 3 },
    });
    csvOf(['[{"id": "X1"}]']);
    await waitFor(() => expect(keep().textContent).toBe('Keep the list'));
    await userEvent.click(keep());
    expect(await screen.findByText('1 item stored, 3 unchanged')).toBeTruthy();
    expect(await screen.findByRole('link', { name: 'P255' })).toBeTruthy();
  });
});
