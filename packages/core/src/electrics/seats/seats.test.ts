import { describe, expect, test } from 'vitest';
import { evaluate } from '../../evaluation/index.ts';
import { lantern, sampleCatalogue } from '../../exchange/index.ts';
import { shoppingList } from '../../plumbing/index.ts';
import { type BuildDocument, readBuild, withValueAt } from '../../model/index.ts';
import { lookalike, sensorSeat } from './sensorSeats.ts';
import { seatTools, seatWorks } from './seatWork.ts';
import { drillInWords, toolInWords } from './toolInWords.ts';

const threads = [
  ['1/8-27 NPT', 8.6, 27],
  ['1/4-18 NPT', 11.1, 18],
  ['3/8-18 NPT', 14.5, 18],
  ['1/2-14 NPT', 18.0, 14],
  ['M8×1.25', 6.8, 0],
  ['M10×1', 9.0, 0],
  ['M12×1.5', 10.5, 0],
  ['M14×1.5', 12.5, 0],
  ['M18×1.5', 16.5, 0],
] as const;

describe('the seat of a thread', () => {
  test.each(threads)('%s is drilled as the trade has it, %d mm', (thread, drill) => {
    const seat = sensorSeat(thread)!;
    expect(seat.drill * 1e3).toBeCloseTo(drill, 9);
    // Metal is left to cut the thread in, and never less than a pad of 5 mm.
    expect(seat.drill).toBeLessThan(seat.diameter);
    expect(seat.leastWall).toBeGreaterThanOrEqual(5e-3);
  });

  test.each(threads.filter(([thread]) => thread.startsWith('M')))(
    'the drill for %s is its diameter less its pitch, to a tenth or two',
    (thread) => {
      const [diameter, pitch] = thread.slice(1).split('×').map(Number);
      const { drill } = sensorSeat(thread)!;
      expect(Math.abs(drill * 1e3 - (diameter! - pitch!))).toBeLessThanOrEqual(0.1);
    },
  );

  test.each(threads.filter(([, , turns]) => turns > 0))(
    '%s holds by at least six turns of its taper',
    (thread, _drill, perInch) => {
      const { leastWall } = sensorSeat(thread)!;
      expect(leastWall / (25.4e-3 / perInch)).toBeGreaterThan(6);
    },
  );

  test('nothing is drilled for a flange, and the thread that looks alike is named', () => {
    expect(sensorSeat('flange')).toBeUndefined();
    expect(sensorSeat('none')).toBeUndefined();
    expect(lookalike('1/8-27 NPT')).toContain('1/8-28 BSPT');
    expect(lookalike('M10×1')).toBe('');
  });
});

const listOf = (build: BuildDocument) =>
  shoppingList({
    ...evaluate(build, sampleCatalogue).parts,
    shelf: [],
    offcuts: [],
    catalogue: sampleCatalogue,
  });
const quantityOf = (build: BuildDocument, item: string): number =>
  listOf(build).lines.find((line) => line.item.id === item)?.needed ?? 0;

describe('what the seats of a build take', () => {
  const seat = (id: string, kind: string) => withValueAt(lantern, ['devices', id, 'seat'], kind);

  test('a boss for each that is welded on, of its thread', () => {
    const bosses = (build: BuildDocument) => quantityOf(build, 'WB18') + quantityOf(build, 'WB14');
    const welded = Object.values(lantern.devices).filter((device) => device.seat === 'boss');
    expect(welded.length).toBeGreaterThan(0);
    expect(bosses(lantern)).toBe(welded.length);
    expect(bosses(seat('wideband', 'there'))).toBe(welded.length - 1);
  });

  test('drill and tap for each thread that is cut, once for all that share it', () => {
    const { tools } = listOf(lantern);
    expect(tools.map((tool) => toolInWords(tool, 'metric'))).toEqual([
      'Tapping drill 8.6 mm for 1/8-27 NPT',
      'Tap 1/8-27 NPT',
    ]);
    const more = listOf(seat('coolant', 'tapped')).tools;
    expect(more.map(({ thread }) => thread)).toEqual([
      '1/8-27 NPT',
      '1/8-27 NPT',
      'M12×1.5',
      'M12×1.5',
    ]);
    expect(listOf(seat('oil-pressure', 'there')).tools).toEqual([]);
  });

  test('a washer under each new sensor of a parallel thread, none under what is clamped', () => {
    const works = seatWorks(readBuild(lantern).devices, sampleCatalogue);
    const byRole = new Map(works.map(({ item, seal }) => [item.role, seal]));
    expect(byRole.get('knock')).toBe('none');
    expect(byRole.get('oil pressure')).toBe('sealant');
    const washers = works.filter(({ seal }) => seal === 'sealing washer').length;
    const bought = listOf(lantern).lines.filter(
      ({ item }) => item.category === 'small-part' && item.form === 'sealing washer',
    );
    expect(bought.reduce((sum, { needed }) => sum + needed, 0)).toBe(washers);
  });

  test('nothing for what stays or goes', () => {
    const kept = withValueAt(seat('oil-pressure', 'tapped'), 'devices.oil-pressure.state', 'kept');
    expect(seatTools(seatWorks(readBuild(kept).devices, sampleCatalogue))).toEqual([]);
  });
});

test('drills are told to a tenth of a millimetre, or a thousandth of an inch', () => {
  expect(drillInWords(8.6e-3, 'metric')).toBe('8.6 mm');
  expect(drillInWords(12.7e-3, 'us')).toBe('0.5 in');
});
