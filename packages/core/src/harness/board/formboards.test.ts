import { describe, expect, test } from 'vitest';
import { drawingSvg } from '../../electrics/index.ts';
import { demoBuilds } from '../../exchange/index.ts';
import { type BuildDocument, readBuild } from '../../model/index.ts';
import { boardPaperKinds, boardPapers, boardTiles } from './boardTiles.ts';
import { formboards } from './formboards.ts';
import { doCross } from './planeSegments.ts';
import { evaluated } from '../../tests/evaluated.ts';

const boardsOf = (document: BuildDocument) => {
  const { led, harness, electrics } = evaluated(document);
  const { harness: decided, placements } = readBuild(document);
  const input = { buildName: document.name, led, harness, electrics, decided, placements };
  return { led, harness, boards: formboards(input) };
};

describe.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
  'the boards of %s',
  (_, document) => {
    const { led, harness, boards } = boardsOf(document);

    test('have every segment once, as long as it is, and none crosses another', () => {
      const ids = boards.flatMap(({ piece }) => piece.edges.map(({ id }) => id)).sort();
      expect(ids).toEqual(led.segments.map(({ id }) => id).sort());
      for (const { piece, drawing } of boards) {
        const drawn = piece.edges.map(({ from, to }) => [
          drawing.places.get(from)!,
          drawing.places.get(to)!,
        ]) as unknown as [readonly [number, number], readonly [number, number]][];
        piece.edges.forEach(({ id }, i) => {
          const [a, b] = drawn[i]!;
          const { length } = led.segments.find((segment) => segment.id === id)!;
          expect(Math.abs(Math.hypot(b[0] - a[0], b[1] - a[1]) - 1e3 * length.value)).toBeLessThan(
            0.1,
          );
          expect(drawn.slice(0, i).filter((other) => doCross(drawn[i]!, other))).toEqual([]);
        });
      }
    });

    test('have every plug of the harness on one of them, with its face and the side stated', () => {
      const plugs = boards.flatMap(({ piece }) => piece.nodes.flatMap((node) => node.plugs));
      const nodes = new Set(led.segments.flatMap(({ from, to }) => [from, to]));
      const inHarness = harness.connectors.filter(({ placementId }) =>
        nodes.has(`place ${placementId}`),
      );
      expect(plugs.map(({ id }) => id).sort()).toEqual(inHarness.map(({ id }) => id).sort());
      for (const { piece, drawing } of boards) {
        const texts = drawing.shapes.flatMap((shape) =>
          shape.kind === 'text' ? [shape.text] : [],
        );
        const own = piece.nodes.flatMap((node) => node.plugs);
        expect(texts.filter((text) => text.startsWith('wire side, '))).toHaveLength(own.length);
        for (const plug of own) {
          expect(
            texts.some((text) => text.endsWith(` ${plug.name}`)),
            plug.name,
          ).toBe(true);
        }
        expect(texts).toContain('100 mm');
      }
    });

    test('say beside each bundle what it is, and never across one', () => {
      const names = new Map(readBuild(document).harness.segments.map((s) => [s.id, s.name]));
      for (const { piece, drawing } of boards) {
        const texts = drawing.shapes.flatMap((shape) => (shape.kind === 'text' ? [shape] : []));
        const ways = piece.edges.map(({ from, to }) =>
          [from, to].map((node) => drawing.places.get(node)!),
        );
        piece.edges.forEach(({ id }, i) => {
          const [a, b] = ways[i]!;
          const away = ({ at }: { at: readonly number[] }): number =>
            Math.hypot(at[0]! - (a![0] + b![0]) / 2, at[1]! - (a![1] + b![1]) / 2);
          const name = names.get(id)!;
          const [own] = texts.filter(({ text }) => text === name).sort((p, q) => away(p) - away(q));
          // Letters are about 1.7 mm wide and 3 mm high.
          const half = (name.length * 1.7) / 2;
          const [x, y] = own!.at;
          const crossed = ways.filter(([p, q]) =>
            Array.from({ length: 2000 }, (_, k) => k / 1999).some((t) => {
              const [u, v] = [0, 1].map((c) => p![c]! + t * (q![c]! - p![c]!)) as [number, number];
              return Math.abs(u - x) < half && v > y && v < y + 3;
            }),
          );
          expect(crossed, `${name} at ${own!.at.join()}`).toEqual([]);
        });
      }
    });

    test('a parted harness has a board on each side of its connectors, with one half on each', () => {
      const halves = harness.connectors.filter(({ partId }) =>
        harness.inline.some(({ part }) => part.id === partId),
      );
      expect(boards.length > 1).toBe(halves.length > 0);
      for (const { partId } of halves) {
        const at = boards.flatMap(({ piece }, i) =>
          piece.nodes.some((node) => node.plugs.some((plug) => plug.partId === partId)) ? [i] : [],
        );
        expect(at).toHaveLength(2);
      }
    });

    test.each(boardPaperKinds)('over sheets of %s lose nothing that is drawn', (paper) => {
      for (const { drawing } of boards) {
        const { tiles, step } = boardTiles(drawing, paper);
        const inside = ([x, y]: readonly [number, number]): boolean => {
          const [u, v] = [x - drawing.low[0], drawing.high[1] - y];
          return tiles.some(
            ({ left, top, width, height }) =>
              u >= left - 1e-6 &&
              u <= left + width + 1e-6 &&
              v >= top - 1e-6 &&
              v <= top + height + 1e-6,
          );
        };
        const lost: (readonly [number, number])[] = [];
        for (const shape of drawing.shapes) {
          if (shape.kind !== 'line') continue;
          const [from, to] = [shape.from, shape.to];
          for (let t = 0; t <= 1; t += 0.02) {
            const at = [from[0] + t * (to[0] - from[0]), from[1] + t * (to[1] - from[1])] as const;
            if (!inside(at)) lost.push(at);
          }
        }
        expect(lost).toEqual([]);
        const sheet = boardPapers[paper];
        for (const { left, top, width, height } of tiles) {
          expect(width).toBeLessThanOrEqual(sheet.across - 20 + 1e-9);
          expect(height).toBeLessThanOrEqual(sheet.down - 20 + 1e-9);
          expect(left / step[0]).toBeCloseTo(Math.round(left / step[0]), 6);
          expect(top / step[1]).toBeCloseTo(Math.round(top / step[1]), 6);
        }
        expect(new Set(tiles.map(({ name }) => name)).size).toBe(tiles.length);
      }
    });

    test('as SVG have every segment at its length in millimetres', () => {
      for (const { piece, drawing } of boards) {
        const svg = drawingSvg(drawing);
        const lengths = [...svg.matchAll(/<line ([^>]*)stroke-width="0.5"/g)].map(([, line]) => {
          const at = (key: string): number =>
            Number(new RegExp(`${key}="([^"]*)"`, 'u').exec(line!)![1]);
          return Math.hypot(at('x2') - at('x1'), at('y2') - at('y1'));
        });
        const wanted = piece.edges.map(({ length }) => 1e3 * length);
        expect(lengths).toHaveLength(wanted.length);
        lengths
          .sort((a, b) => a - b)
          .forEach((length, i) =>
            expect(Math.abs(length - wanted.toSorted((a, b) => a - b)[i]!)).toBeLessThan(0.1),
          );
        expect(svg).toMatch(/width="[\d.]+mm"/u);
      }
    });
  },
);
