import {
  type Brief,
  type BuildDocument,
  type Catalogue,
  type Evaluation,
  type Measure,
  type UnitSystem,
  cautionFacts,
  cautionsAt,
  disagreementInWords,
  formatMeasure,
  generalNotice,
  inductionInWords,
  readBuild,
  readsAs,
  wordsAgainstBrief,
} from '@brookrain/core';
import { circuitSection } from './circuitSection.ts';
import { injectorSection } from './injectorSection.ts';
import { readingsSection } from './readingsSection.ts';
import type { SheetPage } from './sheetPage.ts';
import { wiringSection } from './wiringSection.ts';

const m = (value: number, kind: Measure['kind']): Measure => ({ value, kind });

/** The engine as the brief has it, not as somebody once described it. */
function engineInWords(brief: Brief, units: UnitSystem): string {
  const boost =
    brief.aspiration === 'natural'
      ? ''
      : `, ${formatMeasure(m(brief.boost.value, 'pressure'), units)} of boost`;
  return [
    formatMeasure(m(brief.displacement.value, 'volume'), units),
    `${brief.cylinders} ${brief.cylinders === 1 ? 'cylinder' : 'cylinders'}`,
    brief.cycle,
    `${inductionInWords[brief.aspiration]}${boost}`,
    `${formatMeasure(m(brief.power.value, 'power'), units)} at ${formatMeasure(m(brief.powerSpeed.value, 'rotation'), units, 4)}`,
  ].join(', ');
}

/** Writes the work order of fuel and pump circuit: what to fit, set, connect, read. */
export function writeWorkSheet(input: {
  sheet: SheetPage;
  document: BuildDocument;
  catalogue: Catalogue;
  revision: number;
  evaluation: Evaluation;
  units: UnitSystem;
}): void {
  const { sheet, document, catalogue, evaluation, units } = input;
  const build = readBuild(document);
  const { brief } = build;
  const own = [brief.vehicle, brief.engine].filter((words) => words.trim() !== '').join('. ');
  sheet.title(
    `${document.name}: fuel and pump circuit`,
    `${engineInWords(brief, units)}. Revision ${input.revision}.${own === '' ? '' : ` In the build's own words: ${own}.`}`,
  );
  const words = { ...brief, description: document.description };
  const facts = { ...brief, displacement: brief.displacement.value };
  for (const disagreement of wordsAgainstBrief(words, facts)) {
    sheet.caution('Check before use', disagreementInWords(disagreement));
  }
  sheet.heading('Cautions');
  sheet.text(generalNotice);
  for (const caution of cautionsAt('downloads', cautionFacts(build))) {
    sheet.caution(caution.when, caution.text);
  }
  injectorSection(sheet, evaluation, build.limits.voltageRunning.value, units);
  for (const fluid of evaluation.fluids) {
    circuitSection(sheet, fluid, evaluation, catalogue, units);
  }
  wiringSection(sheet, evaluation, units);
  readingsSection(sheet, evaluation, units);
  sheet.heading('Findings');
  if (evaluation.findings.length === 0) sheet.text('None.');
  for (const finding of evaluation.findings) {
    sheet.text(`${finding.severity.toUpperCase()}  ${readsAs(finding, units)}.`);
  }
  sheet.finish();
}
