import { inflateSync } from 'node:zlib';

/** A stroke on a page: both ends in mm from its upper left, and its width, mm. */
export interface PdfLine {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly width: number;
}
/** A closed curve on a page: its middle and its width, mm from the upper left. */
export interface PdfCircle {
  readonly x: number;
  readonly y: number;
  readonly wide: number;
}
/** A page of a PDF: its size in mm, the straight strokes and the closed curves on it. */
export interface PdfPage {
  readonly size: readonly [number, number];
  readonly lines: readonly PdfLine[];
  readonly circles: readonly PdfCircle[];
}

type Matrix = readonly [number, number, number, number, number, number];
const MM = 25.4 / 72;

const times = (a: Matrix, b: Matrix): Matrix => [
  a[0] * b[0] + a[1] * b[2],
  a[0] * b[1] + a[1] * b[3],
  a[2] * b[0] + a[3] * b[2],
  a[2] * b[1] + a[3] * b[3],
  a[4] * b[0] + a[5] * b[2] + b[4],
  a[4] * b[1] + a[5] * b[3] + b[5],
];

function drawnOn(content: string, height: number): Pick<PdfPage, 'lines' | 'circles'> {
  const lines: PdfLine[] = [];
  const circles: PdfCircle[] = [];
  let curve: (readonly [number, number])[] = [];
  const kept: { matrix: Matrix; width: number }[] = [];
  let state: { matrix: Matrix; width: number } = { matrix: [1, 0, 0, 1, 0, 0], width: 1 };
  let stack: number[] = [];
  let at: readonly [number, number] | undefined;
  let open: (readonly [readonly [number, number], readonly [number, number]])[] = [];
  const placed = (x: number, y: number): readonly [number, number] => {
    const [, , , , e, f] = times([1, 0, 0, 1, x, y], state.matrix);
    return [e * MM, (height - f) * MM];
  };
  for (const token of content.split(/\s+/)) {
    const number = Number(token);
    if (token !== '' && Number.isFinite(number)) {
      stack.push(number);
      continue;
    }
    const [a = 0, b = 0] = stack.slice(-2);
    if (token === 'q') kept.push(state);
    else if (token === 'Q') state = kept.pop() ?? state;
    else if (token === 'cm') {
      state = { ...state, matrix: times(stack.slice(-6) as unknown as Matrix, state.matrix) };
    } else if (token === 'w') state = { ...state, width: stack.at(-1) ?? 0 };
    else if (token === 'm') {
      at = placed(a, b);
      curve = [at];
    } else if (token === 'c') {
      at = placed(a, b);
      curve.push(at);
    } else if (token === 'l') {
      const to = placed(a, b);
      if (at) open.push([at, to]);
      at = to;
    } else if (token === 'S') {
      const scale = Math.hypot(state.matrix[0], state.matrix[1]) * MM;
      lines.push(...open.map(([from, to]) => ({ from, to, width: state.width * scale })));
      open = [];
      if (curve.length > 2) circles.push(circleOf(curve));
      curve = [];
    } else if (token === 'n' || token === 'f' || token === 'W') open = [];
    stack = [];
  }
  return { lines, circles };
}

function circleOf(points: readonly (readonly [number, number])[]): PdfCircle {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  return {
    x: (left + right) / 2,
    y: (Math.min(...ys) + Math.max(...ys)) / 2,
    wide: right - left,
  };
}

/** The pages of a PDF as this program writes them, with what is drawn on each. */
export function pdfPages(bytes: Buffer): readonly PdfPage[] {
  const text = bytes.toString('latin1');
  const objects = new Map(
    [...text.matchAll(/(\d+) 0 obj\n([\s\S]*?)\nendobj/g)].map(([, id = '', body = '']) => [
      id,
      body,
    ]),
  );
  const streamOf = (id: string): string => {
    const body = objects.get(id) ?? '';
    const from = body.indexOf('stream\n') + 'stream\n'.length;
    const data = Buffer.from(body.slice(from, body.lastIndexOf('\nendstream')), 'latin1');
    return body.includes('/FlateDecode') ? inflateSync(data).toString('latin1') : data.toString();
  };
  return [...objects.values()]
    .filter((body) => /\/Type \/Page\b(?!s)/.test(body))
    .map((body) => {
      const box = /\/MediaBox \[([^\]]*)\]/.exec(body)?.[1]?.trim().split(/\s+/).map(Number) ?? [];
      const [, , width = 0, height = 0] = box;
      const content = /\/Contents (\d+) 0 R/.exec(body)?.[1] ?? '';
      return { size: [width * MM, height * MM], ...drawnOn(streamOf(content), height) };
    });
}
