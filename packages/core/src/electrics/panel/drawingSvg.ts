import { type DrawnLayer, type FixingDrawing, TEXT_HEIGHT } from '../../vehicle/index.ts';

const strokes: Readonly<Record<DrawnLayer, string>> = {
  cut: 'stroke="#1c272c" stroke-width="0.35"',
  hole: 'stroke="#1c272c" stroke-width="0.25"',
  bend: 'stroke="#1c272c" stroke-width="0.25" stroke-dasharray="4 2"',
  part: 'stroke="#76827f" stroke-width="0.2" stroke-dasharray="1 1"',
  measure: 'stroke="#4a5960" stroke-width="0.15"',
  loom: 'stroke="#1c272c" stroke-width="0.5"',
  side: 'stroke="#76827f" stroke-width="0.2"',
  nail: 'stroke="#a63a0e" stroke-width="0.35"',
  plug: 'stroke="#1c272c" stroke-width="0.35"',
};
const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** A drawing as an SVG file, 1:1: its unit is a millimetre. */
export function drawingSvg({ shapes, low, high }: FixingDrawing): string {
  const [width, height] = [high[0] - low[0], high[1] - low[1]];
  const drawn = shapes.map((shape) => {
    switch (shape.kind) {
      case 'line':
        return `<line x1="${shape.from[0]}" y1="${-shape.from[1]}" x2="${shape.to[0]}" y2="${-shape.to[1]}" ${strokes[shape.layer]}/>`;
      case 'circle':
        return `<circle cx="${shape.centre[0]}" cy="${-shape.centre[1]}" r="${shape.radius}" fill="none" ${strokes[shape.layer]}/>`;
      case 'text': {
        const [x, y] = [shape.at[0], -shape.at[1]];
        const turn = shape.upright ? ` transform="rotate(-90 ${x} ${y})"` : '';
        return `<text x="${x}" y="${y}" font-size="${TEXT_HEIGHT}" text-anchor="middle"${turn}>${escaped(shape.text)}</text>`;
      }
    }
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="${low[0]} ${-high[1]} ${width} ${height}" font-family="sans-serif">`,
    ...drawn,
    '</svg>',
    '',
  ].join('\n');
}
