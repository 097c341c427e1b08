import { type Catalogue, type HoseItem, lookUp } from '../../catalogue/index.ts';
import type { Build, OtherLine, Placement, Solid, TankOnMap } from '../../model/index.ts';
import {
  type Result,
  type Sourced,
  byDefault,
  derive,
  entered,
  following,
  fromItem,
  given,
} from '../../results/index.ts';
import { type RoutedLengths, flat, pointToBox, vectorOf } from '../../vehicle/index.ts';
import { elementPath } from '../circuits/circuitRun.ts';
import { type CircuitScope, circuitScope, fuelFigure } from '../figureNames.ts';
import { surgeReserve } from '../hydraulics/storage.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import { circuitMassFlow } from '../running/solvePoint.ts';
import { type Attitude, attitudes, pushOf } from './attitudes.ts';
import {
  abovePickup,
  belowPickup,
  returnApart,
  starveVolume,
  ventFlow,
  ventLoss,
} from './formulas.ts';

/** A tank whose box is on the map, and when its pickup falls dry. */
export interface TankAttitudes {
  readonly tankOnMapId: string;
  readonly circuitId: string;
  readonly elementId: string;
  readonly name: string;
  readonly usable: number;
  /** fuel m³ at which the pickup falls dry, by attitude */
  readonly starves: Readonly<Record<Attitude, number>>;
  /** engine's flow m³/s at the design peak */
  readonly peakFlow: number;
  /** how long the swirl pot lasts, s; undefined without one */
  readonly swirlLasts: number | undefined;
  /** room of the box above the pickup, m³ */
  readonly abovePickup: number;
  /** return from the pickup, m; undefined where both are one place */
  readonly returnApart: number | undefined;
  /** the widest vent line that begins or ends at it */
  readonly vent: Vent | undefined;
  /** pressure Pa that it leaves in the tank */
  readonly ventLoss: number | undefined;
  readonly solid: Solid;
  readonly onMap: TankOnMap;
  readonly outletPlace: Placement;
  readonly returnPlace: Placement | undefined;
  readonly results: readonly Result[];
}

/** A line that vents a tank, and its hose. */
export interface Vent {
  readonly line: OtherLine;
  readonly hose: HoseItem | undefined;
}

export interface TankInput {
  readonly tanks: readonly TankOnMap[];
  readonly solids: readonly Solid[];
  readonly placements: readonly Placement[];
  readonly otherLines: readonly OtherLine[];
  readonly use: Build['brief']['use'];
  readonly fluids: readonly FluidResult[];
  readonly catalogue: Catalogue;
  /** lengths of lines along their ways on the map */
  readonly routed: RoutedLengths;
}

/** A vent begins within so far of its tank, m. */
const AT_TANK = 0.15;

/** The widest line that vents a tank: it begins or ends at its box. */
function ventOf(
  { low, high }: Solid,
  { placements, otherLines, catalogue }: Pick<TankInput, 'placements' | 'otherLines' | 'catalogue'>,
): Vent | undefined {
  const box = { low: vectorOf(low), high: vectorOf(high) };
  const atTank = new Set(
    placements
      .filter((place) => pointToBox(vectorOf(place), box).distance <= AT_TANK)
      .map(({ id }) => id),
  );
  return otherLines
    .filter(
      ({ use, fromPlacementId, toPlacementId }) =>
        (use === 'vent' || use === 'vapour-return') &&
        (atTank.has(fromPlacementId) || atTank.has(toPlacementId)),
    )
    .map((line): Vent => ({
      line,
      hose: line.item ? lookUp(catalogue, 'hose', line.item, line.id) : undefined,
    }))
    .sort((a, b) => (b.hose?.bore ?? 0) - (a.hose?.bore ?? 0))[0];
}

/** A vent without a way on the map is taken to be so long, m. */
const USUAL_VENT = 1;

/** What air a vent has to pass, and what pressure that leaves in the tank. */
function ventFigures(input: {
  readonly vent: Vent;
  readonly name: string;
  readonly scope: CircuitScope;
  readonly outflow: Sourced<number>;
  readonly volume: Sourced<number>;
  readonly length: Sourced<number> | undefined;
}): Result[] {
  const { vent, name, scope } = input;
  if (!vent.hose) return [];
  const flow = derive({
    figure: fuelFigure('tank.ventFlow', scope),
    label: `${name}, air through its vent`,
    formula: ventFlow,
    inputs: { outflow: input.outflow, volume: input.volume },
  });
  return [
    flow,
    derive({
      figure: fuelFigure('tank.ventLoss', scope),
      label: `${name}, pressure that its vent leaves`,
      formula: ventLoss,
      inputs: {
        flow,
        bore: fromItem(vent.hose.bore, vent.hose),
        length: input.length ?? byDefault(USUAL_VENT, 'a vent without a way on the map'),
      },
    }),
  ];
}

/** When the pickups of tanks fall dry as fuel runs away from them. */
export function tankStage(input: TankInput): TankAttitudes[] {
  return input.tanks.flatMap((onMap): TankAttitudes[] => {
    const index = input.fluids.findIndex((f) => f.design.circuit.id === onMap.circuitId);
    const fluid = input.fluids[index];
    const circuit = fluid?.design.circuit;
    const tank = circuit?.elements.find((e) => e.id === onMap.elementId);
    const solid = input.solids.find((each) => each.id === onMap.solidId);
    if (!fluid || !circuit || tank?.kind !== 'tank' || !solid) return [];
    const placeId = circuit.nodes.find((node) => node.id === tank.outlet)?.placementId;
    const place = input.placements.find((each) => each.id === placeId);
    if (!place) return [];
    const scope = circuitScope(index, circuit.id);
    const results: Result[] = [];
    const box = following(flat([vectorOf(solid.low), vectorOf(solid.high)]), ['solids', solid.id]);
    const height = entered(onMap.pickupHeight, ['tanks', onMap.id, 'pickupHeight']);
    const starves = Object.fromEntries(
      attitudes.map((attitude) => {
        const push = pushOf(attitude, input.use);
        const result = derive({
          figure: fuelFigure('tank.starve', { ...scope, case: attitude }),
          label: `${tank.name}, fuel at which its pickup falls dry, ${attitudeWords[attitude]}`,
          formula: starveVolume,
          inputs: {
            box,
            height,
            pickup: following(flat([vectorOf(place)]), ['placements', place.id]),
            forward: byDefault(push.forward, 'usual for the use of the vehicle'),
            left: byDefault(push.left, 'usual for the use of the vehicle'),
            usable: entered(tank.usableVolume, elementPath(circuit, tank, 'usableVolume')),
          },
        });
        results.push(result);
        return [attitude, result.value];
      }),
    ) as Record<Attitude, number>;
    const peakFlow =
      circuitMassFlow(fluid.design, fluid.cases.peakPower.point) / fluid.design.fuel.hot.density;
    const below = derive({
      figure: fuelFigure('tank.belowPickup', scope),
      label: `${tank.name}, fuel that is never drawn`,
      formula: belowPickup,
      inputs: { box, height },
    });
    const above = derive({
      figure: fuelFigure('tank.abovePickup', scope),
      label: `${tank.name}, room above its pickup`,
      formula: abovePickup,
      inputs: { box, height },
    });
    const backId = circuit.nodes.find((node) => node.id === tank.returnNode)?.placementId;
    const back = input.placements.find((each) => each.id === backId);
    const apart =
      back && back.id !== place.id
        ? derive({
            figure: fuelFigure('tank.returnApart', scope),
            label: `${tank.name}, return from the pickup`,
            formula: returnApart,
            inputs: {
              outlet: following(flat([vectorOf(place)]), ['placements', place.id]),
              back: following(flat([vectorOf(back)]), ['placements', back.id]),
            },
          })
        : undefined;
    results.push(below, above, ...(apart ? [apart] : []));
    const vent = ventOf(solid, input);
    const vented = vent
      ? ventFigures({
          vent,
          name: tank.name,
          scope,
          outflow: given(peakFlow, 'case:peakPower'),
          volume: entered(tank.usableVolume, elementPath(circuit, tank, 'usableVolume')),
          length: input.routed[vent.line.id]?.length,
        })
      : [];
    results.push(...vented);
    const swirl = onMap.swirl
      ? derive({
          figure: fuelFigure('tank.swirlLasts', scope),
          label: `${tank.name}, its swirl pot lasts at peak`,
          formula: surgeReserve,
          inputs: {
            volume: entered(onMap.swirl, ['tanks', onMap.id, 'swirl']),
            flow: given(peakFlow, 'case:peakPower'),
          },
        })
      : undefined;
    return [
      {
        tankOnMapId: onMap.id,
        circuitId: circuit.id,
        elementId: tank.id,
        name: tank.name,
        usable: tank.usableVolume.value,
        starves,
        peakFlow,
        swirlLasts: swirl?.value,
        abovePickup: above.value,
        returnApart: apart?.value,
        vent,
        ventLoss: vented.find(({ figure }) => figure === 'tank.ventLoss')?.value,
        solid,
        onMap,
        outletPlace: place,
        returnPlace: back,
        results: swirl ? [...results, swirl] : results,
      },
    ];
  });
}

/** An attitude in the words of a sentence. */
export const attitudeWords: Readonly<Record<Attitude, string>> = {
  braking: 'braking',
  accelerating: 'accelerating',
  climbing: 'climbing',
  leftTurn: 'in a left turn',
  rightTurn: 'in a right turn',
};
