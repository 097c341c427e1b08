import { describe, expect, test } from 'vitest';
import { applyCommand } from './commands/applyCommand.ts';
import { lantern, sampleCatalogue } from '../exchange/index.ts';
import { withAcceptances } from './acceptance.ts';
import { type Acceptance, type BuildFinding, withValueAt } from '../model/index.ts';
import { evaluate } from './evaluate.ts';
import { ripple } from './ripple.ts';

const accepting = (measured: number | null) => ({
  title: 'x',
  reason: 'driven in the hills only',
  author: 'Mika',
  time: '2026-11-23T10:00:00.000Z',
  measured,
});
const acceptance = (findingId: string, measured: number | null): Acceptance => ({
  findingId,
  ...accepting(measured),
});
const finding = (input: Partial<BuildFinding>): BuildFinding => ({
  id: 'a',
  rule: 'a',
  severity: 'warn',
  where: { stage: 'pump', circuit: 'main', element: 'pump' },
  title: 'x',
  because: 'x',
  numbers: {},
  cures: () => [],
  ...input,
});
const pressure = (value: number) => ({ value, kind: 'pressure' as const });
const marked = (input: Partial<BuildFinding>, measured: number | null): BuildFinding =>
  withAcceptances([finding(input)], [acceptance('a', measured)])[0]!;

describe('an acceptance', () => {
  test.each([
    // measured below its limit: less is worse
    [{ measured: pressure(6000), limit: pressure(10_000) }, 6000, true],
    [{ measured: pressure(5980), limit: pressure(10_000) }, 6000, true],
    [{ measured: pressure(7000), limit: pressure(10_000) }, 6000, true],
    [{ measured: pressure(5900), limit: pressure(10_000) }, 6000, false],
    // measured above its limit: more is worse
    [{ measured: pressure(40_000), limit: pressure(35_000) }, 38_000, false],
    [{ measured: pressure(36_000), limit: pressure(35_000) }, 38_000, true],
    // close to a limit that it has not reached: the finding says which way is worse
    [{ measured: pressure(79), limit: pressure(80), worse: 'higher' as const }, 77, false],
    [{ measured: pressure(76), limit: pressure(80), worse: 'higher' as const }, 77, true],
    // nothing measured: it holds
    [{}, null, true],
  ])('of %j accepted at %s holds: %s', (input, accepted, holds) => {
    const result = marked(input, accepted);
    expect(result.accepted !== undefined).toBe(holds);
    expect(result.reopened !== undefined).toBe(!holds);
  });

  test('does not hold once the finding is a stop', () => {
    expect(marked({ severity: 'stop' }, null).reopened).toMatchObject({ author: 'Mika' });
  });

  test('leaves other findings alone', () => {
    const untouched = finding({ id: 'b' });
    const [other] = withAcceptances([untouched], [acceptance('a', null)]);
    expect(other).toEqual(untouched);
  });

  test('made by the command, is opened again by hotter fuel and gone when withdrawn', () => {
    const id = 'suction.head:pump';
    const find = (build: typeof lantern) =>
      evaluate(build, sampleCatalogue).findings.find((f) => f.id === id)!;
    const hot = withValueAt(lantern, 'brief.fuelTemperatureHot', { value: 319.4, unit: '°C' });
    const open = find(hot);
    expect(open.severity).toBe('warn');
    const accepted = applyCommand(hot, {
      name: 'accept-finding',
      findingId: id,
      acceptance: accepting(open.measured!.value),
    }).document;
    expect(find(accepted).accepted?.reason).toBe('driven in the hills only');
    const hotter = withValueAt(accepted, 'brief.fuelTemperatureHot', {
      value: 320.9,
      unit: '°C',
    });
    expect(find(hotter).accepted).toBeUndefined();
    expect(find(hotter).reopened?.author).toBe('Mika');
    const withdrawn = applyCommand(hotter, { name: 'withdraw-acceptance', findingId: id }).document;
    expect(find(withdrawn)).not.toHaveProperty('reopened');
  });

  test('of the same finding twice keeps the newer one', () => {
    const once = applyCommand(lantern, {
      name: 'accept-finding',
      findingId: 'a',
      acceptance: accepting(1),
    });
    const twice = applyCommand(once.document, {
      name: 'accept-finding',
      findingId: 'a',
      acceptance: accepting(2),
    });
    expect(Object.keys(twice.document.acceptances)).toEqual(['a']);
    expect(twice.document.acceptances['a']!.measured).toBe(2);
  });
});

describe('the ripple', () => {
  const compared = (findings: readonly BuildFinding[]) => ({ results: [], findings });
  const warning = { measured: pressure(36_000), limit: pressure(35_000) };
  const holding = marked(warning, 38_000);
  const broken = marked({ ...warning, measured: pressure(40_000) }, 38_000);

  test('tells an acceptance that opens again', () => {
    expect(ripple(compared([holding]), compared([broken]))).toMatchObject([
      { id: 'a', before: 'warn', after: 'warn', reopened: true },
    ]);
  });

  test('is quiet while it holds, and when a person takes it back', () => {
    expect(ripple(compared([holding]), compared([holding]))).toEqual([]);
    expect(ripple(compared([holding]), compared([finding(warning)]))).toEqual([]);
  });
});
