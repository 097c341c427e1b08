import { StartMessage, messageIssues } from '@brookrain/contract';
import {
  type Quantity,
  type Reading,
  type StartAnswers,
  type UnitKind,
  inductionInWords,
  parseNumber,
  parseQuantity,
  quantity,
  usualUnit,
} from '@brookrain/core';

/** Quantities that the guided start asks, with an example of each. */
export const asked = {
  displacement: { label: 'Displacement', kind: 'volume', unit: 'L', hint: '2.0 L or 122 ci' },
  boost: { label: 'Boost, gauge', kind: 'pressure', unit: 'bar', hint: '0.8 bar or 12 psi' },
  power: { label: 'Power wanted', kind: 'power', unit: 'kW', hint: '150 kW or 200 hp' },
  powerSpeed: { label: 'at engine speed', kind: 'rotation', unit: 'rpm', hint: '6000 rpm' },
  limiterSpeed: { label: 'Limiter', kind: 'rotation', unit: 'rpm', hint: 'a tenth above' },
  ethanol: { label: 'Ethanol in it', kind: 'ratio', unit: '%', hint: '10 % or 0.1' },
  runLength: { label: 'Tank to engine', kind: 'length', unit: 'm', hint: '3.5 m or 11 ft' },
} as const satisfies Record<string, { label: string; kind: UnitKind; unit: string; hint: string }>;
export type Asked = keyof typeof asked;

/** The form as it is typed. */
export type StartTexts = Record<Asked | 'name' | 'cylinders', string> &
  Pick<StartAnswers, 'aspiration' | 'fuelKind' | 'pumpMounting' | 'use'>;

/** What stands in the form before anyone types. */
export const emptyStart: StartTexts = {
  name: '',
  cylinders: '4',
  displacement: '',
  boost: '',
  power: '',
  powerSpeed: '',
  limiterSpeed: '',
  ethanol: '10 %',
  runLength: '3.5 m',
  aspiration: 'natural',
  fuelKind: 'petrol-ethanol',
  pumpMounting: 'external',
  use: 'road',
};

/** What is wrong, by field; `form` for what is about none. */
export type StartProblems = Partial<Record<keyof StartTexts | 'form', string>>;

export type ReadStart =
  | { readonly ok: true; readonly answers: StartAnswers }
  | { readonly ok: false; readonly problems: StartProblems };

/** The limiter where nobody typed one: a tenth above the power speed, in whole hundreds. */
const usualLimiter = (powerSpeed: Quantity): Quantity =>
  quantity(Math.round((1.1 * powerSpeed.value * 60) / 100) * 100, 'rotation', 'rpm');

/** Reads one quantity; what is not asked of this engine or left to be usual is given. */
function readQuantity(
  texts: StartTexts,
  key: Asked,
  reading: Reading,
  powerSpeed: Quantity | undefined,
): ReturnType<typeof parseQuantity> {
  if (key === 'boost' && texts.aspiration === 'natural') {
    return { ok: true, quantity: quantity(0, 'pressure', 'bar') };
  }
  if (key === 'ethanol' && texts.fuelKind === 'methanol') {
    return { ok: true, quantity: quantity(0, 'ratio', '%') };
  }
  if (key === 'limiterSpeed' && texts.limiterSpeed.trim() === '' && powerSpeed) {
    return { ok: true, quantity: usualLimiter(powerSpeed) };
  }
  const { kind, unit } = asked[key];
  const defaultUnit = usualUnit(reading, kind, unit);
  return parseQuantity({ text: texts[key], kind, defaultUnit, numbers: reading.numbers });
}

/** The answers as they were typed, checked as the server checks them; or what is wrong with them. */
export function readStart(texts: StartTexts, reading: Reading): ReadStart {
  const problems: StartProblems = {};
  const read: Partial<Record<Asked, Quantity>> = {};
  for (const key of Object.keys(asked) as Asked[]) {
    const parsed = readQuantity(texts, key, reading, read.powerSpeed);
    if (parsed.ok) read[key] = parsed.quantity;
    else problems[key] = parsed.message;
  }
  if (texts.name.trim() === '') problems.name = 'A build needs a name.';
  const cylinders = parseNumber(texts.cylinders);
  if (cylinders === undefined) problems.cylinders = 'Enter a whole number in figures, such as 4.';
  if (Object.keys(problems).length > 0) return { ok: false, problems };
  const { aspiration, fuelKind, pumpMounting, use } = texts;
  const induction = aspiration === 'natural' ? 'naturally aspirated' : inductionInWords[aspiration];
  const answers = {
    ...read,
    name: texts.name.trim(),
    vehicle: '',
    engine: `${texts.displacement.trim()}, ${texts.cylinders.trim()} cylinders, ${induction}`,
    use,
    cylinders,
    aspiration,
    fuelKind,
    pumpMounting,
  } as StartAnswers;
  const issues = messageIssues(StartMessage, answers);
  if (issues.length === 0) return { ok: true, answers };
  return { ok: false, problems: problemsOf(issues) };
}

/** Issues of the API at the fields of the form that they are about. */
export function problemsOf(
  issues: readonly { readonly path: string; readonly message: string }[],
): StartProblems {
  const problems: StartProblems = {};
  for (const { path, message } of issues) {
    const [key = ''] = path.split('.');
    const field = key in emptyStart ? (key as keyof StartTexts) : 'form';
    problems[field] ??= message;
  }
  return problems;
}
