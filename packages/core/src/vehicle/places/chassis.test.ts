import { describe, expect, test } from 'vitest';
import type { Placement } from '../../model/index.ts';
import { figureNames, single } from '../../results/index.ts';
import { bestLength } from './bestLength.ts';

const place = (id: string, x: number, y: number, z: number): Placement => ({
  id,
  name: id,
  x: { value: x, unit: 'mm' },
  y: { value: y, unit: 'mm' },
  z: { value: z, unit: 'mm' },
  zone: 'body',
  movesWithEngine: false,
  heading: null,
  pitch: null,
  fixing: null,
});
const m = (value: number) => ({ value, unit: 'm' });
const from = place('a', 0, 0, 0.5);
const to = place('b', 3, -0.5, 1);
const name = figureNames(single('line.length', 'line.mapLength'));
const figures = { length: name('line.length'), mapLength: name('line.mapLength') };
const best = (length: Parameters<typeof bestLength>[0]['length']) =>
  bestLength({ figures, label: 'Line', length, from, to, path: ['x'] });

describe('best known length', () => {
  test('is measured before typed before the map', () => {
    expect(best({ typed: m(5), measured: m(4.2) })).toMatchObject({
      value: 4.2,
      source: 'measured',
    });
    expect(best({ typed: m(5), measured: null })).toMatchObject({ value: 5, source: 'typed' });
    expect(best({ typed: null, measured: null })).toMatchObject({ source: 'map' });
  });

  test('the map goes along the axes and a tenth more', () => {
    expect(best({ typed: null, measured: null }).value).toBeCloseTo(1.1 * (3 + 0.5 + 0.5), 12);
  });

  test('the estimate stays visible beside what was measured', () => {
    const [used, estimate] = best({ typed: null, measured: m(4.2) }).results;
    expect(used.value).toBe(4.2);
    expect(estimate.value).toBeCloseTo(4.4, 12);
    expect(used.working.inputs[0]!.from).toContain('document:x.measured');
  });

  test('two things at one place are still a hand apart', () => {
    const same = bestLength({
      figures,
      label: 'l',
      length: { typed: null, measured: null },
      from,
      to: from,
      path: ['x'],
    });
    expect(same.value).toBe(0.15);
  });

  test('does not depend on which end is named first', () => {
    const back = bestLength({
      figures,
      label: 'l',
      length: { typed: null, measured: null },
      from: to,
      to: from,
      path: ['x'],
    });
    expect(back.value).toBeCloseTo(best({ typed: null, measured: null }).value, 12);
  });
});
