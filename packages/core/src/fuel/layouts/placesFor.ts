import { firstOf } from '../../numerics/index.ts';
import type { Build, FuelCircuit, Placement } from '../../model/index.ts';

/** Where a place lies that a layout needs and the build does not have: beside one it has. */
const beside: Readonly<
  Record<string, readonly [near: string, name: string, mm: readonly [number, number, number]]>
> = {
  'tank-outlet': ['tank-pump', 'Tank outlet', [0, 0, 0]],
  'tank-return': ['tank-outlet', 'Tank return', [0, 150, 200]],
  'tank-pump': ['tank-outlet', 'Pump in the tank', [0, 0, 0]],
  'tank-top': ['tank-outlet', 'Tank top', [0, 100, 250]],
  'coarse-filter': ['tank-outlet', 'Coarse filter', [150, 0, -40]],
  pump: ['tank-outlet', 'Fuel pump', [300, 0, -60]],
  'pump-2': ['pump', 'Second pump', [0, 120, 0]],
  'lift-pump': ['coarse-filter', 'Lift pump', [80, 0, -20]],
  'surge-tank': ['pump', 'Surge tank, bottom', [-60, 120, 20]],
  'surge-tank-top': ['pump', 'Surge tank, top', [-60, 120, 260]],
  'fine-filter': ['pump', 'Fine filter', [200, 0, 60]],
  'filter-regulator': ['tank-outlet', 'Filter-regulator', [200, 0, 100]],
  rail: ['regulator', 'Fuel rail', [0, 100, 0]],
  'rail-2': ['rail', 'Fuel rail, other bank', [0, -300, 0]],
  regulator: ['rail', 'Regulator', [80, 0, 0]],
  'y-block': ['rail', 'Y-block', [-200, -150, 0]],
};

/** Makes the places a circuit needs, under a prefix of their own where the circuit has one. */
export function placesFor(document: Build, circuit: FuelCircuit, prefix: string): Placement[] {
  const made = new Map<string, Placement>();
  const known = (id: string): Placement | undefined =>
    made.get(id) ?? document.placements.find((p) => p.id === id);
  const place = (id: string, trail: readonly string[] = []): Placement | undefined => {
    const there = known(id);
    if (there || trail.includes(id)) return there;
    const bare = prefix !== '' && id.startsWith(prefix) ? id.slice(prefix.length) : id;
    // A further circuit lies beside the first one's places.
    const shared = bare === id ? undefined : known(bare);
    const rule = beside[bare];
    const near = shared ?? (rule && place((bare === id ? '' : prefix) + rule[0], [...trail, id]));
    if (!near) return undefined;
    const [dx, dy, dz] = shared ? [0, 180, 0] : rule![2];
    const moved: Placement = {
      ...near,
      id,
      name: shared ? `${shared.name}, ${circuit.name}` : rule![1],
      x: { value: near.x.value + dx / 1e3, unit: 'mm' },
      y: { value: near.y.value + dy / 1e3, unit: 'mm' },
      z: { value: near.z.value + dz / 1e3, unit: 'mm' },
    };
    made.set(id, moved);
    return moved;
  };
  for (const node of circuit.nodes) {
    if (!place(node.placementId)) {
      // Nothing near is known: at the first place of the build, to be moved by hand.
      const first = firstOf(document.placements);
      made.set(node.placementId, { ...first, id: node.placementId, name: node.placementId });
    }
  }
  return [...made.values()];
}
