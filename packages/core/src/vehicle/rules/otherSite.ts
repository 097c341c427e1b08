import type { BuildCommand } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked } from '../checked.ts';
import {
  type ComponentCheck,
  type ComponentFault,
  type PlacedComponent,
  bodyAt,
  checkComponent,
  componentFaults,
  sideOf,
} from '../components/index.ts';
import type { RoutePoint } from '../geometry/path.ts';
import { pointToSegment } from '../geometry/distances.ts';
import { type Vector, along, subtract, unit } from '../geometry/vector.ts';
import type { RoutedLine } from '../routes/routedLine.ts';
import { vectorOf } from '../places/vectorOf.ts';
import { isNoWorse } from '../routing/movedPoints.ts';

/** How far a part is moved at most, and in which steps, m. */
const FURTHEST = 0.4;
const STEP = 0.01;
/** A part within so far of a mounting line slides along it, m. */
const BESIDE = 0.3;
const QUARTER = Math.PI / 2;

/** Where a place would be instead: elsewhere, or looking another way. */
interface Site {
  readonly at: Vector;
  readonly heading: number;
}

const siteOf = ({ placement }: PlacedComponent): Site => ({
  at: vectorOf(placement),
  heading: placement.heading?.value ?? 0,
});

/** A component as it would sit at another site. */
function sittingAt(component: PlacedComponent, { at, heading }: Site): PlacedComponent {
  const mm = (value: number) => quantity(value * 1e3, 'length', 'mm');
  const placement = {
    ...component.placement,
    x: mm(at[0]),
    y: mm(at[1]),
    z: mm(at[2]),
    heading: { value: heading, unit: '°' },
  };
  return { ...component, placement, body: bodyAt(placement, component.item) };
}

/** The points of a line whose ends follow the parts of a place to another site. */
function pointsAt(
  line: RoutedLine,
  placementId: string,
  site: Site,
  moved: readonly PlacedComponent[],
): readonly RoutePoint[] {
  const last = line.points.length - 1;
  return line.points.map((point, i) => {
    const end = i === 0 ? 0 : i === last ? 1 : undefined;
    if (end === undefined || line.ends[end] !== placementId) return point;
    const port = line.ports[end];
    const part = moved.find(({ id }) => id === port?.componentId);
    return { ...point, at: port?.side && part ? sideOf(part.body, port.side).at : site.at };
  });
}

/** Whether a place elsewhere rids a part of its fault and brings none, to it or to its lines. */
function isBetterSite(
  checked: VehicleChecked,
  check: ComponentCheck,
  site: Site,
  rid: (fault: ComponentFault) => boolean,
): boolean {
  const { map } = checked;
  const placementId = check.component.placement.id;
  const here = map.components.filter((c) => c.component.placement.id === placementId);
  const moved = here.map(({ component }) => sittingAt(component, site));
  const ids = new Set(here.map(({ component }) => component.id));
  const around = {
    ...map.around,
    obstacles: map.around.obstacles.filter((o) => !(o.kind === 'component' && ids.has(o.id))),
  };
  const key = (fault: ComponentFault): string => `${fault.kind}:${fault.id}`;
  const partsHold = here.every((before, i) => {
    const component = moved[i];
    if (!component) return false;
    const known = new Set(componentFaults(before, around).map(key));
    return componentFaults(checkComponent(component, around), around).every(
      (fault) => known.has(key(fault)) && !(component.id === check.component.id && rid(fault)),
    );
  });
  return (
    partsHold &&
    map.lines
      .filter((line) => line.ends.includes(placementId))
      .every((line) => isNoWorse(line, pointsAt(line, placementId, site, moved), around))
  );
}

const compass: readonly (readonly [words: string, direction: Vector])[] = [
  ['up', [0, 0, 1]],
  ['down', [0, 0, -1]],
  ['to the left', [0, 1, 0]],
  ['to the right', [0, -1, 0]],
  ['forward', [1, 0, 0]],
  ['back', [-1, 0, 0]],
];

/** Ways along the mounting line that carries a part. */
function alongRails(checked: VehicleChecked, at: Vector): readonly (readonly [string, Vector])[] {
  return checked.vehicle.mountingLines.flatMap(({ name, ...line }) => {
    const rail = { from: vectorOf(line.from), to: vectorOf(line.to) };
    if (pointToSegment(at, rail).distance > BESIDE) return [];
    const direction = unit(subtract(rail.to, rail.from));
    return [
      [`along ${name}`, direction] as const,
      [`back along ${name}`, [-direction[0], -direction[1], -direction[2]] as Vector] as const,
    ];
  });
}

const rounded = ([x, y, z]: Vector): Vector => [
  Math.round(x * 1e3) / 1e3,
  Math.round(y * 1e3) / 1e3,
  Math.round(z * 1e3) / 1e3,
];

function moveCure(check: ComponentCheck, at: Vector, text: string): Cure<BuildCommand> {
  const { placement, name } = check.component;
  return {
    text,
    command: {
      name: 'set-several',
      label: `Move the ${name.toLowerCase()}`,
      changes: (['x', 'y', 'z'] as const).map((axis, k) => ({
        path: ['placements', placement.id, axis],
        value: quantity((at[k] ?? 0) * 1e3, 'length', 'mm'),
      })),
    },
  };
}

/**
 * The least slide of a part along its mounting line, without a new fault, that makes a line that
 * ends at it as wanted; undefined where nothing carries the part, or no slide does.
 */
export function slideAlongRail(
  checked: VehicleChecked,
  placementId: string,
  line: RoutedLine,
  wanted: (points: readonly RoutePoint[]) => boolean,
): Cure<BuildCommand> | undefined {
  const here = checked.map.components.filter((c) => c.component.placement.id === placementId);
  const [check] = here;
  if (!check || check.component.placement.fixing?.onto.kind !== 'mounting-line') return undefined;
  const site = siteOf(check.component);
  const ways = alongRails(checked, site.at);
  for (let by = STEP; by <= FURTHEST + 1e-9; by += STEP) {
    for (const [words, direction] of ways) {
      const there = { ...site, at: rounded(along(site.at, direction, by)) };
      const moved = here.map(({ component }) => sittingAt(component, there));
      if (!wanted(pointsAt(line, placementId, there, moved))) continue;
      if (!isBetterSite(checked, check, there, () => false)) continue;
      const name = check.component.name.toLowerCase();
      return moveCure(check, there.at, `Slide the ${name} ${Math.round(by * 1e3)} mm ${words}`);
    }
  }
  return undefined;
}

/** The least turn, and the least move, that rids a part of a fault without another. */
export function otherSite(
  checked: VehicleChecked,
  check: ComponentCheck,
  rid: (fault: ComponentFault) => boolean,
): Cure<BuildCommand>[] {
  const { placement, name } = check.component;
  const site = siteOf(check.component);
  const cures: Cure<BuildCommand>[] = [];
  for (const turn of [2 * QUARTER, QUARTER, -QUARTER]) {
    const heading = Math.atan2(Math.sin(site.heading + turn), Math.cos(site.heading + turn));
    if (!isBetterSite(checked, check, { ...site, heading }, rid)) continue;
    const degrees = Math.round((heading * 180) / Math.PI);
    cures.push({
      text: `Turn it, its front to ${degrees}°`,
      command: {
        name: 'set-several',
        label: `Turn the ${name.toLowerCase()}`,
        changes: [
          {
            path: ['placements', placement.id, 'heading'],
            value: quantity(degrees, 'angle', '°'),
          },
        ],
      },
    });
    break;
  }
  const ways = [...alongRails(checked, site.at), ...compass];
  for (let by = STEP; by <= FURTHEST + 1e-9; by += STEP) {
    for (const [words, direction] of ways) {
      const at = rounded(along(site.at, direction, by));
      if (!isBetterSite(checked, check, { ...site, at }, rid)) continue;
      cures.push(moveCure(check, at, `Move it ${Math.round(by * 1e3)} mm ${words}`));
      return cures;
    }
  }
  return cures;
}
