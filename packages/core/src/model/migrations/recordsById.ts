import { quantity } from '../../quantities/index.ts';
import { type Plain, list, plain } from './plain.ts';

const ORDER_STEP = 1000;

/** A list of things with ids as a record by id. The first of two with one id keeps its place. */
function byId(value: unknown, store: (entry: Plain, index: number) => Plain = (e) => e): Plain {
  const entries: Record<string, Plain> = {};
  list(value).forEach((entry, i) => {
    const { id, ...rest } = entry;
    const key = typeof id === 'string' ? id : `unnamed-${i + 1}`;
    if (!Object.hasOwn(entries, key)) entries[key] = store(rest, i);
  });
  return entries;
}

const ordered = (value: unknown, store: (entry: Plain) => Plain = (e) => e): Plain =>
  byId(value, (entry, i) => ({ ...store(entry), order: ORDER_STEP * (i + 1) }));

const numbered = (value: unknown, prefix: string): Plain =>
  Object.fromEntries(
    (Array.isArray(value) ? (value as unknown[]) : []).map((e, i) => [`${prefix}${i + 1}`, e]),
  );

const keyedBy = (value: unknown, key: string): Plain =>
  Object.fromEntries(
    list(value).map((entry, i) => {
      const { [key]: id, ...rest } = entry;
      return [typeof id === 'string' ? id : `unnamed-${i + 1}`, rest];
    }),
  );

const byItem = (value: unknown, itemOf: (entry: Plain) => Plain): Plain =>
  Object.fromEntries(
    list(value).map((entry, i) => [String(itemOf(entry)['id'] ?? `part-${i + 1}`), entry]),
  );

const element = (entry: Plain): Plain =>
  entry['kind'] === 'line'
    ? { ...entry, fittings: byItem(entry['fittings'], (use) => plain(use['item'])) }
    : entry;

const circuit = (entry: Plain): Plain => ({
  ...entry,
  nodes: byId(entry['nodes']),
  elements: ordered(entry['elements'], element),
});

const row = (entry: Plain): Plain => ({
  ...entry,
  measuredFlows: numbered(entry['measuredFlows'], ''),
});

/**
 * A path of version 3 with its positions in lists replaced by the ids of what stood there. Null
 * where nothing stood.
 */
export function pathById(document: Plain, path: string): string[] | null {
  const keys: string[] = [];
  let value: unknown = document;
  for (const key of path.split('.')) {
    const inList = Array.isArray(value);
    value = (value as Plain | null | undefined)?.[key];
    if (value === undefined) return null;
    if (!inList) keys.push(key);
    else {
      const { id, wireId, item } = plain(value) as Record<string, unknown>;
      const named = id ?? wireId ?? plain(item)['id'];
      keys.push(typeof named === 'string' ? named : key);
    }
  }
  return keys;
}

function option(document: Plain, entry: Plain): Plain {
  return {
    ...entry,
    alternatives: ordered(entry['alternatives'], (alternative) => {
      const values: Record<string, Plain> = {};
      for (const { path, value } of list(alternative['values'])) {
        const lifted = typeof path === 'string' ? pathById(document, path) : null;
        if (lifted) values[lifted.join('/')] = { path: lifted, value };
      }
      return { ...alternative, values };
    }),
  };
}

/** 4: every collection a record by id, order a field; coldest day, charge cooler, currency. */
export function recordsById(document: Plain): Plain {
  const brief = plain(document['brief']);
  const power = plain(document['power']);
  return {
    ...document,
    version: 4,
    brief: {
      ...brief,
      ambientCold: quantity(-10, 'temperature', '°C'),
      coolerEffectiveness: null,
      volumetricEfficiencyCurve: numbered(brief['volumetricEfficiencyCurve'], 'p'),
      boostCurve: numbered(brief['boostCurve'], 'p'),
    },
    fuels: ordered(document['fuels']),
    fuelCircuits: ordered(document['fuelCircuits'], circuit),
    injectorRows: ordered(document['injectorRows'], row),
    placements: byId(document['placements']),
    power: {
      ...power,
      pumpFeeds: ordered(power['pumpFeeds']),
      wireDecisions: keyedBy(power['wireDecisions'], 'wireId'),
    },
    options: ordered(document['options'], (entry) => option(document, entry)),
    acceptances: keyedBy(document['acceptances'], 'findingId'),
    shelf: byItem(document['shelf'], (ref) => ref),
    currency: 'EUR',
  };
}
