import { type DrawnLayer, type DrawnShape, TEXT_HEIGHT } from '@brookrain/core';
import { type Pen, sheetColours } from './sheetPage.ts';

const pens: Readonly<Record<DrawnLayer, readonly [colour: string, width: number, dash?: number]>> =
  {
    cut: [sheetColours.ink, 0.5],
    hole: [sheetColours.ink, 0.4],
    bend: [sheetColours.ink, 0.3, 3],
    part: [sheetColours.line, 0.3, 1],
    measure: [sheetColours.second, 0.2],
    loom: [sheetColours.ink, 0.5],
    side: [sheetColours.line, 0.2],
    nail: [sheetColours.signal, 0.35],
    plug: [sheetColours.ink, 0.35],
  };

/** A shape of a drawing on paper, in a pen whose unit is a millimetre over `scale`. */
export function drawShape(pen: Pen, shape: DrawnShape, scale: number): void {
  const [colour, width, dash] = pens[shape.layer];
  if (shape.kind === 'text') {
    const [x, y] = shape.at;
    const size = TEXT_HEIGHT * scale;
    pen.fillColor(colour).fontSize(size);
    const wide = pen.widthOfString(shape.text);
    pen.save().translate(x, -y);
    if (shape.upright) pen.rotate(-90);
    pen.text(shape.text, -wide / 2, -size * 1.15, { lineBreak: false });
    pen.restore();
    return;
  }
  pen.strokeColor(colour).lineWidth(width * scale);
  if (dash === undefined) pen.undash();
  else pen.dash(dash * scale, { space: dash * scale * 0.6 });
  if (shape.kind === 'line') {
    pen.moveTo(shape.from[0], -shape.from[1]).lineTo(shape.to[0], -shape.to[1]).stroke();
  } else pen.circle(shape.centre[0], -shape.centre[1], shape.radius).stroke();
  pen.undash();
}
