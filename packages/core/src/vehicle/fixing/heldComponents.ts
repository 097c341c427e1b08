import {
  type Result,
  byDefault,
  derive,
  entered,
  following,
  fromItem,
} from '../../results/index.ts';
import type { PlacedComponent } from '../components/placedComponent.ts';
import { componentFigure } from '../components/figureNames.ts';
import { BadInput } from '../../quantities/index.ts';
import { metalDensity } from './boltData.ts';
import { type CarrierOf, type Carriers, carrierOf } from './carrier.ts';
import { type FixingDesign, type FixingWanted, fixingDesign } from './fixingDesign.ts';
import * as f from './formulas.ts';

/** A part with what holds it. */
export interface HeldComponent {
  readonly component: PlacedComponent;
  readonly wanted: FixingWanted;
  /** what it is bolted to; undefined where that is no longer there */
  readonly carrier: CarrierOf | undefined;
  readonly made:
    | { readonly ok: true; readonly design: FixingDesign }
    | { readonly ok: false; readonly reason: string };
  readonly results: readonly Result[];
}

/** What a part is held by, in plain numbers; undefined for one that nothing holds. */
export function fixingWanted({ placement, item }: PlacedComponent): FixingWanted | undefined {
  const { fixing } = placement;
  return (
    (fixing && {
      means: fixing.means,
      metal: fixing.metal,
      thickness: fixing.thickness.value,
      standoff: fixing.standoff.value,
      rubber: fixing.rubber,
      bolt: fixing.bolt,
      bolts: fixing.bolts,
      size: [item.bodyLength, item.bodyWidth, item.bodyHeight],
    }) ??
    undefined
  );
}

function fixingFigures(
  { id, name, placement, item }: PlacedComponent,
  wanted: FixingWanted,
  carrier: CarrierOf | undefined,
  design: FixingDesign | undefined,
): Result[] {
  const path = ['placements', placement.id, 'fixing'];
  const of = { component: id };
  const bolts = entered(wanted.bolts, [...path, 'bolts']);
  const shape = {
    means: following(f.meansNumber(wanted.means), [...path, 'means']),
    bolt: following(f.boltNumber(wanted.bolt), [...path, 'bolt']),
    thickness: entered(wanted.thickness, [...path, 'thickness']),
    standoff: entered(wanted.standoff, [...path, 'standoff']),
  };
  const size = fromItem(wanted.size, item);
  const plate = { ...shape, bolts, size };
  const { plate: flat } = design ?? {};
  return [
    derive({
      figure: componentFigure('fixing.boltLoad', of),
      label: `${name}, load of each bolt in a hard knock`,
      formula: f.boltLoad,
      inputs: { mass: fromItem(item.mass, item), bolts },
    }),
    ...(carrier
      ? [
          derive({
            figure: componentFigure('fixing.reach', of),
            label: `${name}, from ${carrier.name.toLowerCase()}`,
            formula: f.fixingReach,
            inputs: { reach: following(carrier.reach, carrier.path) },
          }),
        ]
      : []),
    ...(design
      ? [
          derive({
            figure: componentFigure('fixing.boltLength', of),
            label: `${name}, length of its bolts`,
            formula: f.boltLength,
            inputs: { ...shape, rubber: following(wanted.rubber ? 1 : 0, [...path, 'rubber']) },
          }),
        ]
      : []),
    ...(flat
      ? [
          derive({
            figure: componentFigure('fixing.blankLength', of),
            label: `${name}, its plate flat, along it`,
            formula: f.blankLength,
            inputs: plate,
          }),
          derive({
            figure: componentFigure('fixing.blankWidth', of),
            label: `${name}, its plate flat, across it`,
            formula: f.blankWidth,
            inputs: plate,
          }),
          derive({
            figure: componentFigure('fixing.boltPitch', of),
            label: `${name}, least distance of two bolts`,
            formula: f.boltPitch,
            inputs: plate,
          }),
          derive({
            figure: componentFigure('fixing.mass', of),
            label: `${name}, mass of its plate`,
            formula: f.plateMass,
            inputs: { ...plate, density: byDefault(metalDensity[wanted.metal], wanted.metal) },
          }),
        ]
      : []),
  ];
}

/** What holds each part that something holds: its plate, its bolts, its figures. */
export function heldComponents(input: {
  readonly components: readonly PlacedComponent[];
  readonly carriers: Carriers;
}): HeldComponent[] {
  return input.components.flatMap((component): HeldComponent[] => {
    const wanted = fixingWanted(component);
    const { fixing } = component.placement;
    if (!wanted || !fixing) return [];
    const carrier = carrierOf(fixing.onto, component.body, input.carriers);
    const made = madeOf(wanted);
    const results = fixingFigures(component, wanted, carrier, made.ok ? made.design : undefined);
    return [{ component, wanted, carrier, made, results }];
  });
}

function madeOf(wanted: FixingWanted): HeldComponent['made'] {
  try {
    return { ok: true, design: fixingDesign(wanted) };
  } catch (error) {
    if (!(error instanceof BadInput)) throw error;
    return { ok: false, reason: error.message };
  }
}
