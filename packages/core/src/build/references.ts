import type { Catalogue } from './catalogue.ts';
import { lookUp } from './catalogue.ts';
import type { CatalogueCategory } from './catalogueItem.ts';
import { pumpsOf, railsOf, tankOf } from './circuitRun.ts';
import type { BuildDocument, CircuitElement, ElementKind, ItemRef } from './document.ts';
import { splitPath, valueAt } from './jsonPath.ts';

export interface ReferenceProblem {
  readonly path: string;
  readonly message: string;
}

const categoryOf: Partial<Record<ElementKind, CatalogueCategory>> = {
  fitting: 'fitting',
  line: 'hose',
  filter: 'filter',
  pump: 'pump',
  regulator: 'regulator',
  'filter-regulator': 'filter-regulator',
  'dead-head-regulator': 'dead-head-regulator',
};

const keepsPressure = (element: CircuitElement): boolean =>
  element.kind === 'regulator' ||
  element.kind === 'filter-regulator' ||
  element.kind === 'dead-head-regulator' ||
  (element.kind === 'pump' && element.control?.kind === 'pressure');

/** Everything in a document that points at nothing, or is named twice. Empty when it holds. */
export function referenceProblems(
  document: BuildDocument,
  catalogue: Catalogue,
): ReferenceProblem[] {
  const problems: ReferenceProblem[] = [];
  const say = (path: string, message: string): void => void problems.push({ path, message });

  const idsOf = (items: readonly { readonly id: string }[], path: string): Set<string> => {
    const ids = new Set<string>();
    items.forEach((item, i) => {
      if (ids.has(item.id)) say(`${path}.${i}.id`, `"${item.id}" is used twice`);
      ids.add(item.id);
    });
    return ids;
  };
  const pointsAt = (ids: Set<string>, id: string, path: string, what: string): void => {
    if (!ids.has(id)) say(path, `there is no ${what} "${id}"`);
  };
  const item = (category: CatalogueCategory, ref: ItemRef | null, path: string): void => {
    if (ref === null) return;
    try {
      lookUp(catalogue, category, ref, path);
    } catch (error) {
      say(path, (error as Error).message);
    }
  };

  const fuels = idsOf(document.fuels, 'fuels');
  const circuits = idsOf(document.fuelCircuits, 'fuelCircuits');
  const rows = idsOf(document.injectorRows, 'injectorRows');
  const places = idsOf(document.placements, 'placements');
  idsOf(document.power.pumpFeeds, 'power.pumpFeeds');
  idsOf(document.options, 'options');

  const elements = new Set<string>();
  document.fuelCircuits.forEach((circuit, c) => {
    const at = `fuelCircuits.${c}`;
    pointsAt(fuels, circuit.fuelId, `${at}.fuelId`, 'fuel');
    const nodes = idsOf(circuit.nodes, `${at}.nodes`);
    circuit.nodes.forEach((node, n) =>
      pointsAt(places, node.placementId, `${at}.nodes.${n}.placementId`, 'place'),
    );
    circuit.elements.forEach((element, e) => {
      // Findings and figures name an element by its id alone.
      if (elements.has(element.id)) say(`${at}.elements.${e}.id`, `"${element.id}" is used twice`);
      elements.add(element.id);
    });
    for (const [lacking, there] of [
      ['a tank', tankOf(circuit) !== undefined],
      ['a pump', pumpsOf(circuit).length > 0],
      ['a regulator, or a pump that is driven by pressure', circuit.elements.some(keepsPressure)],
      ['injectors', railsOf(circuit).length > 0],
    ] as const) {
      if (!there) say(`${at}.elements`, `a circuit needs ${lacking}`);
    }
    if (circuit.elements.filter((e) => e.kind === 'tank').length > 1) {
      say(`${at}.elements`, 'a circuit has one tank');
    }
    circuit.elements.forEach((element, e) => {
      const here = `${at}.elements.${e}`;
      if (element.kind === 'tank') {
        pointsAt(nodes, element.outlet, `${here}.outlet`, 'node');
        pointsAt(nodes, element.returnNode, `${here}.returnNode`, 'node');
        return;
      }
      if (element.kind === 'injectors') {
        pointsAt(nodes, element.node, `${here}.node`, 'node');
        pointsAt(rows, element.rowId, `${here}.rowId`, 'injector row');
        return;
      }
      if (element.kind === 'surge-tank') {
        for (const key of ['inlet', 'outlet', 'returnNode', 'overflow'] as const) {
          pointsAt(nodes, element[key], `${here}.${key}`, 'node');
        }
        return;
      }
      pointsAt(nodes, element.from, `${here}.from`, 'node');
      pointsAt(nodes, element.to, `${here}.to`, 'node');
      if (element.from === element.to) say(`${here}.to`, 'an element cannot end where it starts');
      if (element.kind === 'orifice') return;
      item(categoryOf[element.kind]!, element.item, `${here}.item`);
      if (element.kind === 'pump' && element.control?.kind === 'pressure') {
        pointsAt(nodes, element.control.sensorNode, `${here}.control.sensorNode`, 'node');
      }
      if (element.kind === 'pump' && element.control?.kind === 'stepped') {
        if (element.control.below.value > element.control.above.value) {
          say(`${here}.control.below`, 'must not be above the flow at which it switches up');
        }
      }
      if (element.kind === 'filter-regulator') {
        pointsAt(nodes, element.returnNode, `${here}.returnNode`, 'node');
        if (element.returnNode === element.to) {
          say(`${here}.returnNode`, 'the way back cannot be the way forward');
        }
      }
      if (element.kind === 'line') {
        element.fittings.forEach((use, f) =>
          item('fitting', use.item, `${here}.fittings.${f}.item`),
        );
      }
    });
  });
  if (document.injectorRows.every((row) => row.staging !== null)) {
    say('injectorRows.0.staging', 'one row must work always');
  }
  document.shelf.forEach((ref, i) => {
    const known = catalogue.items.some((k) => k.id === ref.id && k.revision === ref.revision);
    if (!known) say(`shelf.${i}`, `no item "${ref.id}@${ref.revision}" in the catalogue`);
  });
  document.injectorRows.forEach((row, r) => {
    pointsAt(circuits, row.circuitId, `injectorRows.${r}.circuitId`, 'fuel circuit');
    item('injector', row.item, `injectorRows.${r}.item`);
  });

  const { power } = document;
  item('battery', power.battery, 'power.battery');
  item('fuse', power.mainFuse, 'power.mainFuse');
  item('ecu', power.ecu, 'power.ecu');
  for (const key of [
    'batteryPlacementId',
    'mainFusePlacementId',
    'studPlacementId',
    'ecuPlacementId',
    'keyedFeedPlacementId',
  ] as const) {
    pointsAt(places, power[key], `power.${key}`, 'place');
  }
  power.pumpFeeds.forEach((feed, f) => {
    const here = `power.pumpFeeds.${f}`;
    const circuit = document.fuelCircuits.find((c) => c.id === feed.circuitId);
    const pump = circuit?.elements.some((e) => e.kind === 'pump' && e.id === feed.elementId);
    if (!pump) say(`${here}.elementId`, `there is no pump "${feed.elementId}" in that circuit`);
    for (const key of [
      'pumpPlacementId',
      'fusePlacementId',
      'relayPlacementId',
      'groundPlacementId',
      'inertiaPlacementId',
    ] as const) {
      pointsAt(places, feed[key], `${here}.${key}`, 'place');
    }
    item('fuse', feed.fuse, `${here}.fuse`);
    item('relay', feed.relay, `${here}.relay`);
  });
  power.wireDecisions.forEach((decision, w) =>
    item('wire', decision.size, `power.wireDecisions.${w}.size`),
  );
  document.options.forEach((option, o) => {
    const here = `options.${o}`;
    pointsAt(
      new Set(option.alternatives.map((a) => a.id)),
      option.chosen,
      `${here}.chosen`,
      'alternative',
    );
    option.alternatives.forEach((alternative, a) =>
      alternative.values.forEach((value, v) => {
        const path = `${here}.alternatives.${a}.values.${v}.path`;
        try {
          splitPath(value.path);
          if (valueAt(document, value.path) === undefined)
            say(path, `there is nothing at "${value.path}"`);
        } catch (error) {
          say(path, (error as Error).message);
        }
      }),
    );
  });
  return problems;
}
