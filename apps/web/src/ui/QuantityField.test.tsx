import '../tests/inlineWorker.ts';
import {
  type BuildDocument,
  type Path,
  type QuantitySpec,
  documentSpec,
  echoQuantity,
  kittiwake,
  lantern,
  pathText,
  valueAt,
  walkSpec,
} from '@brookrain/core';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { renderInBuild } from '../tests/renderInBuild.tsx';
import { QuantityField } from './QuantityField.tsx';
import { TextField } from './TextField.tsx';

beforeEach(() => localStorage.clear());
afterEach(cleanup);
const field = () => screen.getByRole<HTMLInputElement>('textbox');

/** Every quantity of a build that stands under a declared label, one of each declaration. */
function quantitiesOf(document: BuildDocument) {
  const found = new Map<QuantitySpec, Path>();
  walkSpec(documentSpec, document, ({ spec, path }) => {
    if (spec.type === 'quantity' && spec.label !== undefined && !found.has(spec)) {
      found.set(spec, path);
    }
  });
  return [...found].map(([spec, path]) => ({ name: pathText(path), spec, path }));
}

const ofLantern = quantitiesOf(lantern);
const known = new Set(ofLantern.map(({ spec }) => spec));
const builds: readonly [string, BuildDocument, typeof ofLantern][] = [
  ['Lantern', lantern, ofLantern],
  [
    'Kittiwake that Lantern has not',
    kittiwake,
    quantitiesOf(kittiwake).filter(({ spec }) => !known.has(spec)),
  ],
];

describe.each(builds)('every quantity of %s', (_name, document, quantities) => {
  test.each(quantities)('$name has its declared name and says its value', (entry) => {
    const { path, spec } = entry;
    renderInBuild(document, <QuantityField path={path} />);
    const value = valueAt(document, path) as { value: number; unit: string } | null;
    const input = screen.getByLabelText<HTMLInputElement>(spec.label!);
    expect(input.value).toBe(value ? echoQuantity(value, spec.kind) : '');
    expect(input.getAttribute('aria-invalid')).toBe('false');
  });

  test.each(quantities.filter(({ spec }) => spec.max !== undefined))(
    '$name refuses what is beyond its limit, and keeps it in the field',
    async ({ path, spec }) => {
      const edited = renderInBuild(document, <QuantityField path={path} />);
      const text = '9000000000000';
      await userEvent.clear(field());
      await userEvent.paste(text);
      await userEvent.keyboard('{Enter}');
      expect(screen.getByRole('alert').textContent).toContain(spec.message);
      expect(field().value).toBe(text);
      expect(field().getAttribute('aria-describedby')).toBe(screen.getByRole('alert').id);
      expect(edited.commands).toEqual([]);
      await userEvent.type(field(), '{Escape}');
      expect(screen.queryByRole('alert')).toBeNull();
    },
  );
});

describe('a quantity', () => {
  const power = ['brief', 'power'];

  test('is taken in any unit and echoed as typed', async () => {
    const edited = renderInBuild(lantern, <QuantityField path={power} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '200 hp{Enter}');
    expect(edited.commands).toHaveLength(1);
    expect(edited.document.brief.power.unit).toBe('hp');
    expect(edited.document.brief.power.value / 1e3).toBeCloseTo(149.14, 1);
    expect(field().value).toBe('200 hp');
  });

  test('without a unit keeps the one it had', async () => {
    const edited = renderInBuild(lantern, <QuantityField path={power} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '150{Enter}');
    expect(edited.document.brief.power).toEqual({ value: 150e3, unit: 'kW' });
  });

  test.each(['ten', '12 furlongs', '1 kW 2'])('refuses "%s" with a reason', async (text) => {
    const edited = renderInBuild(lantern, <QuantityField path={power} />);
    await userEvent.clear(field());
    await userEvent.type(field(), `${text}{Enter}`);
    expect(screen.getByRole('alert').textContent!.length).toBeGreaterThan(5);
    expect(field().value).toBe(text);
    expect(edited.commands).toEqual([]);
  });

  test('that may be empty is emptied, and says what applies', async () => {
    const path = ['brief', 'lambdaFullLoad'];
    const set = {
      ...lantern,
      brief: { ...lantern.brief, lambdaFullLoad: { value: 0.8, unit: '' } },
    };
    const edited = renderInBuild(set, <QuantityField path={path} whenEmpty="0.85" />);
    await userEvent.clear(field());
    await userEvent.tab();
    expect(edited.document.brief.lambdaFullLoad).toBeNull();
    expect(field().value).toBe('');
    expect(field().placeholder).toBe('0.85');
  });

  test('a bare share typed into a field of percent is that share', async () => {
    const edited = renderInBuild(lantern, <QuantityField path={['limits', 'injectorDuty']} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '0.85{Enter}');
    expect(edited.document.limits.injectorDuty).toEqual({ value: 0.85, unit: '%' });
    expect(field().value).toBe('85 %');
  });

  test('left as it was makes no edit', async () => {
    const edited = renderInBuild(lantern, <QuantityField path={power} />);
    await userEvent.click(field());
    await userEvent.tab();
    expect(edited.commands).toEqual([]);
  });

  test('of a path that holds none is a mistake of the screen', () => {
    expect(() => renderInBuild(lantern, <QuantityField path={['name']} />)).toThrow('no quantity');
  });
});

describe('a text', () => {
  test('is committed on leaving the field', async () => {
    const edited = renderInBuild(lantern, <TextField path={['name']} />);
    await userEvent.clear(field());
    await userEvent.type(field(), 'Lantern, second try');
    expect(edited.commands).toEqual([]);
    await userEvent.tab();
    expect(edited.document.name).toBe('Lantern, second try');
  });

  test('that is too short is refused and stays', async () => {
    const edited = renderInBuild(lantern, <TextField path={['name']} />);
    await userEvent.clear(field());
    await userEvent.tab();
    expect(screen.getByRole('alert').textContent!.length).toBeGreaterThan(5);
    expect(edited.commands).toEqual([]);
  });

  test('of nothing but blanks is no name', async () => {
    const edited = renderInBuild(lantern, <TextField path={['name']} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '   {Enter}');
    expect(screen.getByRole('alert').textContent).toBe('must hold more than blanks');
    expect(edited.commands).toEqual([]);
  });

  test('words are no whole number, and are told so', async () => {
    renderInBuild(lantern, <TextField path={['brief', 'cylinders']} />);
    await userEvent.clear(field());
    await userEvent.type(field(), 'four{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('in figures, such as 4');
  });

  test.each(['4.5', 'four', '0', '99'])('a whole number refuses %s', async (text) => {
    const edited = renderInBuild(lantern, <TextField path={['brief', 'cylinders']} />);
    await userEvent.clear(field());
    await userEvent.type(field(), `${text}{Enter}`);
    expect(screen.getByRole('alert').textContent!.length).toBeGreaterThan(5);
    expect(edited.document.brief.cylinders).toBe(lantern.brief.cylinders);
  });
});
