import { keyPositions, type KeyPosition } from '../slices/vehicleSignals.ts';
import { CHASSIS, type NetPart, type Netlist } from '../netlist/netlist.ts';
import { aliveAt } from './aliveAt.ts';
import { type Branch, type Condensed, Condensing, type Gate, type Taker } from './condensed.ts';
import { CondensedCircuit } from './condensedSolution.ts';
import { type Meeting, meeting, reach, wayTo } from './ways.ts';

/** What is broken while a sneak path is looked for: nothing, one fuse out, one ground open. */
export interface Broken {
  readonly partId: string;
  readonly name: string;
  readonly kind: 'fuse out' | 'ground open';
}

/** A load that is alive although what switches it is off, with the way that its current takes. */
export interface SneakPath {
  readonly partId: string;
  readonly name: string;
  readonly loadId: string;
  /** V across it, where it gets most */
  readonly volts: number;
  readonly position: KeyPosition;
  readonly broken: Broken | undefined;
  /** parts that the current passes, from what feeds it to what leads it back */
  readonly way: readonly { readonly partId: string; readonly name: string }[];
}

/** What was found, in how many situations. */
export interface SneakProof {
  readonly paths: readonly SneakPath[];
  /** what was off × key positions × what was broken; each stands for all positions of the other switches */
  readonly situations: number;
}

/** Whether a wire found on the vehicle is live in a position of the key. */
export type IsFed = (signalId: string | undefined, position: KeyPosition) => boolean;

/** So many switches beside a suspect are tried in every position. */
const TRIED_IN_ALL = 6;

/** Positions of a few switches: every one, or, of many, some in which a load gets most. */
function settingsOf(gates: readonly Gate[], onWay: ReadonlySet<Branch>): ReadonlySet<Gate>[] {
  if (gates.length > TRIED_IN_ALL) {
    const backs = gates.filter(({ contact }) => contact.leads === 'back');
    return [
      new Set(),
      new Set(gates.filter((gate) => !onWay.has(gate))),
      new Set(backs.filter((gate) => !onWay.has(gate))),
    ];
  }
  return Array.from(
    { length: 2 ** gates.length },
    (_, bits) => new Set(gates.filter((_gate, i) => (bits >> i) % 2 === 1)),
  );
}

/** One region that is off: what feeds it, and what it would lead back over, are open. */
interface Off {
  readonly region: string;
  readonly side: 'feed' | 'return';
  readonly gates: readonly Gate[];
  readonly loads: readonly Taker[];
}

/** How many gates lie between what feeds and each region; a plain switch says not which way it leads. */
function depths(whole: Condensed, at: Meeting): ReadonlyMap<string, number> {
  const { plus, minus, found } = whole;
  const starts = [plus, ...found.map(({ region }) => region)];
  const reached = reach(at, starts, ({ kind }) => kind === 'gate', new Set([minus]));
  const depth = new Map<string, number>();
  for (const [region, step] of reached) {
    depth.set(region, step ? (depth.get(step.before) ?? 0) + 1 : 0);
  }
  return depth;
}

/** Every region that can be off, with the loads that are off then. */
function offRegions(whole: Condensed, at: Meeting): Off[] {
  const { branches, plus, minus } = whole;
  const depth = depths(whole, at);
  const leadsTo = ({ part, from, to }: Gate, region: string): boolean => {
    const [before, after] = [depth.get(from), depth.get(to)];
    if (part.sort !== 'switch' || before === undefined || after === undefined) return to === region;
    return region === (before < after ? to : from) && before !== after;
  };
  const regions = new Map<string, { fed: Taker[]; led: Taker[]; feeds: Gate[]; returns: Gate[] }>();
  const entry = (region: string) => {
    const present = regions.get(region);
    if (present) return present;
    const made = { fed: [], led: [], feeds: [], returns: [] };
    regions.set(region, made);
    return made;
  };
  for (const branch of branches) {
    if (branch.kind === 'load') {
      entry(branch.from).fed.push(branch);
      entry(branch.to).led.push(branch);
    } else if (branch.contact.leads === 'back') entry(branch.from).returns.push(branch);
    else {
      for (const region of [branch.from, branch.to]) {
        if (leadsTo(branch, region)) entry(region).feeds.push(branch);
      }
    }
  }
  regions.delete(plus);
  regions.delete(minus);
  return [...regions].flatMap(([region, { fed, led, feeds, returns }]): Off[] => [
    ...(fed.length > 0 ? [{ region, side: 'feed' as const, gates: feeds, loads: fed }] : []),
    ...(led.length > 0 && returns.length > 0
      ? [{ region, side: 'return' as const, gates: returns, loads: led }]
      : []),
  ]);
}

/** The branches around a region that no rail parts from it. */
function around(
  at: Meeting,
  region: string,
  passes: (b: Branch) => boolean,
  rails: ReadonlySet<string>,
) {
  const regions = reach(at, [region], passes, rails);
  return [
    ...new Set([...regions.keys()].flatMap((each) => (at.get(each) ?? []).map((s) => s.branch))),
  ].filter(passes);
}

interface Situation {
  readonly whole: Condensed;
  readonly at: Meeting;
  readonly position: KeyPosition;
  readonly fed: ReadonlySet<string>;
  readonly broken: Broken | undefined;
  /** what was solved already with the same part broken: other positions of the key may come to the same */
  readonly solved: Set<string>;
}

/** The parts that a current passes, each once in a row. */
const partsOn = (branches: readonly Branch[]): SneakPath['way'] =>
  branches
    .map(({ part: { id, name } }) => ({ partId: id, name }))
    .filter(({ partId }, i, all) => all[i - 1]?.partId !== partId);

/** What is alive of the loads of a region that is off, at what volts and which way; at most one a load. */
function aliveIn(situation: Situation, off: Off): SneakPath[] {
  const { whole, at, position, fed, broken } = situation;
  const { plus, minus } = whole;
  const isOpen = new Set<Branch>(off.gates);
  // What has a switch of its own inside and belongs to cranking takes nothing in another position.
  const passes = (branch: Branch): boolean =>
    !isOpen.has(branch) &&
    (branch.kind === 'gate' || branch.load.when !== 'cranking' || position === 'crank');
  // Where only the load itself is left, nothing else can come in.
  const doors = (at.get(off.region) ?? []).filter(({ branch }) => passes(branch));
  if (doors.length < 2) return [];
  const live = new Set([plus, ...fed]);
  const rails = new Set([...live, minus]);
  const back = new Set([minus]);
  if (off.side === 'feed' && live.has(off.region)) return [];
  const [ends, walls] = off.side === 'feed' ? [live, back] : [back, live];
  const reached = reach(at, [off.region], passes, walls, ends);
  const end = [...ends].find((each) => reached.has(each));
  if (end === undefined) return [];
  const beside = around(at, off.region, passes, rails);
  const near = new Set(beside.flatMap(({ from, to }) => [from, to]));
  const same = [
    off.side,
    off.region,
    ...[...fed].filter((region) => near.has(region)),
    ...beside.map(({ id }) => id),
  ].join('|');
  if (situation.solved.has(same)) return [];
  situation.solved.add(same);
  const gates = beside.filter((each): each is Gate => each.kind === 'gate');
  const way = wayTo(reached, end).reverse();
  const circuit = new CondensedCircuit(whole, beside);
  const best = new Map<Taker, number>();
  for (const open of settingsOf(gates, new Set(way))) {
    const volts = circuit.volts({
      open: (gate) => open.has(gate),
      fed,
      battery: true,
      generated: [],
    });
    if (!volts) continue;
    for (const load of off.loads) {
      const across = Math.abs(volts(load.from) - volts(load.to));
      if (across >= aliveAt(load) && across > (best.get(load) ?? 0)) best.set(load, across);
    }
  }
  return [...best].map(([load, volts]) => {
    const [far, others] = off.side === 'feed' ? [load.to, back] : [load.from, live];
    const away = reach(at, [far], (each) => passes(each) && each !== load, ends, others);
    const last = [...others].find((each) => away.has(each));
    const onward = last === undefined ? [] : wayTo(away, last);
    const passed =
      off.side === 'feed'
        ? [...way, load, ...onward]
        : [...onward.reverse(), load, ...way.reverse()];
    return {
      partId: load.part.id,
      name: load.part.name,
      loadId: load.id,
      volts,
      position,
      broken,
      way: partsOn(passed),
    };
  });
}

const breaksAs = ({ sort, id }: NetPart): Broken['kind'] | undefined =>
  sort === 'fuse' ? 'fuse out' : sort === 'ground' && id !== CHASSIS ? 'ground open' : undefined;

/** Regions that something new can be felt in: those that no rail parts from it. */
function nearTo(whole: Condensed, at: Meeting, touched: ReadonlySet<string>): ReadonlySet<string> {
  const rails = new Set([whole.plus, whole.minus]);
  const starts = [...touched].filter((region) => !rails.has(region));
  return new Set(reach(at, starts, () => true, rails).keys());
}

/** Positions of the key that feed something that no other one feeds with it. */
function positionsOf(whole: Condensed, isFed: IsFed) {
  const feeds = keyPositions.map((position) => ({
    position,
    fed: new Set(
      whole.found.filter(({ signalId }) => isFed(signalId, position)).map(({ region }) => region),
    ),
  }));
  const seen = new Set<string>();
  return feeds.filter(({ fed }) => {
    const key = [...fed].sort().join();
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/**
 * Looks for loads that are alive although what switches them is off: for every region that can be
 * off, every position of the key, and with nothing, one fuse or one ground broken. More closed contacts
 * make more ways, so the loads that no way reaches with all other switches closed are off in all their
 * positions; what a way reaches is solved in all positions of the switches beside it (of many, in the
 * worst of them). Wires and fuses count as without resistance, a load conducts either way.
 */
export function sneakPaths(input: {
  readonly netlist: Netlist;
  readonly isFed: IsFed;
  readonly breaks?: boolean;
}): SneakProof {
  const { netlist, isFed, breaks = true } = input;
  const condensing = new Condensing(netlist);
  const paths: SneakPath[] = [];
  const known = new Set<string>();
  let situations = 0;
  /** Looks where something changed; undefined: everywhere. */
  const look = (
    whole: Condensed,
    broken: Broken | undefined,
    touched: ReadonlySet<string> | undefined,
  ): void => {
    if (whole.plus === whole.minus) return;
    const at = meeting(whole.branches);
    const offs = offRegions(whole, at);
    const near = touched && nearTo(whole, at, touched);
    const found = new Map<string, SneakPath>();
    const solved = new Set<string>();
    for (const { position, fed } of positionsOf(whole, isFed)) {
      situations += offs.length;
      const situation = { whole, at, position, fed, broken, solved };
      for (const off of offs) {
        // What is as it was before has been looked at already.
        if (near && !near.has(off.region)) continue;
        for (const path of aliveIn(situation, off)) {
          const present = found.get(path.loadId);
          if (known.has(path.loadId) || (present && present.volts >= path.volts)) continue;
          found.set(path.loadId, path);
        }
      }
    }
    paths.push(...found.values());
    if (!broken) for (const id of found.keys()) known.add(id);
  };
  look(condensing.whole, undefined, undefined);
  if (breaks) {
    for (const part of netlist.parts) {
      const kind = breaksAs(part);
      if (!kind) continue;
      const { whole, touched } = condensing.broken(part);
      look(whole, { partId: part.id, name: part.name, kind }, touched);
    }
  }
  return { paths, situations };
}
