import {
  type UnitKind,
  type ReadsIn,
  type UnitSystem,
  displayUnits,
  formatFigure,
  formatQuantity,
  fromSI,
  inNumberFormat,
  numbersOf,
  systemOf,
} from '../quantities/index.ts';
import type { Finding, Measure } from './finding.ts';

/** Units that suit small values better than the usual display unit. */
function unitFor(measure: Measure, system: UnitSystem): string {
  const size = Math.abs(measure.value);
  if (measure.kind === 'length' && size < 1)
    return system === 'us' ? 'in' : size > 0 && size < 2e-4 ? 'µm' : 'mm';
  if (measure.kind === 'letThrough' && size >= 1e4) return 'kA²s';
  if (measure.kind === 'resistance' && size >= 1) return 'Ω';
  if (measure.kind === 'time' && size >= 1) return 's';
  if (measure.kind === 'duration') {
    return size >= 7200 ? 'h' : size >= 180 ? 'min' : size < 0.1 ? 'ms' : 's';
  }
  return displayUnits[system][measure.kind];
}

/** A measure as a person reads it; shares are given in per cent. */
export function formatMeasure(measure: Measure, reads: ReadsIn, digits = 3): string {
  const format = numbersOf(reads);
  if (measure.kind === 'ratio') {
    const share = formatFigure(fromSI(measure.value, 'ratio', '%'), digits);
    return `${inNumberFormat(share, format)} %`;
  }
  const unit = unitFor(measure, systemOf(reads));
  const decimals = measure.kind === 'pressure' ? 2 : 4;
  const shown = formatQuantity({
    value: measure.value,
    kind: measure.kind,
    unit,
    digits,
    decimals,
  });
  const figure = inNumberFormat(shown.figure, format);
  return shown.unit === '' ? figure : `${figure} ${shown.unit}`;
}

/** Ratios that are plain numbers and not shares, by result key. */
const plainRatios = /(AirFuelRatio|turnDown|fuelFactor|reynolds)$/;

/** Kind under which a result is shown: an air-fuel ratio is a number, not a per cent. */
export const shownKind = (key: string, kind: UnitKind): UnitKind =>
  kind === 'ratio' && plainRatios.test(key) ? 'count' : kind;

/** Fills the {placeholders} of a sentence with its numbers in the reader's units. */
export function fillSentence(
  text: string,
  numbers: Readonly<Record<string, Measure>>,
  reads: ReadsIn,
): string {
  return text.replace(/\{(\w+)\}/g, (whole, name: string) => {
    const measure = numbers[name];
    return measure ? formatMeasure(measure, reads) : whole;
  });
}

/** Title and reason of a finding as one sentence in the reader's units. */
export function readsAs(
  finding: Pick<Finding, 'title' | 'because' | 'numbers'>,
  reads: ReadsIn,
): string {
  return `${finding.title}: ${fillSentence(finding.because, finding.numbers, reads)}`;
}
