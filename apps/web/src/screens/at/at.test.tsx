import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type RecordEntry, lantern, sandpiper, withValueAt } from '@brookrain/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { type ReactNode, useMemo, useState } from 'react';
import { afterEach, describe, expect, test } from 'vitest';
import { RecordContext } from '../../record/RecordContext.tsx';
import type { OpenRecord, Said } from '../../record/useRecord.ts';
import { choose } from '../../tests/fields.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { AtHome } from './AtHome.tsx';
import { BuzzPage } from './BuzzPage.tsx';
import { CutPage } from './CutPage.tsx';
import { MeasurePage } from './MeasurePage.tsx';
import { PinPage } from './PinPage.tsx';
import { cavitiesToPin, workDone } from './workDone.ts';
import { ReadingPage } from './ReadingPage.tsx';

afterEach(cleanup);

/** A record in memory, with what was said in a test. */
function InRecord({ said, children }: { said: Said[]; children: ReactNode }) {
  const [entries, setEntries] = useState<readonly RecordEntry[]>([]);
  const record = useMemo(
    (): OpenRecord => ({
      entries,
      waiting: 0,
      unreachable: false,
      say: (each) => {
        said.push(each);
        const entry: RecordEntry = {
          id: `entry-${said.length}`,
          corrects: null,
          revision: 1,
          author: '',
          time: '2026-11-27T10:00:00.000Z',
          ...each,
        };
        setEntries((before) => [...before, entry]);
      },
    }),
    [entries, said],
  );
  return <RecordContext value={record}>{children}</RecordContext>;
}

const renderAt = (document: typeof sandpiper, page: ReactNode, address = '/') => {
  const said: Said[] = [];
  const edited = renderInBuild(document, <InRecord said={said}>{page}</InRecord>, address);
  return { said, edited };
};
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

describe('the next wire', () => {
  test('is told one after another; one that was not cut comes back', async () => {
    const { said } = renderAt(sandpiper, <CutPage />);
    const first = (await screen.findByLabelText('Cut to')).textContent;
    const heading = screen.getByRole('heading', { level: 1 }).textContent;
    await press('It is cut');
    expect(said).toMatchObject([{ kind: 'cut' }]);
    expect(screen.getByRole('heading', { level: 1 }).textContent).not.toBe(heading);
    await press('It was not');
    expect(said[1]).toMatchObject({ corrects: 'entry-1', said: { takenBack: true } });
    expect(screen.getByLabelText('Cut to').textContent).toBe(first);
  });

  test('can be left for later, and comes after all others', async () => {
    renderAt(sandpiper, <CutPage />);
    await screen.findByLabelText('Cut to');
    const number = () => screen.getByText(/^Mark both ends with/).textContent;
    const first = number();
    await press('Later');
    expect(number()).not.toBe(first);
  });
});

test('what a sleeve of a part asks is told at its end: contact, seal, what it has to hold', async () => {
  renderAt(sandpiper, <CutPage />);
  await screen.findByLabelText('Cut to');
  expect(screen.getAllByText(/Contact .*holds \d+ N/).length).toBeGreaterThan(0);
});

test('a plug is pinned cavity by cavity, each lit when it is its turn', async () => {
  const { said } = renderAt(sandpiper, <PinPage />, '/?plug=coolant');
  expect(await screen.findByText('Cavity 1, 2 to go')).toBeDefined();
  await press(/^It sits/);
  expect(await screen.findByText('Cavity 2, 1 to go')).toBeDefined();
  await press(/^It sits/);
  expect(await screen.findByText(/^Every contact is seated/)).toBeDefined();
  expect(said.map(({ subject }) => subject)).toEqual(['coolant:1', 'coolant:2']);
  // The one that was said last is taken back, whatever its place on the face.
  await press('The last one does not sit');
  expect(said.at(-1)).toMatchObject({ subject: 'coolant:2', corrects: 'entry-2' });
  expect(await screen.findByText('Cavity 2, 1 to go')).toBeDefined();
});

test('a cavity that another wire belongs into by now is not done', () => {
  const cavity = { pin: '1', node: 'plug:1', wire: 7, wireId: 'new~1' };
  const plug = { id: 'plug', name: 'Plug', family: 'S1.5', placementId: '', cavities: [cavity] };
  const pinned = (wire: string): RecordEntry => ({
    id: `entry-${wire}`,
    kind: 'pinned',
    subject: 'plug:1',
    said: { wire, number: 7 },
    corrects: null,
    revision: 1,
    author: '',
    time: '2026-11-27T10:00:00.000Z',
  });
  expect(cavitiesToPin(plug, workDone([pinned('old~1')]))).toHaveLength(1);
  expect(cavitiesToPin(plug, workDone([pinned('old~1'), pinned('new~1')]))).toEqual([]);
});

test('a wire that does not beep stands in its list until it is tried again', async () => {
  const { said } = renderAt(sandpiper, <BuzzPage />);
  await screen.findByRole('button', { name: 'It beeps' });
  await press('No beep');
  const broken = await screen.findByRole('region', { name: 'Do not beep' });
  await userEvent.click(within(broken).getByRole('button', { name: 'Try it again' }));
  expect(screen.queryByRole('region', { name: 'Do not beep' })).toBeNull();
  expect(said.map(({ kind }) => kind)).toEqual(['buzzed', 'buzzed']);
});

test('a second reading says only afterwards whether it is as planned', async () => {
  const { said } = renderAt(sandpiper, <ReadingPage />);
  await screen.findByRole('button', { name: 'Keep it' });
  expect(screen.queryByRole('status')).toBeNull();
  await choose('Connector at the other end', 'nowhere: no connection');
  await press('Keep it');
  expect((await screen.findByRole('status')).textContent).toMatch(/is not as planned/);
  expect(said[0]).toMatchObject({ kind: 'read', said: { to: null } });
  // Taken back it says nothing, least of all that it is as planned.
  await press('Mended: read it again');
  expect(screen.queryByRole('status')).toBeNull();
});

test('volts of a wire found, and a way with a string, are measured into the build', async () => {
  const first = Object.keys(lantern.vehicleSignals)[0]!;
  const { edited, said } = renderAt(
    withValueAt(lantern, `vehicleSignals.${first}.run`, null),
    <MeasurePage />,
    `/?signal=${first}`,
  );
  const run = await screen.findByLabelText('Run');
  await userEvent.clear(run);
  await userEvent.type(run, '12.4{Enter}');
  expect(edited.document.vehicleSignals[first]!.run!.value).toBeCloseTo(12.4, 9);
  // It stays told when another is taken.
  await userEvent.clear(run);
  await userEvent.type(run, '11.9{Enter}');
  const subject = `vehicleSignals.${first}.run`;
  expect(said).toEqual([
    { kind: 'measured', subject, said: { value: 12.4, unit: 'V' } },
    { kind: 'measured', subject, said: { value: 11.9, unit: 'V' } },
  ]);
  const readings = within(screen.getByRole('region', { name: 'Readings' })).getAllByRole(
    'listitem',
  );
  expect(readings.map(({ textContent }) => textContent!.slice(0, 11))).toEqual([
    'Run: 11.9 V',
    'Run: 12.4 V',
  ]);
  cleanup();
  const segment = Object.keys(lantern.harness.segments)[0]!;
  const second = renderAt(lantern, <MeasurePage />, `/?segment=${segment}`);
  const length = await screen.findByLabelText('By string');
  await userEvent.clear(length);
  await userEvent.type(length, '640{Enter}');
  expect(second.edited.document.harness.segments[segment]!.measured!.value).toBeCloseTo(0.64, 9);
  // Told in the unit in which it was read, whatever lengths are shown in.
  await userEvent.clear(length);
  await userEvent.type(length, '2 ft{Enter}');
  expect(
    within(screen.getByRole('region', { name: 'Readings' })).getAllByRole('listitem')[0]!
      .textContent,
  ).toContain(': 2 ft');
});

test('the pages say how far each has come', async () => {
  renderAt(sandpiper, <AtHome />);
  expect(await screen.findByText(/^2 of \d+ wires are cut$/)).toBeDefined();
  expect(screen.getByText(/^0 of \d+ wires beep$/)).toBeDefined();
});
