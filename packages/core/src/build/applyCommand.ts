import { BadInput, NotFound } from '../quantities/index.ts';
import type { BuildCommand } from './command.ts';
import { insertElement, moveElement, removeElement, withCircuit } from './circuitEdits.ts';
import type { BuildDocument, DecisionOption, PumpFeed, WireDecision } from './document.ts';
import { valueAt, withValueAt } from './jsonPath.ts';
import { diffDocuments, type PatchStep } from './patch.ts';

export interface AppliedCommand {
  readonly document: BuildDocument;
  readonly patch: readonly PatchStep[];
}

function indexById<Item extends { readonly id: string }>(
  items: readonly Item[],
  id: string,
  what: string,
): number {
  const index = items.findIndex((item) => item.id === id);
  if (index < 0) throw new NotFound(`there is no ${what} "${id}" in this build`, id);
  return index;
}

function decide(document: BuildDocument, option: DecisionOption, alternativeId: string) {
  const next = option.alternatives.find((a) => a.id === alternativeId);
  if (!next) throw new NotFound(`no alternative "${alternativeId}"`, `options.${option.id}`);
  const kept = option.alternatives.map((alternative) =>
    alternative.id === option.chosen
      ? {
          ...alternative,
          values: alternative.values.map((v) => ({
            path: v.path,
            value: valueAt(document, v.path),
          })),
        }
      : alternative,
  );
  const changed = next.values.reduce((doc, v) => withValueAt(doc, v.path, v.value), document);
  return {
    ...changed,
    options: changed.options.map((o) =>
      o.id === option.id ? { ...o, chosen: alternativeId, alternatives: kept } : o,
    ),
  };
}

function withWireDecision(
  document: BuildDocument,
  wireId: string,
  decided: Partial<WireDecision>,
): BuildDocument {
  const decisions = document.power.wireDecisions;
  const index = decisions.findIndex((d) => d.wireId === wireId);
  const known: WireDecision = decisions[index] ?? {
    wireId,
    size: null,
    length: { typed: null, measured: null },
  };
  const changed = { ...known, ...decided };
  const wireDecisions =
    index < 0 ? [...decisions, changed] : decisions.map((d, i) => (i === index ? changed : d));
  return { ...document, power: { ...document.power, wireDecisions } };
}

/** Puts one revision of an item wherever any revision of it is used. */
function withRevision(document: BuildDocument, itemId: string, revision: number): BuildDocument {
  const walk = (value: unknown): unknown => {
    if (typeof value !== 'object' || value === null) return value;
    if (Array.isArray(value)) return value.map(walk);
    const record = value as Record<string, unknown>;
    if (record['id'] === itemId && typeof record['revision'] === 'number') {
      return { ...record, revision };
    }
    return Object.fromEntries(Object.entries(record).map(([key, entry]) => [key, walk(entry)]));
  };
  return walk(document) as BuildDocument;
}

const byId = <Item extends { readonly id: string }>(
  old: readonly Item[],
  added: readonly Item[],
): Item[] => [
  ...old.map((item) => added.find((a) => a.id === item.id) ?? item),
  ...added.filter((a) => !old.some((item) => item.id === a.id)),
];

const withFeeds = (document: BuildDocument, feeds: readonly PumpFeed[]): BuildDocument => ({
  ...document,
  power: { ...document.power, pumpFeeds: byId(document.power.pumpFeeds, feeds) },
});

/** Lays a circuit out: in place of the one of its id, or as a further one with fuel and rows. */
function layOutCircuit(
  document: BuildDocument,
  command: Extract<BuildCommand, { name: 'lay-out-circuit' }>,
): BuildDocument {
  const { circuit } = command;
  const added: BuildDocument = {
    ...document,
    fuels: byId(document.fuels, command.fuels),
    injectorRows: byId(document.injectorRows, command.injectorRows),
    placements: byId(document.placements, command.placements),
  };
  const known = document.fuelCircuits.some((c) => c.id === circuit.id);
  const laid = known
    ? withCircuit(added, circuit)
    : { ...added, fuelCircuits: [...added.fuelCircuits, circuit] };
  return withFeeds(laid, command.pumpFeeds);
}

/** Takes a circuit out with its rows and feeds, and its fuel if no other circuit uses it. */
function removeCircuit(document: BuildDocument, circuitId: string): BuildDocument {
  const gone = document.fuelCircuits[indexById(document.fuelCircuits, circuitId, 'fuel circuit')]!;
  const index = document.fuelCircuits.indexOf(gone);
  const fuelCircuits = document.fuelCircuits.filter((c) => c !== gone);
  const used = fuelCircuits.some((c) => c.fuelId === gone.fuelId);
  const speaksOf = (path: string): boolean =>
    /^(fuelCircuits|injectorRows)\.(\d+)/.test(path) &&
    (path.startsWith('injectorRows') || Number(path.split('.')[1]) >= index);
  return {
    ...document,
    fuelCircuits,
    fuels: used ? document.fuels : document.fuels.filter((f) => f.id !== gone.fuelId),
    injectorRows: document.injectorRows.filter((row) => row.circuitId !== circuitId),
    options: document.options.filter(
      (o) => !o.alternatives.some((a) => a.values.some((v) => speaksOf(v.path))),
    ),
    power: {
      ...document.power,
      pumpFeeds: document.power.pumpFeeds.filter((f) => f.circuitId !== circuitId),
    },
  };
}

function run(document: BuildDocument, command: BuildCommand): BuildDocument {
  switch (command.name) {
    case 'set':
      return withValueAt(document, command.path, command.value);
    case 'set-several':
      return command.changes.reduce((doc, c) => withValueAt(doc, c.path, c.value), document);
    case 'pick-demand':
      return { ...document, demand: { school: command.school, reason: command.reason } };
    case 'choose-injector': {
      const row = indexById(document.injectorRows, command.rowId, 'injector row');
      return withValueAt(document, `injectorRows.${row}.item`, command.item);
    }
    case 'choose-part': {
      const c = indexById(document.fuelCircuits, command.circuitId, 'fuel circuit');
      const e = indexById(document.fuelCircuits[c]!.elements, command.elementId, 'element');
      return withValueAt(document, `fuelCircuits.${c}.elements.${e}.item`, command.item);
    }
    case 'choose-fuse': {
      const feed = indexById(document.power.pumpFeeds, command.feedId, 'pump feed');
      return withValueAt(document, `power.pumpFeeds.${feed}.fuse`, command.item);
    }
    case 'choose-wire':
      return withWireDecision(document, command.wireId, { size: command.size });
    case 'set-wire-length':
      return withWireDecision(document, command.wireId, { length: command.length });
    case 'decide': {
      const option = document.options[indexById(document.options, command.optionId, 'decision')]!;
      return decide(document, option, command.alternativeId);
    }
    case 'insert-element': {
      const circuit =
        document.fuelCircuits[indexById(document.fuelCircuits, command.circuitId, 'fuel circuit')]!;
      const { afterId, element, nodeId, feed } = command;
      const changed = withCircuit(document, insertElement({ circuit, afterId, element, nodeId }));
      return feed ? withFeeds(changed, [feed]) : changed;
    }
    case 'remove-element': {
      const c = indexById(document.fuelCircuits, command.circuitId, 'fuel circuit');
      return withCircuit(document, removeElement(document.fuelCircuits[c]!, command.elementId));
    }
    case 'move-element': {
      const c = indexById(document.fuelCircuits, command.circuitId, 'fuel circuit');
      const { elementId, direction } = command;
      return withCircuit(document, moveElement(document.fuelCircuits[c]!, elementId, direction));
    }
    case 'lay-out-circuit':
      return layOutCircuit(document, command);
    case 'remove-circuit':
      return removeCircuit(document, command.circuitId);
    case 'accept-finding': {
      const { acceptance } = command;
      return {
        ...document,
        acceptances: [
          ...document.acceptances.filter((a) => a.findingId !== acceptance.findingId),
          acceptance,
        ],
      };
    }
    case 'withdraw-acceptance':
      return {
        ...document,
        acceptances: document.acceptances.filter((a) => a.findingId !== command.findingId),
      };
    case 'use-revision':
      return withRevision(document, command.itemId, command.revision);
    case 'replace-document':
      return command.document;
    default: {
      const unknown: never = command;
      throw new BadInput(
        `unknown command "${String((unknown as { name: unknown }).name)}"`,
        'command.name',
      );
    }
  }
}

/** Runs a command on a document and says what it changed; throws BadInput or NotFound. */
export function applyCommand(document: BuildDocument, command: BuildCommand): AppliedCommand {
  const next = run(document, command);
  const patch = diffDocuments(document, next);
  return { document: patch.length === 0 ? document : next, patch };
}
