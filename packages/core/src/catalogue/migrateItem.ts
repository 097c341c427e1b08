import { bodyNotKnown, plugNotKnown, portsNotKnown } from './kinds/bodyFields.ts';
import type { FittingForm } from './kinds/fitting.ts';
import { fittingForms } from './kinds/fitting.ts';
import type { HoseMaterial, HoseWall } from './kinds/hose.ts';
import { seatNotKnown } from './kinds/seatFields.ts';

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

/**
 * A catalogue item of an older program brought up to date: materials and forms that were words
 * only become fields, and of sizes that were never asked for it says that they are not known. What is
 * no such item is returned as it is, for the checks to refuse.
 */
export function migrateItem(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const item = value as Plain;
  const family = textOf(item['family']);
  const designation = textOf(item['designation']);
  switch (item['category']) {
    case 'hose':
      return { ...hoseByFamily(family), ...item };
    case 'fitting':
      return { form: fittingByText(family, designation), ...item };
    case 'filter':
      return {
        form: designation.includes('sock') ? 'strainer' : 'in-line',
        ...bodyNotKnown,
        ...portsNotKnown,
        ...item,
      };
    case 'pump':
      return { ...bodyNotKnown, ...portsNotKnown, ...plugNotKnown, ...item };
    case 'regulator':
    case 'dead-head-regulator':
      return { ...bodyNotKnown, ...portsNotKnown, ...item };
    case 'filter-regulator':
      return { ...bodyNotKnown, ...portsNotKnown, returnSide: 'bottom', ...item };
    case 'battery':
      return { ...bodyNotKnown, ...item };
    case 'ecu':
      return { ...bodyNotKnown, ...plugNotKnown, ...item };
    case 'injector':
      return { ...seatNotKnown, ...item };
    default:
      return item;
  }
}
