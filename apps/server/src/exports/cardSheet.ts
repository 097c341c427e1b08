import {
  type Catalogue,
  type Caution,
  type MadeLine,
  type UnitSystem,
  type WorkCard,
  atBench,
  benchLength,
  formatMeasure,
  stepInWords,
  workCard,
} from '@brookrain/core';
import { type Pen, type SheetPage, sheetColours } from './sheetPage.ts';

type CardPage = Pick<
  SheetPage,
  'title' | 'text' | 'heading' | 'table' | 'drawing' | 'caution' | 'nextPage'
>;

/** The clock face is drawn so large in a room so wide, both in points of the drawing. */
const FACE = { radius: 42, room: 110, across: 515 };

/** How the two ends stand to one another, read like a clock: A at twelve. */
function clockFace(pen: Pen, clocking: number): void {
  const { radius, room } = FACE;
  const middle = room / 2;
  const at = (angle: number, length: number): readonly [number, number] => [
    middle + length * Math.sin(angle),
    middle - length * Math.cos(angle),
  ];
  pen.lineWidth(0.75).strokeColor(sheetColours.line).circle(middle, middle, radius).stroke();
  for (let hour = 0; hour < 12; hour++) {
    const angle = (hour * Math.PI) / 6;
    pen
      .moveTo(...at(angle, radius - (hour % 3 === 0 ? 6 : 3)))
      .lineTo(...at(angle, radius))
      .stroke();
  }
  pen.strokeColor(sheetColours.ink).lineWidth(2);
  pen
    .moveTo(middle, middle)
    .lineTo(...at(0, radius - 4))
    .stroke();
  pen.dash(5, { space: 3 });
  pen
    .moveTo(middle, middle)
    .lineTo(...at(clocking, radius - 4))
    .stroke()
    .undash();
  pen.fontSize(9).fillColor(sheetColours.ink);
  const letter = (text: string, angle: number): void => {
    const [x, y] = at(angle, radius + 7);
    pen.text(text, x - 3, y - 4, { lineBreak: false });
  };
  letter('A', 0);
  letter('B', clocking);
}

function writeCard(sheet: CardPage, card: WorkCard, buildName: string, units: UnitSystem): void {
  sheet.title(`Work card: ${card.name.toLowerCase()}`, `${buildName} · ${card.hose}`);
  const figures: readonly (readonly [string, string])[] = [
    ['Cut to', card.cut === undefined ? 'its ends are open' : benchLength(card.cut, units)],
    [
      'Known to ±',
      card.uncertainty === undefined ? 'not on the map' : benchLength(card.uncertainty, units),
    ],
    [
      'Clocking, A to B, clockwise',
      card.clocking === undefined
        ? card.clockedInPlace
          ? 'at the vehicle'
          : 'none: an end is straight'
        : formatMeasure({ value: card.clocking, kind: 'angle' }, units),
    ],
    [
      'Test with liquid',
      card.testPressure === undefined
        ? 'leak test only'
        : atBench({ value: card.testPressure, kind: 'pressure' }, units),
    ],
  ];
  sheet.table(
    figures.map(([title]) => ({ title, width: 128 })),
    [figures.map(([, value]) => value)],
  );
  if (card.clocking !== undefined) {
    const { clocking } = card;
    sheet.drawing(FACE.across, FACE.room, (pen) => {
      clockFace(pen, clocking);
      pen
        .fontSize(9)
        .fillColor(sheetColours.ink)
        .text(
          'Look along the hose from end A, its nose up: B’s nose points where the dashed hand does. Clocked wrong it twists.',
          FACE.room + 14,
          FACE.room / 2 - 12,
          { width: 360 },
        );
    });
  }
  sheet.heading('Lay out');
  sheet.table(
    [
      { title: 'Count', width: 50, align: 'right' },
      { title: 'Part', width: 360 },
    ],
    [
      [card.cut === undefined ? '' : benchLength(card.cut, units), card.hose],
      ...card.parts.map(({ words, count }) => [`${count}`, words]),
    ],
  );
  sheet.heading('Steps');
  sheet.table(
    [
      { title: '', width: 22, align: 'right' },
      { title: 'Step', width: 118 },
      { title: 'How', width: 310 },
      { title: 'Done', width: 60 },
    ],
    card.steps.map((step, i) => [`${i + 1}`, step.title, stepInWords(step, units), '']),
  );
}

/** One page a line, for the bench. */
export function writeCards(input: {
  sheet: CardPage & Pick<SheetPage, 'finish'>;
  buildName: string;
  lines: readonly MadeLine[];
  catalogue: Catalogue;
  units: UnitSystem;
  cautions: readonly Caution[];
}): void {
  const { sheet, lines, catalogue, buildName, units } = input;
  lines.forEach((line, i) => {
    if (i > 0) sheet.nextPage();
    writeCard(sheet, workCard(line, catalogue), buildName, units);
    sheet.heading('Cautions');
    for (const { when, text } of input.cautions) sheet.caution(when, text);
  });
  sheet.finish();
}
