import { describe, expect, test } from 'vitest';
import { demoBuilds, sampleCatalogue } from '../../exchange/index.ts';
import type { Result } from '../../results/index.ts';
import { evaluate } from '../evaluate.ts';

type Inputs = Readonly<Record<string, number>>;
type Lists = Readonly<Record<string, readonly number[]>>;
/** How a person with a pocket calculator works a figure out of what its working lists. */
type ByHand = (i: Inputs, l: Lists) => number;

const sum = (values: readonly number[]): number => values.reduce((all, each) => all + each, 0);
const dotted = (...lists: readonly (readonly number[])[]): number =>
  sum(lists[0]!.map((_, k) => lists.reduce((product, list) => product * list[k]!, 1)));
const G = 9.80665;

type Place = readonly [number, number, number];
const placesOf = (flat: readonly number[]): Place[] =>
  Array.from({ length: flat.length / 3 }, (_, k) => flat.slice(3 * k, 3 * k + 3) as never);
const apart = (a: Place, b: Place): number => Math.hypot(...a.map((value, k) => value - b[k]!));
const between = (a: Place, b: Place): Place => a.map((value, k) => b[k]! - value) as never;
const angle = (a: Place, b: Place): number => {
  const cross = [
    a[1] * b[2] - a[2] * b[1],
    a[2] * b[0] - a[0] * b[2],
    a[0] * b[1] - a[1] * b[0],
  ] as const;
  return Math.atan2(Math.hypot(...cross), dotted(a, b));
};
/** Turns of a way at its corners, its ends left out. */
const turnsOf = (points: readonly number[]): number[] => {
  const places = placesOf(points);
  return places
    .slice(1, -1)
    .map((at, k) => angle(between(places[k]!, at), between(at, places[k + 2]!)));
};
const straights = (points: readonly number[]): number => {
  const places = placesOf(points);
  return sum(places.slice(1).map((at, k) => apart(places[k]!, at)));
};
/** A way with its corners rounded: each takes a tangent off both sides and gives an arc. */
const developed = (points: readonly number[], radii: readonly number[]): number => {
  const inner = radii.slice(1, -1);
  return (
    straights(points) -
    sum(turnsOf(points).map((turn, k) => inner[k]! * (2 * Math.tan(turn / 2) - turn)))
  );
};
/** Places along a rounded way, one a fifth of a millimetre after the other. */
function along(points: readonly number[], radii: readonly number[]): Place[] {
  const places = placesOf(points);
  const turns = turnsOf(points);
  const moved = (from: Place, way: Place, far: number): Place => {
    const long = Math.hypot(...way);
    return from.map((value, k) => value + (way[k]! * far) / long) as never;
  };
  const found: Place[] = [];
  const straight = (from: Place, to: Place): void => {
    const steps = Math.max(1, Math.ceil(apart(from, to) / 2e-4));
    for (let k = 0; k <= steps; k++)
      found.push(moved(from, between(from, to), (apart(from, to) * k) / steps || 0));
  };
  let last = places[0]!;
  places.slice(1, -1).forEach((corner, k) => {
    const [turn, radius] = [turns[k]!, radii[k + 1]!];
    if (turn < 1e-9 || radius === 0) return;
    const cut = radius * Math.tan(turn / 2);
    const [into, out] = [between(corner, places[k]!), between(corner, places[k + 2]!)];
    const [begin, end] = [moved(corner, into, cut), moved(corner, out, cut)];
    if (apart(last, begin) > 1e-12) straight(last, begin);
    const towards = into.map(
      (value, n) => value / Math.hypot(...into) + out[n]! / Math.hypot(...out),
    );
    const middle = moved(corner, towards as never, radius / Math.cos(turn / 2));
    const steps = Math.ceil((radius * turn) / 2e-4);
    const [a, b] = [between(middle, begin), between(middle, end)];
    for (let n = 0; n <= steps; n++) {
      const share = n / steps;
      const [left, right] = [Math.sin((1 - share) * turn), Math.sin(share * turn)];
      found.push(
        middle.map((value, m) => value + (left * a[m]! + right * b[m]!) / Math.sin(turn)) as never,
      );
    }
    last = end;
  });
  straight(last, places.at(-1)!);
  return found;
}
/** Places of a stretch of a rounded way, from and to so far along it. */
const stretchOf = (l: Lists): Place[] => {
  const all = along(l['points']!, l['radii']!);
  const [from, to] = l['stretch']! as readonly [number, number];
  let far = 0;
  return all.filter((at, k) => {
    far += k === 0 ? 0 : apart(all[k - 1]!, at);
    return far >= from - 2e-4 && far <= to + 2e-4;
  });
};
const toStraight = (at: Place, from: Place, to: Place): number => {
  const [way, there] = [between(from, to), between(from, at)];
  const share = Math.min(1, Math.max(0, dotted(way, there) / dotted(way, way)));
  return Math.hypot(...there.map((value, k) => value - share * way[k]!));
};
const toPolyline = (at: Place, flat: readonly number[]): number => {
  const places = placesOf(flat);
  if (places.length === 1) return apart(at, places[0]!);
  return Math.min(...places.slice(1).map((to, k) => toStraight(at, places[k]!, to)));
};
/** Distance of a place from a box; within it, below 0, to the nearest of its faces. */
const toBox = (at: Place, flat: readonly number[]): number => {
  const [low, high] = placesOf(flat) as [Place, Place];
  const beyond = at.map((value, k) => Math.max(low[k]! - value, value - high[k]!));
  return Math.max(...beyond) <= 0
    ? Math.max(...beyond)
    : Math.hypot(...beyond.map((value) => Math.max(0, value)));
};
const least = (values: readonly number[]): number => values.reduce((a, b) => Math.min(a, b));
const boxOf = (flat: readonly number[]): Place => {
  const [low, high] = placesOf(flat);
  return between(low!, high!);
};
/** Friction by Colebrook, halving what lies between; 64/Re below 2300; not told between the two. */
function friction(re: number, roughness: number): number {
  if (re <= 2300) return 64 / re;
  if (re < 4000) return Number.NaN;
  let [low, high] = [1e-3, 1];
  for (let k = 0; k < 200; k++) {
    const f = Math.sqrt(low * high);
    const rough = roughness / 3.7 + 2.51 / (re * Math.sqrt(f));
    if (1 / Math.sqrt(f) > -2 * Math.log10(rough)) low = f;
    else high = f;
  }
  return low;
}
const reynolds = (i: Inputs): number =>
  (4 * i['massFlow']!) / (Math.PI * i['bore']! * i['viscosity']!);

/** Formulas in the words of their notation, worked out here once more. */
const byHand: Readonly<Record<string, ByHand>> = {
  // Lengths and ways
  'developed length': (_, l) => developed(l['points']!, l['radii']!),
  'length along places': (_, l) => straights(l['places']!),
  'number of bends': (_, l) => turnsOf(l['points']!).filter((turn) => turn > 1e-6).length,
  'bent in all': (_, l) => sum(turnsOf(l['points']!)),
  'length estimated from the map': (_, l) =>
    Math.max(0.15, 1.1 * sum(l['from']!.map((value, k) => Math.abs(value - l['to']![k]!)))),
  'uncertainty of a length': (_, l) =>
    l['ends']!.length === 2 ? Math.sqrt(sum(l['ends']!.map((e) => e * e)) / 2) : l['ends']![0]!,
  'best known length': (_, l) => l['known']![0]!,
  'high point': (_, l) => -least(along(l['points']!, l['radii']!).map(([, , z]) => -z)),
  'low point': (_, l) => least(along(l['points']!, l['radii']!).map(([, , z]) => z)),
  'tightest bend, inside of it': (i, l) =>
    least(l['radii']!.slice(1, -1).filter((_r, k) => turnsOf(l['points']!)[k]! > 1e-9)) -
    i['outsideDiameter']! / 2,
  'turn between a port and its line': (i, l) => {
    const places = placesOf(l['points']!);
    const way =
      i['atEnd'] === 1 ? between(places.at(-1)!, places.at(-2)!) : between(places[0]!, places[1]!);
    return angle(placesOf(l['port']!)[0]!, way);
  },
  'clearance to a pipe, shaft, edge or cable': (i, l) =>
    least(stretchOf(l).map((at) => toPolyline(at, l['rod']!))) -
    i['outsideDiameter']! / 2 -
    i['rodDiameter']! / 2 -
    i['travel']!,
  'clearance to a box': (i, l) =>
    least(stretchOf(l).map((at) => toBox(at, l['box']!))) -
    i['outsideDiameter']! / 2 -
    i['travel']!,
  clamps: (i) => Math.max(1, Math.ceil((i['length']! - 0.24) / i['pitch']! - 1e-9) + 1),
  'clamps that are placed': (_, l) => l['places']!.length,
  'longest stretch without a clamp': (i, l) => {
    const at = [0, ...[...l['places']!].sort((a, b) => a - b), i['length']!];
    return Math.max(...at.slice(1).map((value, k) => value - at[k]!));
  },
  'lowest point of all lines': (_, l) => Math.min(...l['lowPoints']!),
  'lines above the lowest protected member': (i) => i['lowest']! - i['protected']!,
  'clearance beyond what is asked': (i) => i['clearance']! - i['needed']!,
  'cut length': (i, l) => {
    const length = (i['length']! - sum(l['adapters']!)) * (1 + i['slack']!) - sum(l['cutOffs']!);
    return Math.ceil(length / 0.005 - 1e-6) * 0.005;
  },
  'shortening under pressure, of its length': (i) =>
    (i['shortens']! * i['pressure']!) / i['rated']!,
  'return from the pickup': (_, l) => apart(placesOf(l['outlet']!)[0]!, placesOf(l['back']!)[0]!),

  // Vehicle
  'overall length': (i) => i['wheelbase']! + i['front']! + i['rear']!,
  'area of the outline from the side': (_, l) => {
    const [x, z] = [l['x']!, l['z']!];
    const next = (k: number): number => (k + 1) % x.length;
    return Math.abs(sum(x.map((value, k) => value * z[next(k)]! - x[next(k)]! * z[k]!))) / 2;
  },
  'area from the front': (i) => i['width']! * i['height']!,
  'height of the axles': (i) => i['tyre']! / 2,
  'room between the tyres': (i) => i['track']! - 0.3 * i['tyre']!,
  'surface of a hot pipe': (i) => Math.PI * i['diameter']! * i['length']!,
  'hotter than a hose bears to touch': (i) => i['temperature']! - 333.15,
  'room asked by a hot surface': (i) =>
    i['temperature']! <= 333.15 ? 0 : i['turbine'] === 1 ? 0.2 : 0.1,
  'room asked by what moves': (i) =>
    i['travel']! + (i['travel']! > 0 || i['whips'] === 1 ? 0.05 : 0.025),
  'metal left beside a hole': (i, l) => {
    const [corner, next, other] = placesOf(l['places']!);
    const there = between(corner!, placesOf(l['hole']!)[0]!);
    const room = [next!, other!].flatMap((far) => {
      const way = between(corner!, far);
      const at = dotted(way, there) / Math.hypot(...way);
      return [at, Math.hypot(...way) - at];
    });
    return least(room) - i['bore']! / 2;
  },
  'room of a box': (i, l) =>
    boxOf(l['places']!).reduce((room, side) => room * (side + 2 * i['travel']!), 1),
  'area of a sheet': (_, l) => {
    const [corner, next, other] = placesOf(l['places']!);
    const [a, b] = [between(corner!, next!), between(corner!, other!)];
    return Math.hypot(...a) * Math.hypot(...b) * Math.sin(angle(a, b));
  },
  'length around a sheet': (_, l) => {
    const [corner, next, other] = placesOf(l['places']!);
    return 2 * (apart(corner!, next!) + apart(corner!, other!));
  },
  'room of a shaft with its movement': (i, l) => {
    const radius = i['diameter']! / 2 + i['travel']!;
    return Math.PI * radius ** 2 * (straights(l['places']!) + (4 / 3) * radius);
  },
  'clips along a mounting line': (i) => Math.floor(i['length']! / i['pitch']! + 1e-9) + 1,
  'off what the tape says': (_, l) =>
    apart(placesOf(l['onMap']!)[0]!, placesOf(l['measured']!)[0]!),
  'as entered': (i) => i['entered']!,
  'flow velocity in another line': (i) => (4 * i['flow']!) / (Math.PI * i['bore']! ** 2),
  'room beyond what is asked of a part': (i) => i['clearance']! - i['needed']!,
  'load of a bolt in a hard knock': (i) => (20 * G * i['mass']!) / i['bolts']!,
  'from the part to what carries it': (i) => i['reach']!,

  // Tanks
  'fuel that is never drawn': (i, l) => {
    const [x, y, z] = boxOf(l['box']!);
    return x * y * Math.min(z, i['height']!);
  },
  'room of the tank above its pickup': (i, l) => {
    const [x, y, z] = boxOf(l['box']!);
    return x * y * Math.max(0, z - i['height']!);
  },
  'air through a vent': (i) => i['outflow']! + (i['volume']! * 1.1e-3 * 20) / 3600,
  // Air of 1.15 kg/m³ and 19 µPa·s in a smooth bore.
  'pressure that a vent leaves in the tank': (i) => {
    const velocity = (4 * i['flow']!) / (Math.PI * i['bore']! ** 2);
    const f = friction((1.15 * velocity * i['bore']!) / 1.9e-5, 1e-6);
    return (((f * i['length']!) / i['bore']! + 4) * 1.15 * velocity ** 2) / 2;
  },
  'reserve of the surge tank': (i) => i['volume']! / i['flow']!,
  'rise of tank temperature in an hour': (i) => {
    const heat = i['electricalPower']! + i['railHeat']!;
    const rate = (i['heatLoss']! * 3600) / (i['volume']! * i['density']! * i['specificHeat']!);
    return (heat / i['heatLoss']!) * (1 - Math.exp(-rate));
  },
  'tank temperature after an hour': (i) => i['ambient']! + i['rise']!,

  // Engine and fuel
  'ambient pressure at altitude': (i) =>
    101_325 * (1 - (0.0065 * i['altitude']!) / 288.15) ** 5.25588,
  'compressor outlet temperature': (i) => {
    const ratio = (i['ambientPressure']! + i['boost']!) / i['ambientPressure']!;
    return i['ambient']! * (1 + (ratio ** 0.286 - 1) / i['efficiency']!);
  },
  'charge temperature behind a cooler': (i) =>
    i['outlet']! - i['effectiveness']! * (i['outlet']! - i['ambient']!),
  'temperature above ambient': (i) => i['ambient']! + i['rise']!,
  'temperature as entered': (i) => i['entered']!,
  'blend density at 15 °C': (i) =>
    i['ethanolShare']! * i['ethanolDensity']! + (1 - i['ethanolShare']!) * i['petrolDensity']!,
  'ethanol mass fraction': (i) => (i['ethanolShare']! * i['ethanolDensity']!) / i['blendDensity']!,
  'stoichiometric air-fuel ratio of a blend': (i) =>
    i['ethanolMassFraction']! * i['ofEthanol']! + (1 - i['ethanolMassFraction']!) * i['ofPetrol']!,
  'lower heating value of a blend': (i) =>
    i['ethanolMassFraction']! * i['ofEthanol']! + (1 - i['ethanolMassFraction']!) * i['ofPetrol']!,
  'consumption of a blend against E0': (i) =>
    1 + 0.88 * (i['petrolHeatingValue']! / i['heatingValue']! - 1),
  'fuel density at temperature': (i) =>
    i['density15']! / (1 + i['expansion']! * (i['temperature']! - 288.15)),
  'stoichiometric ratio over the rows': (_, l) =>
    1 / sum(l['shares']!.map((share, k) => share / l['ratios']![k]!)),
  'consumption factor of a fuel against E0': (_, l) => dotted(l['shares']!, l['factors']!),
  'fuel flow from power': (i) => i['power']! * i['specificConsumption']! * i['fuelFactor']!,
  'absolute manifold pressure': (i) => i['ambient']! + i['boost']! * i['boostShare']!,
  'air flow': (i) =>
    ((i['volumetricEfficiency']! * i['manifoldAbsolute']!) / (287.05 * i['chargeTemperature']!)) *
    i['displacement']! *
    i['fillsPerRevolution']! *
    i['speed']!,
  'fuel flow from air': (i) => i['airFlow']! / (i['stoichAirFuelRatio']! * i['lambda']!),
  'disagreement of the two schools': (i) =>
    Math.abs(i['byPower']! - i['byAir']!) / Math.max(i['byPower']!, i['byAir']!),
  'implied specific consumption': (i) => i['byAir']! / (i['power']! * i['fuelFactor']!),
  'implied volumetric efficiency': (i) =>
    (i['volumetricEfficiency']! * i['byPower']!) / i['byAir']!,
  'implied manifold pressure, charge heated by the compressor': (i) => {
    const wanted =
      (i['byPower']! / i['byAir']!) * (i['manifoldAbsolute']! / i['chargeTemperature']!);
    const charge = (boost: number): number => {
      const ratio = (i['ambient']! + boost) / i['ambient']!;
      const rise = (i['ambientTemperature']! * (ratio ** 0.286 - 1)) / i['efficiency']!;
      return i['ambientTemperature']! + (1 - i['effectiveness']!) * rise;
    };
    let [low, high] = [0, 5e5];
    for (let k = 0; k < 200; k++) {
      const boost = (low + high) / 2;
      if ((i['ambient']! + boost) / charge(boost) < wanted) low = boost;
      else high = boost;
    }
    return low;
  },
  'implied manifold pressure': (i) =>
    (i['manifoldAbsolute']! * i['byPower']!) / i['byAir']! - i['ambient']!,
  'demand carried forward': (i) =>
    [Math.max(i['byPower']!, i['byAir']!), i['byPower']!, i['byAir']!][i['pick']!]!,
  'scaled flow': (i) => (i['mapPeak']! * i['carried']!) / i['byAirAtPower']!,
  'design demand': (i) => i['peak']! * i['designFactor']!,
  'shift of mixture over the seasons': (i) => i['planned']! / i['lowest']! - 1,
  'density from the fuel table': () => 796,
  'air-fuel ratio from the fuel table': () => 6.46,
  'heating value from the fuel table': () => 19.9e6,
  'consumption against E0 from the fuel table': () => 2.18,
  // Antoine's equation of methanol, mmHg and °C.
  'vapour pressure of methanol': (i) =>
    133.322 * 10 ** (8.08097 - 1582.271 / (i['temperature']! - 273.15 + 239.726)),
  'fuel at cruise': (i) =>
    (i['power']! * i['partLoadConsumption']! * i['petrolHeatingValue']! * i['share']!) /
    i['heatingValue']!,
  'consumption by time': (i) => i['massFlow']! / i['density']!,
  'consumption by distance': (i) => i['consumption']! / i['roadSpeed']!,
  range: (i) => (i['usableVolume']! * i['roadSpeed']!) / i['consumption']!,

  // Circuit
  'Reynolds number': reynolds,
  'mean velocity': (i) => i['massFlow']! / (i['density']! * Math.PI * (i['bore']! / 2) ** 2),
  'pressure loss of a line': (i, l) => {
    const velocity = (bore: number): number =>
      i['massFlow']! / (i['density']! * Math.PI * (bore / 2) ** 2);
    const head = (bore: number): number => (i['density']! * velocity(bore) ** 2) / 2;
    return (
      ((friction(reynolds(i), i['roughness']! / i['bore']!) * i['length']!) / i['bore']! +
        i['bendLoss']!) *
        head(i['bore']!) +
      sum(
        l['lossCoefficients']!.map(
          (loss, k) => loss * l['fittingCounts']![k]! * head(l['fittingBores']![k]!),
        ),
      )
    );
  },
  'pressure difference across': (i) => i['inlet']! - i['outlet']! - i['staticHead']!,
  'voltage at the pump': (i) => i['systemVoltage']! - i['current']! * i['resistance']!,
  'pump flow available': (i) => Math.max(0, (i['engine']! + i['spare']!) / i['density']!),
  'volume flow': (i) => i['massFlow']! / i['density']!,
  'pump margin': (i) => i['available']! / i['needed']! - 1,
  'pressure along the run': (i, l) =>
    i['tank']! + i['pumpRise']! - sum(l['losses']!) - i['staticHead']!,
  'pressure above vapour pressure': (i) => i['gauge']! + i['ambient']! - i['vapour']!,
  'head left at the inlet': (i) => i['gauge']! + i['ambient']! - i['vapour']! - i['need']!,
  'regulator reserve': (i) =>
    i['setPressure']! +
    i['manifoldRatio']! * i['manifold']! -
    35e3 -
    (i['outlet']! + i['wideOpenLoss']!),
  'compliance of the pressure side': (i, l) =>
    sum(l['volumes']!.map((v, k) => v * (1 / i['fuelModulus']! + 1 / l['wallModuli']![k]!))),
  'prime time of a full line': (i) => (0.9 * i['compliance']! * i['setPressure']!) / i['flow']!,
  'prime time of an empty line': (i) => i['volume']! / i['flow']!,
  'primes to fill an empty line': (i) =>
    Math.ceil((i['emptyTime']! + i['fullTime']!) / i['keyOnTime']!),

  // Injectors
  'injector pressure difference': (i) => i['rail']! - i['manifold']!,
  'static injector flow': (i) =>
    i['ratedFlow']! *
    Math.sqrt(i['ratedDensity']! * i['fuelDensity']!) *
    Math.sqrt(i['pressureDifference']! / i['ratedPressure']!),
  'time between shots': (i) => i['revolutionsPerCycle']! / (i['shotsPerCycle']! * i['speed']!),
  'pulse width': (i) =>
    (i['rowMassFlow']! * i['period']!) / (i['count']! * i['staticMassFlow']!) + i['deadTime']!,
  'injector duty': (i) => i['pulse']! / i['period']!,
  sag: (i) => 1 - i['pressureDifference']! / i['assumed']!,
  'effective pulse': (i) => i['pulse']! - i['deadTime']!,
  'turn-down': (i) =>
    (i['peakMassFlow']! * i['idlePeriod']!) /
    (i['staticMassFlow']! * i['smallestEffectivePulse']! * i['count']!),
  'engine fuel at which a row joins': (i) =>
    ((i['aboveDuty']! * i['period']! - i['deadTime']!) * i['staticMassFlow']! * i['count']!) /
    (i['period']! * i['share']!),
  'coil current held open': (i) => i['voltage']! / (i['coil']! + i['ballast']!),
  'current of a row held open': (i) => i['count']! * i['current']!,
  'force that pushes an injector out of the rail': (i) =>
    (i['pressure']! * Math.PI * i['bore']! ** 2) / 4,
  'force that lifts the rail': (i) => i['each']! * i['count']!,
  'seat distance beyond the injector': (i) => i['seatDistance']! - i['reach']!,
  'bore beyond what the seal is for': (i) => i['bore']! - i['seal']!,
  'room beside the next injector': (i) => i['bossSpacing']! - i['barrel']!,

  // Wiring
  'resistance of a wire': (i) =>
    i['resistancePerMetre']! * (1 + 0.00393 * (i['temperature']! - 293.15)) * i['length']!,
  'drop along one wire': (i) => i['current']! * i['resistance']!,
  'voltage drop in wire': (_, l) =>
    dotted(
      l['currents']!,
      l['resistancesPerMetre']!,
      l['temperatures']!.map((t) => 1 + 0.00393 * (t - 293.15)),
      l['lengths']!,
    ),
  'resistance from battery to pump and back': (i, l) =>
    i['own']! + dotted(l['shared']!, l['others']!) / i['current']!,
  'permissible current for a start': (i) =>
    226e6 *
    i['area']! *
    Math.sqrt(
      Math.log((i['limit']! - 273.15 + 234.5) / (i['ambient']! - 273.15 + 234.5)) / i['seconds']!,
    ),
  'conductor temperature after a start': (i) =>
    (i['ambient']! - 273.15 + 234.5) *
      Math.exp((i['current']! / (226e6 * i['area']!)) ** 2 * i['seconds']!) -
    234.5 +
    273.15,
  'fuse rating': (i) => i['rating']!,
  'fuse rating when hot': (i) => i['rating']! * (1 - 0.0015 * (i['ambient']! - 298.15)),
  'conductor area': (i) => i['area']!,
  'relay coil current': (i) => i['voltage']! / i['coilResistance']!,
  'voltage at a device': (i) => i['supply']! - i['back']!,
  'rise of a ground': (i) => i['ground']! - i['battery']!,
  'error of a pressure sensor from its ground': (i) => (i['rise']! / i['volts']!) * i['span']!,
  'error of a temperature sensor from its ground': (i) => {
    const kelvin = 363.15;
    const ohms = i['resistanceAt25']! * Math.exp(i['beta']! * (1 / kelvin - 1 / 298.15));
    const volts = i['rise']! + ((5 - i['rise']!) * ohms) / (ohms + i['pullUp']!);
    const read = (i['pullUp']! * volts) / (5 - volts);
    return 1 / (1 / 298.15 + Math.log(read / i['resistanceAt25']!) / i['beta']!) - kelvin;
  },
  'pin of a signal': (i) => i['place']!,
  'spare pins': (i) => i['able']! - i['taken']!,
  'resistance across a bus': (_, l) => 1 / sum(l['terminators']!.map((ohms) => 1 / ohms)),
  'total load': (_, l) => sum(l['sources']!),
  'what the alternator gives': (_, l) =>
    sum(l['rated']!) * l['shares']!.reduce((all, share) => all * share, 1),
  'margin of the alternator': (i) => i['available']! / i['load']! - 1,
  'how long the battery makes up': (i) =>
    (i['capacity']! * i['usable']!) / (i['load']! - i['available']!),
  'drain with the key off': (_, l) => sum(l['loads']!),
  'days until flat': (i) => (i['capacity']! * i['usable']!) / i['drain']! / 86_400,
  'charge taken from the battery': (i) => i['current']! * i['time']!,
  'temperature between on and off': (i) => Math.abs(i['on']! - i['off']!),
  'width of a panel': (i) => i['width']!,
  'height of a panel': (i) => i['height']!,

  // Harness
  'length of a segment': (_, l) => l['known']![0]!,
  'length of a wire in the harness': (i, l) => {
    const laid = i['twist']! * i['lay']! * dotted(l['shares']!, l['segments']!);
    const more = dotted(l['shares']!, l['loops']!) + sum(l['ends']!) + 0.015 * i['breakouts']!;
    return Math.ceil((1.02 * laid + more) / 0.01 - 1e-6) * 0.01;
  },
  'wires in a segment': (_, l) => l['wires']!.length,
  'outside diameter of a covered bundle': (i, l) => i['bundle']! + 2 * sum(l['walls']!),
  'least bend of a bundle': (i) => i['times']! * i['diameter']!,
  'size of a sleeve': (i) => i['nominal']!,
  'ties of a laced bundle': (i) => Math.ceil(i['length']! / 0.06 - 1e-9) + 1,
  'bore for a bulkhead connector': (i) => i['shell']!,
  'ways of a connector': (i) => i['cavities']!,
  'ways of a connector that are used': (i) => i['used']!,
  'segment of a splice': (i) => i['number']!,
  'wire in the harness': (_, l) => sum(l['wires']!),
  'way of the wires over the lower bound': (_, l) => sum(l['ways']!) / sum(l['straight']!),
  'mass of the harness': (i, l) =>
    dotted(l['wires']!, l['perMetre']!) +
    dotted(l['covered']!, l['coverPerMetre']!) +
    dotted(l['ends']!, l['eachEnd']!) +
    1e-3 * i['ofLooms']!,
  'price of the harness': (_, l) =>
    dotted(l['wires']!, l['perMetre']!) +
    dotted(l['covered']!, l['coverPerMetre']!) +
    dotted(l['ends']!, l['eachEnd']!) +
    sum(l['looms']!),
  'hours to build the harness': (i, l) =>
    60 *
      (4 * i['wires']! +
        1.5 * i['contacts']! +
        8 * i['splices']! +
        6 * i['legs']! +
        20 * i['changed']!) +
    dotted(l['covered']!, l['perMetre']!),
  'length of a wire that is cut': (i) => i['cut']!,
  'length of a wire in a bought leg': (i) => i['leg']!,
  'length of a leg': (i) => i['bought']! + i['changed']!,
  'slack of a leg': (i) => i['length']! - i['needed']!,
  'length that a leg needs': (i, l) =>
    1.02 * (sum(l['segments']!) + 2 * Math.max(0, i['leavesAt']! - i['shared']!)) +
    sum(l['loops']!),

  'sneak paths': (i) => i['found']!,
  'situations looked at': (i) => i['found']!,
  'failures that leave a pump running': (i) => i['found']!,
  'deciding criterion': (_, l) => l['failing']![0] ?? 0,

  // Parts
  'count of a part': (_, l) => sum(l['uses']!),
  'hose that is cut, in all': (_, l) => sum(l['pieces']!),
};

/** Formulas that no pocket calculator does in a line: searches, packings, curves, tables. */
const notByHand = new Set<string>([
  'diameter of a bundle',
  'diameter of a bundle in layers',
  'bore beside a bulkhead connector',
  'hole saw of a pass-through',
  'hottest inside a bundle',
  'permissible current',
  'conductor temperature',
  'pump current from its curves',
  'Reid value of the petrol in a blend',
  'vapour pressure of a petrol-ethanol blend',
  'blend viscosity',
  'methanol viscosity',
  'loss coefficient of all bends',
  'room from a part to a box',
  'room from a part to a pipe or shaft',
  'lowest corner of a part',
  'length of the bolts',
  'flat plate, along the part',
  'flat plate, across the part',
  'least distance of two holes',
  'mass of a plate',
  'fuel at which the pickup falls dry',
  'clocking of two angled ends',
  'hose to buy',
  'hose that is no piece',
]);

/** What is looked for along a way step by step is as good as the steps are short. */
const stepped = new Set([
  'high point',
  'low point',
  'clearance to a pipe, shaft, edge or cable',
  'clearance to a box',
]);

const resultsOf = demoBuilds.map(
  ({ document }) => [document.name, evaluate(document, sampleCatalogue).results] as const,
);

const inputsOf = ({ working }: Result): readonly [Inputs, Lists] => [
  Object.fromEntries(
    working.inputs.flatMap(({ name, value }) => (typeof value === 'number' ? [[name, value]] : [])),
  ),
  Object.fromEntries(
    working.inputs.flatMap(({ name, value }) => (Array.isArray(value) ? [[name, value]] : [])),
  ),
];

describe.each(resultsOf)('figures of %s, reckoned anew from what they list', (_, results) => {
  const present = [...new Set(results.map(({ working }) => working.formula))].filter(
    (formula) => formula in byHand,
  );

  test.each(present)('%s', (formula) => {
    const wrong = results
      .filter(({ working }) => working.formula === formula)
      .flatMap((result) => {
        const expected = byHand[formula]!(...inputsOf(result));
        if (Number.isNaN(expected)) return [];
        const size = Math.max(Math.abs(expected), Math.abs(result.value), 1e-9);
        const off = Math.abs(result.value - expected);
        return off > (stepped.has(formula) ? 2e-6 : 1e-7 * size)
          ? [`${result.key}: ${result.value}, by hand ${expected}`]
          : [];
      });
    expect(wrong).toEqual([]);
  });
});

test('every formula of the demos is reckoned, but for those that take a search or a curve', () => {
  const used = new Set(resultsOf.flatMap(([, all]) => all.map(({ working }) => working.formula)));
  const left = [...used].filter((formula) => !(formula in byHand) && !notByHand.has(formula));
  expect(left).toEqual([]);
  expect([...notByHand].filter((formula) => !used.has(formula))).toEqual([]);
});
