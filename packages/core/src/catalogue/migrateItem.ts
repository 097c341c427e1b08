import { catalogueKinds } from './catalogueItem.ts';
import type { FittingForm } from './kinds/fitting.ts';
import { fittingForms } from './kinds/fitting.ts';
import type { HoseMaterial, HoseWall } from './kinds/hose.ts';

type Plain = Readonly<Record<string, unknown>>;

const textOf = (value: unknown): string => (typeof value === 'string' ? value : '');

/** Material and wall of a hose that was described by its family in words only. */
function hoseByFamily(family: string): { material: HoseMaterial; wall: HoseWall } {
  const rigid = family.startsWith('hardline');
  const metal = (['aluminium', 'stainless', 'steel'] as const).find((m) => family.includes(m));
  if (rigid)
    return { material: family.includes('nylon') ? 'nylon' : (metal ?? 'steel'), wall: 'rigid' };
  const material = family.includes('PTFE') ? 'PTFE' : 'rubber';
  if (family.includes('convoluted')) return { material, wall: 'convoluted' };
  return { material, wall: family.includes('braided') ? 'braided' : 'plain' };
}

function fittingByText(family: string, designation: string): FittingForm {
  if (designation.includes('hanger')) return 'in-tank hanger';
  return fittingForms.find((form) => form === family) ?? 'adapter';
}

const usualOf = (fields: object): Plain =>
  Object.fromEntries(
    Object.entries(fields).flatMap(([key, field]: readonly [string, object]) =>
      'whenEmpty' in field ? [[key, field.whenEmpty] as const] : [],
    ),
  );
const usualByCategory: ReadonlyMap<unknown, Plain> = new Map(
  Object.values(catalogueKinds).map(({ category, spec }) => [category, usualOf(spec.fields)]),
);

/** What the fields of a kind are where nobody says. */
export const notSaid = (category: unknown): Plain => usualByCategory.get(category) ?? {};

/**
 * A catalogue item of an older program brought up to date: materials and forms that were words
 * only become fields, and what nobody was asked is as where nobody says. What is no such item is
 * returned as it is, for the checks to refuse.
 */
export function migrateItem(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const item = value as Plain;
  const family = textOf(item['family']);
  const designation = textOf(item['designation']);
  const usual = notSaid(item['category']);
  switch (item['category']) {
    case 'hose':
      return { ...usual, ...hoseByFamily(family), ...item };
    case 'fitting':
      return { ...usual, form: fittingByText(family, designation), ...item };
    case 'filter':
      return { ...usual, form: designation.includes('sock') ? 'strainer' : 'in-line', ...item };
    default:
      return Object.keys(usual).length > 0 ? { ...usual, ...item } : item;
  }
}
