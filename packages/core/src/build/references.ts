import type { Catalogue } from './catalogue.ts';
import { lookUp } from './catalogue.ts';
import type { CatalogueCategory } from './catalogueItem.ts';
import type { BuildDocument, ElementKind, ItemRef } from './document.ts';
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
};

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

  document.fuelCircuits.forEach((circuit, c) => {
    const at = `fuelCircuits.${c}`;
    pointsAt(fuels, circuit.fuelId, `${at}.fuelId`, 'fuel');
    const nodes = idsOf(circuit.nodes, `${at}.nodes`);
    circuit.nodes.forEach((node, n) =>
      pointsAt(places, node.placementId, `${at}.nodes.${n}.placementId`, 'place'),
    );
    idsOf(circuit.elements, `${at}.elements`);
    for (const [kind, least] of [
      ['tank', 1],
      ['pump', 1],
      ['regulator', 1],
      ['injectors', 1],
    ] as const) {
      const count = circuit.elements.filter(
        (e) => e.kind === kind || (kind === 'regulator' && e.kind === 'filter-regulator'),
      ).length;
      if (count < least)
        say(
          `${at}.elements`,
          `a circuit needs ${kind === 'injectors' ? 'injectors' : `a ${kind}`}`,
        );
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
      pointsAt(nodes, element.from, `${here}.from`, 'node');
      pointsAt(nodes, element.to, `${here}.to`, 'node');
      if (element.from === element.to) say(`${here}.to`, 'an element cannot end where it starts');
      item(categoryOf[element.kind]!, element.item, `${here}.item`);
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
