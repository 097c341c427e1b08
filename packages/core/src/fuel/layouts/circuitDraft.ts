import type {
  Architecture,
  CircuitElement,
  CircuitNode,
  FuelCircuit,
  ItemRef,
  LineRole,
  PumpControl,
  PumpElement,
} from '../../model/index.ts';
import type { Quantity } from '../../quantities/index.ts';
import type { LineChoice } from './circuitParts.ts';
import { lineOf } from './circuitParts.ts';
import type { TankParts } from './tankParts.ts';

/** Every part a circuit can be laid out of, taken over from what is there or chosen. */
export interface CircuitPartChoices {
  readonly id: string;
  readonly name: string;
  readonly fuelId: string;
  readonly rowId: string;
  readonly tank: TankParts;
  readonly outlet: ItemRef;
  readonly coarseFilter: ItemRef;
  readonly strainer: ItemRef;
  readonly hanger: ItemRef;
  readonly pump: ItemRef;
  readonly inTankPump: ItemRef;
  readonly liftPump: ItemRef;
  readonly mounting: PumpElement['mounting'];
  readonly wear: Quantity;
  readonly fineFilter: ItemRef;
  readonly filterRegulator: ItemRef;
  readonly regulator: ItemRef;
  readonly lowRegulator: ItemRef;
  readonly setPressure: Quantity;
  readonly lowPressure: Quantity;
  readonly manifoldRatio: Quantity;
  readonly surgeVolume: Quantity;
  readonly leastShare: Quantity;
  readonly yBlock: ItemRef;
  /** shares the suction out to two pumps */
  readonly inletYBlock: ItemRef;
  readonly suction: LineChoice;
  readonly pumpInlet: LineChoice;
  readonly pumpOutlet: LineChoice;
  readonly pumpHose: LineChoice;
  readonly feed: LineChoice;
  readonly branch: LineChoice;
  readonly rail: LineChoice;
  readonly back: LineChoice;
  /** rails that are fed side by side */
  readonly rails: 1 | 2;
}

/** A circuit that is being laid out, joint by joint. */
export interface CircuitDraft {
  node(id: string, placementId: string): string;
  tank(outlet: string, returnNode: string): void;
  fitting(id: string, name: string, ends: Ends, item: ItemRef): void;
  filter(id: string, name: string, ends: Ends, item: ItemRef): void;
  line(id: string, name: string, role: LineRole, ends: Ends, choice: LineChoice): void;
  pump(
    id: string,
    name: string,
    ends: Ends,
    pump: { item: ItemRef; mounting: PumpElement['mounting']; control?: PumpControl },
  ): void;
  add(element: CircuitElement): void;
  finish(architecture: Architecture): FuelCircuit;
}
type Ends = readonly [from: string, to: string];

/** Starts a circuit from its parts. */
export function draftCircuit(parts: CircuitPartChoices): CircuitDraft {
  const nodes: CircuitNode[] = [];
  const elements: CircuitElement[] = [];
  const through = (id: string, name: string, [from, to]: Ends) => ({ id, name, from, to });
  return {
    node(id, placementId) {
      nodes.push({ id, placementId });
      return id;
    },
    tank(outlet, returnNode) {
      elements.push({ kind: 'tank', id: 'tank', ...parts.tank, outlet, returnNode });
    },
    fitting(id, name, ends, item) {
      elements.push({ kind: 'fitting', ...through(id, name, ends), item });
    },
    filter(id, name, ends, item) {
      elements.push({ kind: 'filter', ...through(id, name, ends), item, state: 'clean' });
    },
    line(id, name, role, ends, choice) {
      elements.push(lineOf({ ...through(id, name, ends), role }, choice));
    },
    pump(id, name, ends, { item, mounting, control }) {
      const common = through(id, name, ends);
      elements.push({
        kind: 'pump',
        ...common,
        item,
        mounting,
        wear: parts.wear,
        control: control ?? null,
      });
    },
    add: (element) => void elements.push(element),
    finish: (architecture) => ({
      id: parts.id,
      name: parts.name,
      fuelId: parts.fuelId,
      architecture,
      nodes,
      elements,
    }),
  };
}

/** Tank outlet, suction hose, coarse filter; returns the joint behind the filter. */
export function draftSuction(draft: CircuitDraft, parts: CircuitPartChoices): string {
  const out = draft.node('tank-out', 'tank-outlet');
  const outlet = draft.node('outlet', 'tank-outlet');
  const coarseIn = draft.node('coarse-in', 'coarse-filter');
  const coarseOut = draft.node('coarse-out', 'coarse-filter');
  draft.tank(out, 'tank-return');
  draft.fitting('tank-bung', 'Tank outlet', [out, outlet], parts.outlet);
  draft.line('suction', 'Suction hose', 'suction', [outlet, coarseIn], parts.suction);
  draft.filter('coarse', 'Coarse filter', [coarseIn, coarseOut], parts.coarseFilter);
  return coarseOut;
}

/** Outlet hose of a pump and fine filter; returns the joint behind the filter. */
export function draftFineFilter(draft: CircuitDraft, parts: CircuitPartChoices, from: string) {
  const fineIn = draft.node('fine-in', 'fine-filter');
  const fineOut = draft.node('fine-out', 'fine-filter');
  draft.line('pump-outlet', 'Pump outlet hose', 'feed', [from, fineIn], parts.pumpOutlet);
  draft.filter('fine', 'Fine filter', [fineIn, fineOut], parts.fineFilter);
  return fineOut;
}

/** Pump inlet hose and main pump; returns the joint behind the pump. */
export function draftPump(
  draft: CircuitDraft,
  parts: CircuitPartChoices,
  from: string,
  control?: PumpControl,
): string {
  const pumpIn = draft.node('pump-in', 'pump');
  const pumpOut = draft.node('pump-out', 'pump');
  draft.line('pump-inlet', 'Pump inlet hose', 'suction', [from, pumpIn], parts.pumpInlet);
  draft.pump('pump', 'Fuel pump', [pumpIn, pumpOut], {
    item: parts.pump,
    mounting: parts.mounting,
    ...(control ? { control } : {}),
  });
  return pumpOut;
}

/** One rail from a joint, dead-ended or passed through; returns the joint at its far end. */
export function draftRail(
  draft: CircuitDraft,
  parts: CircuitPartChoices,
  from: string,
  which?: 1 | 2,
): string {
  const suffix = which ? `-${which}` : '';
  const end = draft.node(`rail-out${suffix}`, which === 2 ? 'rail-2' : 'rail');
  const name = which ? ` ${which}` : '';
  draft.line(`rail${suffix}`, `Fuel rail${name}`, 'other', [from, end], parts.rail);
  draft.add({
    kind: 'injectors',
    id: `injectors${suffix}`,
    name: `Injectors${name && `, rail${name}`}`,
    node: end,
    rowId: parts.rowId,
  });
  return end;
}

/** A return regulator and the line back to a joint. */
export function draftReturn(
  draft: CircuitDraft,
  parts: CircuitPartChoices,
  from: string,
  to: string,
  low = false,
): void {
  const out = draft.node('regulator-out', 'regulator');
  draft.add({
    kind: 'regulator',
    id: 'regulator',
    name: 'Pressure regulator',
    from,
    to: out,
    item: low ? parts.lowRegulator : parts.regulator,
    setPressure: low ? parts.lowPressure : parts.setPressure,
    manifoldRatio: low ? { value: 0, unit: '' } : parts.manifoldRatio,
  });
  draft.line('return', 'Return line', 'return', [out, to], parts.back);
}

/** Feed to one rail, or over a Y to two; returns the joint where the rails end together. */
export function draftRails(draft: CircuitDraft, parts: CircuitPartChoices, from: string): string {
  if (parts.rails === 1) {
    const railIn = draft.node('rail-in', 'rail');
    draft.line('feed', 'Feed line', 'feed', [from, railIn], parts.feed);
    return draftRail(draft, parts, railIn);
  }
  const split = draft.node('split', 'y-block');
  draft.line('feed', 'Feed line', 'feed', [from, split], parts.feed);
  const joined = draft.node('rails-joined', 'regulator');
  for (const which of [1, 2] as const) {
    const place = which === 2 ? 'rail-2' : 'rail';
    const leg = draft.node(`leg-${which}`, 'y-block');
    const railIn = draft.node(`rail-in-${which}`, place);
    draft.fitting(`y-${which}`, `Y-block, way ${which}`, [split, leg], parts.yBlock);
    draft.line(`branch-${which}`, `Feed to rail ${which}`, 'feed', [leg, railIn], parts.branch);
    const end = draftRail(draft, parts, railIn, which);
    draft.line(
      `rail-link-${which}`,
      `Rail ${which} to regulator`,
      'feed',
      [end, joined],
      parts.branch,
    );
  }
  return joined;
}
