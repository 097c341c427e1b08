import type { LineElement } from '../../build/index.ts';
import { lookUp, refOf } from '../../build/index.ts';
import type { SolvedCircuit } from '../../hydraulics/index.ts';
import { wideOpenLoss } from '../../hydraulics/index.ts';
import { deadHeadPressure } from '../../pumps/index.ts';
import type { BuildFinding, BuildRule, Checked } from '../checked.ts';
import type { FluidResult, SolvedCase } from '../fluidStage.ts';
import { assumedDifference, regulatorOf, rowDifference } from '../solvePoint.ts';
import { pathBetween } from '../runPath.ts';
import { largerHoseCure } from './swapCure.ts';

/** Rail held within 3 %, warned to 6 %, stopped beyond. */
export const SAG_GOOD = 0.03;
export const SAG_STOP = 0.06;
export const FEED_VELOCITY_GOOD = 3;
export const FEED_VELOCITY_STOP = 4.5;
const SUCTION_VELOCITY = 1;
const SUCTION_VELOCITY_HOT_PETROL = 0.6;
const HOT_FUEL = 273.15 + 50;
const FILTER_CLEAN_DROP = 35e3;

const where = (fluid: FluidResult, elementId: string): string =>
  `circuit:${fluid.design.circuit.id}/${elementId}`;

/** Runs a check on every circuit whose case was solved. */
function onSolved(
  name: 'peakPower' | 'hotIdle' | 'overrun',
  check: (checked: Checked, fluid: FluidResult, at: SolvedCase, s: SolvedCircuit) => BuildFinding[],
): BuildRule['check'] {
  return (checked) =>
    checked.fluids.flatMap((fluid) => {
      const at = fluid.cases[name];
      return at.solution.state === 'converged' ? check(checked, fluid, at, at.solution) : [];
    });
}

const unsolved: BuildRule = {
  id: 'circuit.unsolved',
  source: 'a solve that does not converge returns no numbers',
  check: (checked) =>
    checked.fluids.flatMap((fluid) =>
      Object.values(fluid.cases).flatMap(({ point, solution }): BuildFinding[] =>
        solution.state === 'failed'
          ? [
              {
                id: `circuit.unsolved:${fluid.design.circuit.id}/${point.name}`,
                rule: 'circuit.unsolved',
                severity: 'stop',
                where: where(fluid, solution.where),
                title: `${point.label}: the circuit could not be solved`,
                because: solution.reason,
                numbers: {},
                cures: [
                  { text: 'Check what is joined to what, and the data of the named element' },
                ],
              },
            ]
          : [],
      ),
    ),
};

const sag: BuildRule = {
  id: 'rail.sag',
  source: 'sag at peak: 3 % good, 6 % warn',
  check: onSolved('peakPower', (checked, fluid, at, solution) =>
    fluid.design.rows.flatMap((row): BuildFinding[] => {
      const assumed = assumedDifference(checked.design, fluid.design, at.point);
      const difference = rowDifference(fluid.design, row, solution);
      const value = 1 - difference / assumed;
      if (value <= SAG_GOOD) return [];
      const lines = fluid.design.circuit.elements
        .filter((e): e is LineElement => e.kind === 'line' && e.role === 'feed')
        .sort(
          (a, b) => solution.elements[b.id]!.pressureDrop - solution.elements[a.id]!.pressureDrop,
        );
      const cures = lines.slice(0, 2).flatMap((line) =>
        largerHoseCure({
          checked,
          fluid,
          lineId: line.id,
          hose: lookUp(checked.catalogue, 'hose', line.item, line.id),
          at,
          cured: (s) => 1 - rowDifference(fluid.design, row, s) / assumed <= SAG_GOOD,
        }),
      );
      return [
        {
          id: `rail.sag:${row.row.id}`,
          rule: 'rail.sag',
          severity: value > SAG_STOP ? 'stop' : 'warn',
          where: where(fluid, lines[0]?.id ?? ''),
          title: 'Injector pressure sags at peak',
          because:
            'Δp is {difference} where the ECU assumes {assumed}: {sag} low, so the mixture is leaner by a factor of {lean}',
          numbers: {
            difference: { value: difference, kind: 'pressure' },
            assumed: { value: assumed, kind: 'pressure' },
            sag: { value, kind: 'ratio' },
            lean: { value: Math.sqrt(assumed / Math.max(difference, 1)), kind: 'count' },
          },
          measured: { value, kind: 'ratio' },
          limit: { value: SAG_STOP, kind: 'ratio' },
          rung: 'sag',
          cures: cures.length > 0 ? cures : pumpCures(checked, fluid),
        },
      ];
    }),
  ),
};

/** The best fitting other pump, as a cure for the first pump of a circuit. */
function pumpCures(checked: Checked, fluid: FluidResult) {
  const element = fluid.design.circuit.elements.find((e) => e.kind === 'pump');
  if (element?.kind !== 'pump') return [];
  const best = checked.pumpCandidates[element.id]?.find(
    (c) =>
      c.verdict !== 'does not fit' &&
      c.item.id !== element.item.id &&
      (c.margin ?? 0) >= checked.document.limits.pumpMargin.value,
  );
  return best
    ? [
        {
          text: `Fit pump ${best.item.designation}`,
          command: {
            name: 'choose-part' as const,
            circuitId: fluid.design.circuit.id,
            elementId: element.id,
            item: refOf(best.item),
          },
        },
      ]
    : [{ text: 'No pump in the catalogue fits; add one or lower the target' }];
}

const pumpMargin: BuildRule = {
  id: 'pump.margin',
  source: 'pump margin at the worst point: negative stops, wish 20 %, above 100 % noted',
  check: (checked) =>
    checked.fluids.flatMap((fluid): BuildFinding[] => {
      const flow = fluid.peak;
      const wish = checked.document.limits.pumpMargin.value;
      if (!flow || (flow.margin >= wish && flow.margin <= 1)) return [];
      const short = flow.margin < wish;
      const element = fluid.design.circuit.elements.find((e) => e.kind === 'pump');
      return [
        {
          id: `pump.margin:${fluid.design.circuit.id}`,
          rule: 'pump.margin',
          severity: flow.margin < 0 ? 'stop' : short ? 'warn' : 'note',
          where: where(fluid, element?.id ?? ''),
          title: short ? 'Pump has too little in hand' : 'Pump is larger than needed',
          because: short
            ? 'at peak it delivers {available} at rail pressure, the engine needs {needed}: margin {margin}, wish {wish}'
            : 'margin {margin} at peak: the surplus heats the fuel and loads the return',
          numbers: {
            available: { value: flow.available, kind: 'volumeFlow' },
            needed: { value: flow.needed, kind: 'volumeFlow' },
            margin: { value: flow.margin, kind: 'ratio' },
            wish: { value: wish, kind: 'ratio' },
          },
          measured: { value: flow.margin, kind: 'ratio' },
          limit: { value: short ? wish : 1, kind: 'ratio' },
          rung: 'pump-flow',
          cures: short
            ? pumpCures(checked, fluid)
            : [{ text: 'A smaller pump or a speed control would do' }],
        },
      ];
    }),
};

const pumpMounting: BuildRule = {
  id: 'pump.mounting',
  source: 'in-tank pumps need immersion, external ones gravity feed',
  check: (checked) =>
    checked.fluids.flatMap((fluid) =>
      fluid.design.circuit.elements.flatMap((element): BuildFinding[] => {
        if (element.kind !== 'pump') return [];
        const item = lookUp(checked.catalogue, 'pump', element.item, element.id);
        if (item.mounting === element.mounting) return [];
        const index = checked.document.fuelCircuits.indexOf(fluid.design.circuit);
        const at = fluid.design.circuit.elements.indexOf(element);
        return [
          {
            id: `pump.mounting:${element.id}`,
            rule: 'pump.mounting',
            severity: 'stop',
            where: where(fluid, element.id),
            title: 'Pump is made for another mounting',
            because: `${item.designation} is an ${item.mounting} pump and is planned ${element.mounting}`,
            numbers: {},
            cures: [
              {
                text: `Plan it ${item.mounting}`,
                command: {
                  name: 'set',
                  path: `fuelCircuits.${index}.elements.${at}.mounting`,
                  value: item.mounting,
                },
              },
            ],
          },
        ];
      }),
    ),
};

const outsideData: BuildRule = {
  id: 'pump.outside-data',
  source: 'curves are never extended silently',
  check: (checked) =>
    checked.fluids.flatMap((fluid) =>
      Object.values(fluid.cases).flatMap(({ point, solution }): BuildFinding[] => {
        if (solution.state === 'failed') return [];
        return Object.values(solution.pumps)
          .filter((pump) => pump.outsideData)
          .map((pump) => ({
            id: `pump.outside-data:${pump.elementId}/${point.name}`,
            rule: 'pump.outside-data',
            severity: 'note' as const,
            where: where(fluid, pump.elementId),
            title: `${point.label}: pump runs outside its data sheet`,
            because: 'at {flow} and {voltage} there is no data; the figures are drawn on straight',
            numbers: {
              flow: { value: pump.flow, kind: 'volumeFlow' as const },
              voltage: { value: pump.voltage, kind: 'voltage' as const },
            },
            cures: [{ text: 'Add data-sheet points for this voltage and flow' }],
          }));
      }),
    ),
};

const suctionHead: BuildRule = {
  id: 'suction.head',
  source: 'inlet pressure above vapour pressure: need by data sheet, default 10 kPa',
  check: onSolved('peakPower', (checked, fluid, at, solution) =>
    fluid.design.circuit.elements.flatMap((element): BuildFinding[] => {
      if (element.kind !== 'pump') return [];
      const item = lookUp(checked.catalogue, 'pump', element.item, element.id);
      const ambient = checked.design.demand.engine.ambientPressure;
      const vapour = fluid.design.fuel.hot.vapourPressureAbsolute;
      const headIn = (s: SolvedCircuit) => s.elements[element.id]!.inletPressure + ambient - vapour;
      const head = headIn(solution);
      const need = item.inletHeadNeeded;
      if (head >= need) return [];
      const cures = fluid.design.circuit.elements
        .filter((e): e is LineElement => e.kind === 'line' && e.role === 'suction')
        .flatMap((line) =>
          largerHoseCure({
            checked,
            fluid,
            lineId: line.id,
            hose: lookUp(checked.catalogue, 'hose', line.item, line.id),
            at,
            cured: (s) => headIn(s) >= need,
          }),
        );
      return [
        {
          id: `suction.head:${element.id}`,
          rule: 'suction.head',
          severity: head < 0 ? 'stop' : 'warn',
          where: where(fluid, element.id),
          title: head < 0 ? 'Fuel boils at the pump inlet' : 'Pump inlet is close to boiling',
          because:
            'inlet pressure is {head} above vapour pressure with the hottest fuel, at {temperature}; the pump needs {need}',
          numbers: {
            head: { value: head, kind: 'pressure' },
            need: { value: need, kind: 'pressure' },
            temperature: { value: fluid.design.fuel.hot.temperature, kind: 'temperature' },
          },
          measured: { value: head, kind: 'pressure' },
          limit: { value: need, kind: 'pressure' },
          rung: 'suction',
          cures:
            cures.length > 0
              ? cures
              : [
                  {
                    text: 'Mount the pump lower and nearer the tank, enlarge outlet and strainer, keep the fuel cooler',
                  },
                ],
        },
      ];
    }),
  ),
};

const suctionVelocity: BuildRule = {
  id: 'suction.velocity',
  source: 'suction at most 1.0 m/s, 0.6 m/s for hot petrol',
  check: onSolved('peakPower', (checked, fluid, at, solution) => {
    const { fuel } = fluid.design;
    const mostlyPetrol = fuel.fuel.kind === 'petrol-ethanol' && fuel.fuel.ethanol.value < 0.5;
    const limit =
      mostlyPetrol && fuel.hot.temperature > HOT_FUEL
        ? SUCTION_VELOCITY_HOT_PETROL
        : SUCTION_VELOCITY;
    return fluid.design.circuit.elements.flatMap((line): BuildFinding[] => {
      if (line.kind !== 'line' || line.role !== 'suction') return [];
      const value = solution.elements[line.id]!.velocity!;
      if (value <= limit) return [];
      return [
        {
          id: `suction.velocity:${line.id}`,
          rule: 'suction.velocity',
          severity: 'warn',
          where: where(fluid, line.id),
          title: 'Suction line is too small',
          because: 'fuel runs at {velocity} in the suction line; at most {limit}',
          numbers: {
            velocity: { value, kind: 'velocity' },
            limit: { value: limit, kind: 'velocity' },
          },
          measured: { value, kind: 'velocity' },
          limit: { value: limit, kind: 'velocity' },
          cures: largerHoseCure({
            checked,
            fluid,
            lineId: line.id,
            hose: lookUp(checked.catalogue, 'hose', line.item, line.id),
            at,
            cured: (s) => s.elements[line.id]!.velocity! <= limit,
          }),
        },
      ];
    });
  }),
};

const feedVelocity: BuildRule = {
  id: 'feed.velocity',
  source: 'feed at most 3 m/s, warned to 4.5 m/s',
  check: onSolved('peakPower', (checked, fluid, at, solution) =>
    fluid.design.circuit.elements.flatMap((line): BuildFinding[] => {
      if (line.kind !== 'line' || line.role !== 'feed') return [];
      const value = solution.elements[line.id]!.velocity!;
      if (value <= FEED_VELOCITY_GOOD) return [];
      return [
        {
          id: `feed.velocity:${line.id}`,
          rule: 'feed.velocity',
          severity: value > FEED_VELOCITY_STOP ? 'stop' : 'warn',
          where: where(fluid, line.id),
          title: 'Feed line is too small',
          because: 'fuel runs at {velocity} in this line; good is up to {good}, stop above {limit}',
          numbers: {
            velocity: { value, kind: 'velocity' },
            good: { value: FEED_VELOCITY_GOOD, kind: 'velocity' },
            limit: { value: FEED_VELOCITY_STOP, kind: 'velocity' },
          },
          measured: { value, kind: 'velocity' },
          limit: { value: FEED_VELOCITY_STOP, kind: 'velocity' },
          rung: 'feed-velocity',
          cures: largerHoseCure({
            checked,
            fluid,
            lineId: line.id,
            hose: lookUp(checked.catalogue, 'hose', line.item, line.id),
            at,
            cured: (s) => s.elements[line.id]!.velocity! <= FEED_VELOCITY_GOOD,
          }),
        },
      ];
    }),
  ),
};

const RESERVE = 35e3;

const returnRule = (name: 'hotIdle' | 'overrun'): BuildRule => ({
  id: `return.${name}`,
  source: 'p_out + wide-open loss ≤ set + ratio · p_man − 35 kPa at idle and overrun',
  check: onSolved(name, (checked, fluid, at, solution) => {
    const regulator = regulatorOf(fluid.design);
    if (!regulator) return [];
    const item = lookUp(checked.catalogue, 'regulator', regulator.item, regulator.id);
    const density = fluid.design.fuel.hot.density;
    const held =
      regulator.setPressure.value + regulator.manifoldRatio.value * at.point.manifoldGauge;
    const reserveIn = (s: SolvedCircuit) => {
      const state = s.elements[regulator.id]!;
      return (
        held -
        RESERVE -
        (state.outletPressure + wideOpenLoss(item, state.massFlow / density, density))
      );
    };
    const reserve = reserveIn(solution);
    if (reserve >= 0) return [];
    const railPressure = solution.elements[regulator.id]!.inletPressure;
    const lines = fluid.design.circuit.elements.filter(
      (e): e is LineElement => e.kind === 'line' && e.role === 'return',
    );
    return [
      {
        id: `return.${name}:${fluid.design.circuit.id}`,
        rule: `return.${name}`,
        severity: 'stop',
        where: where(fluid, lines[0]?.id ?? regulator.id),
        title: `${at.point.label}: the return cannot take the flow`,
        because:
          'the regulator would have to hold {held} but {pressure} stands there, {short} short of its reserve: pressure creeps up and the engine floods',
        numbers: {
          held: { value: held, kind: 'pressure' },
          pressure: { value: railPressure, kind: 'pressure' },
          short: { value: -reserve, kind: 'pressure' },
        },
        measured: { value: reserve, kind: 'pressure' },
        limit: { value: 0, kind: 'pressure' },
        rung: 'return',
        cures: lines.flatMap((line) =>
          largerHoseCure({
            checked,
            fluid,
            lineId: line.id,
            hose: lookUp(checked.catalogue, 'hose', line.item, line.id),
            at,
            cured: (s) => reserveIn(s) >= 0,
          }),
        ),
      },
    ];
  }),
});

const regulatorRange: BuildRule = {
  id: 'regulator.range',
  source: 'set pressure and bypass within the regulator’s range',
  check: onSolved('hotIdle', (checked, fluid, _at, solution) => {
    const regulator = regulatorOf(fluid.design);
    if (!regulator) return [];
    const item = lookUp(checked.catalogue, 'regulator', regulator.item, regulator.id);
    const findings: BuildFinding[] = [];
    const circuitIndex = checked.document.fuelCircuits.indexOf(fluid.design.circuit);
    const elementIndex = fluid.design.circuit.elements.indexOf(regulator);
    const set = regulator.setPressure.value;
    if (set < item.setMin || set > item.setMax) {
      const nearest = Math.min(item.setMax, Math.max(item.setMin, set));
      findings.push({
        id: `regulator.range:${regulator.id}`,
        rule: 'regulator.range',
        severity: 'stop',
        where: where(fluid, regulator.id),
        title: 'Set pressure is outside the regulator’s range',
        because: `${item.designation} can be set from {least} to {most}; {set} is asked`,
        numbers: {
          least: { value: item.setMin, kind: 'pressure' },
          most: { value: item.setMax, kind: 'pressure' },
          set: { value: set, kind: 'pressure' },
        },
        measured: { value: set, kind: 'pressure' },
        limit: { value: nearest, kind: 'pressure' },
        cures: [
          {
            text: 'Set it to the nearest pressure it can hold',
            command: {
              name: 'set',
              path: `fuelCircuits.${circuitIndex}.elements.${elementIndex}.setPressure`,
              value: { value: nearest, unit: regulator.setPressure.unit },
            },
          },
        ],
      });
    }
    const bypass = solution.elements[regulator.id]!.massFlow / fluid.design.fuel.hot.density;
    if (bypass > item.bypassMax || bypass < item.bypassMin) {
      findings.push({
        id: `regulator.bypass:${regulator.id}`,
        rule: 'regulator.range',
        severity: 'warn',
        where: where(fluid, regulator.id),
        title: 'Bypass at idle is outside the regulator’s range',
        because: '{bypass} returns at hot idle; it regulates from {least} to {most}',
        numbers: {
          bypass: { value: bypass, kind: 'volumeFlow' },
          least: { value: item.bypassMin, kind: 'volumeFlow' },
          most: { value: item.bypassMax, kind: 'volumeFlow' },
        },
        measured: { value: bypass, kind: 'volumeFlow' },
        limit: {
          value: bypass > item.bypassMax ? item.bypassMax : item.bypassMin,
          kind: 'volumeFlow',
        },
        cures: [{ text: 'Choose a regulator of another size' }],
      });
    }
    return findings;
  }),
};

const filters: BuildRule = {
  id: 'filter.choice',
  source:
    'coarse before the pump, fine after it, media rated for the fuel; clean drop up to 35 kPa',
  check: onSolved('peakPower', (checked, fluid, _at, solution) => {
    const findings: BuildFinding[] = [];
    const { circuit, fuel } = fluid.design;
    const ethanol = fuel.fuel.kind === 'methanol' ? 1 : fuel.fuel.ethanol.value;
    for (const element of circuit.elements) {
      if (element.kind !== 'filter') continue;
      const item = lookUp(checked.catalogue, 'filter', element.item, element.id);
      const drop = solution.elements[element.id]!.pressureDrop;
      if (drop > FILTER_CLEAN_DROP && element.state === 'clean') {
        findings.push({
          id: `filter.drop:${element.id}`,
          rule: 'filter.choice',
          severity: 'warn',
          where: where(fluid, element.id),
          title: 'Filter takes much pressure when clean',
          because: '{drop} are lost in the clean filter; up to {limit} is usual',
          numbers: {
            drop: { value: drop, kind: 'pressure' },
            limit: { value: FILTER_CLEAN_DROP, kind: 'pressure' },
          },
          measured: { value: drop, kind: 'pressure' },
          limit: { value: FILTER_CLEAN_DROP, kind: 'pressure' },
          cures: [{ text: 'Choose a filter with more area' }],
        });
      }
      const feedsPump = circuit.elements.some(
        (pump) =>
          pump.kind === 'pump' &&
          pathBetween(circuit, element.to, pump.from).length + (element.to === pump.from ? 1 : 0) >
            0,
      );
      if (feedsPump && item.fineness < 40e-6) {
        findings.push({
          id: `filter.before-pump:${element.id}`,
          rule: 'filter.choice',
          severity: 'stop',
          where: where(fluid, element.id),
          title: 'Fine filter before the pump',
          because:
            'a {fineness} filter on the suction side starves the pump; use a coarse one there',
          numbers: { fineness: { value: item.fineness, kind: 'length' } },
          cures: checked.catalogue.items
            .filter((c) => c.category === 'filter' && c.fineness >= 100e-6)
            .slice(0, 1)
            .map((coarse) => ({
              text: `Fit ${coarse.designation} there`,
              command: {
                name: 'choose-part' as const,
                circuitId: circuit.id,
                elementId: element.id,
                item: refOf(coarse),
              },
            })),
        });
      }
      if (ethanol > item.ethanolLimit) {
        findings.push({
          id: `filter.media:${element.id}`,
          rule: 'filter.choice',
          severity: 'stop',
          where: where(fluid, element.id),
          title: `${element.name}: media is not rated for this fuel`,
          because: `${item.designation} is rated up to {limit} alcohol, the fuel has {share}`,
          numbers: {
            limit: { value: item.ethanolLimit, kind: 'ratio' },
            share: { value: ethanol, kind: 'ratio' },
          },
          measured: { value: ethanol, kind: 'ratio' },
          limit: { value: item.ethanolLimit, kind: 'ratio' },
          cures: checked.catalogue.items
            .filter(
              (c) =>
                c.category === 'filter' &&
                c.ethanolLimit >= ethanol &&
                c.fineness <= 4 * item.fineness &&
                c.fineness >= item.fineness,
            )
            .slice(0, 1)
            .map((rated) => ({
              text: `Fit ${rated.designation}, rated for alcohol`,
              command: {
                name: 'choose-part' as const,
                circuitId: circuit.id,
                elementId: element.id,
                item: refOf(rated),
              },
            })),
        });
      }
    }
    return findings;
  }),
};

const hoseRating: BuildRule = {
  id: 'hose.rating',
  source: 'every part against the highest pressure the pump can make; hose rated for the fuel',
  check: (checked) =>
    checked.fluids.flatMap((fluid) => {
      const { circuit, fuel } = fluid.design;
      const pumps = circuit.elements.filter((e) => e.kind === 'pump');
      const highest = Math.max(
        0,
        ...pumps.map((p) => deadHeadPressure(lookUp(checked.catalogue, 'pump', p.item, p.id))),
      );
      const ethanol = fuel.fuel.kind === 'methanol' ? 1 : fuel.fuel.ethanol.value;
      return circuit.elements.flatMap((element): BuildFinding[] => {
        if (element.kind === 'tank' || element.kind === 'injectors') return [];
        const item = checked.catalogue.items.find(
          (i) => i.id === element.item.id && i.revision === element.item.revision,
        );
        if (!item || !('pressureRating' in item)) return [];
        const suction = element.kind === 'line' && element.role === 'suction';
        const beforePump = pumps.some(
          (p) => p !== element && pathBetween(circuit, element.to, p.from).length > 0,
        );
        const findings: BuildFinding[] = [];
        if (
          !suction &&
          !beforePump &&
          !pumps.some((p) => p.from === ('to' in element ? element.to : '')) &&
          highest > item.pressureRating
        ) {
          findings.push({
            id: `rating.pressure:${element.id}`,
            rule: 'hose.rating',
            severity: 'stop',
            where: where(fluid, element.id),
            title: `${element.name}: not rated for the pump’s highest pressure`,
            because: `dead-headed the pump reaches {highest}; ${item.designation} is rated {rating}`,
            numbers: {
              highest: { value: highest, kind: 'pressure' },
              rating: { value: item.pressureRating, kind: 'pressure' },
            },
            measured: { value: highest, kind: 'pressure' },
            limit: { value: item.pressureRating, kind: 'pressure' },
            cures: hoseCures(
              checked,
              fluid,
              element.id,
              item.id,
              (h) => h.pressureRating >= highest && h.ethanolLimit >= ethanol,
            ),
          });
        }
        if (item.category === 'hose' && ethanol > item.ethanolLimit) {
          findings.push({
            id: `hose.fuel:${element.id}`,
            rule: 'hose.rating',
            severity: 'stop',
            where: where(fluid, element.id),
            title: `${element.name}: hose is not rated for this fuel`,
            because: `${item.designation} is rated up to {limit} alcohol, the fuel has {share}`,
            numbers: {
              limit: { value: item.ethanolLimit, kind: 'ratio' },
              share: { value: ethanol, kind: 'ratio' },
            },
            measured: { value: ethanol, kind: 'ratio' },
            limit: { value: item.ethanolLimit, kind: 'ratio' },
            cures: hoseCures(
              checked,
              fluid,
              element.id,
              item.id,
              (h) => h.ethanolLimit >= ethanol && h.pressureRating >= Math.min(highest, 1e6),
            ),
          });
        }
        return findings;
      });
    }),
};

type Hose = Extract<Checked['catalogue']['items'][number], { category: 'hose' }>;

/** The hose of another kind nearest above the present bore that suits, as a cure. */
function hoseCures(
  checked: Checked,
  fluid: FluidResult,
  elementId: string,
  itemId: string,
  suits: (hose: Hose) => boolean,
) {
  const present = checked.catalogue.items.find(
    (i): i is Hose => i.category === 'hose' && i.id === itemId,
  );
  if (!present) return [{ text: 'Choose a part with a higher rating' }];
  const best = checked.catalogue.items
    .filter((h): h is Hose => h.category === 'hose' && suits(h) && h.bore >= 0.85 * present.bore)
    .sort((a, b) => a.bore - b.bore)[0];
  return best
    ? [
        {
          text: `Use ${best.designation}`,
          command: {
            name: 'choose-part' as const,
            circuitId: fluid.design.circuit.id,
            elementId,
            item: refOf(best),
          },
        },
      ]
    : [{ text: 'No hose in the catalogue is rated for this' }];
}

export const fluidRules = [
  unsolved,
  sag,
  pumpMargin,
  pumpMounting,
  outsideData,
  suctionHead,
  suctionVelocity,
  feedVelocity,
  returnRule('hotIdle'),
  returnRule('overrun'),
  regulatorRange,
  filters,
  hoseRating,
];
