import { unitKinds } from '../../quantities/index.ts';
import type { Evaluation } from '../evaluate.ts';
import {
  type FigureDescription,
  type FigureRef,
  figureNames,
  single,
} from '../../results/index.ts';
import { documentedElectricFigures } from '../../electrics/index.ts';
import { documentedHarnessFigures } from '../../harness/index.ts';
import { documentedPlumbingFigures } from '../../plumbing/index.ts';
import { documentedMapFigures } from '../../vehicle/index.ts';
import { type Ladder, reachedRungs } from '../ladder.ts';

export const documentedFigures: readonly FigureDescription[] = [
  {
    key: 'ambient.pressureAbsolute',
    kind: 'pressure',
    meaning: 'Ambient pressure at the brief’s altitude (ISO 2533).',
  },
  { key: 'fuel.density', kind: 'density', meaning: 'Density of the first fuel at 15 °C.' },
  {
    key: 'fuel.stoichAirFuelRatio',
    kind: 'ratio',
    meaning: 'Stoichiometric air-fuel ratio by mass of the first fuel.',
  },
  {
    key: 'fuel.lowerHeatingValue',
    kind: 'energyPerMass',
    meaning: 'Lower heating value of the first fuel.',
  },
  {
    key: 'fuel.hottestTemperature',
    kind: 'temperature',
    meaning: 'Temperature of the hottest fuel: entered, else hot ambient + 5 K.',
  },
  {
    key: 'fuel.hot.density',
    kind: 'density',
    meaning: 'Density of the first fuel at the hottest fuel temperature.',
  },
  {
    key: 'fuel.hot.viscosity',
    kind: 'viscosity',
    meaning: 'Dynamic viscosity of the first fuel at the hottest fuel temperature.',
  },
  {
    key: 'fuel.vapourPressureAbsolute',
    kind: 'pressure',
    meaning: 'Vapour pressure of the first fuel at the hottest fuel temperature.',
  },
  {
    key: 'demand.byPower.peak.massFlow',
    kind: 'massFlow',
    meaning:
      'School A: fuel from power and specific consumption at the power target, no design factor.',
  },
  {
    key: 'demand.byAir.peak.massFlow',
    kind: 'massFlow',
    meaning:
      'School B: highest fuel flow by air over the demand map at full-load λ, no design factor.',
  },
  {
    key: 'demand.byAir.atPower.massFlow',
    kind: 'massFlow',
    meaning: 'School B at the power speed: what is compared with school A.',
  },
  {
    key: 'demand.disagreement',
    kind: 'ratio',
    meaning: '|A − B| / max(A, B), both at the power speed.',
  },
  {
    key: 'demand.peak.massFlow',
    kind: 'massFlow',
    meaning: 'Highest fuel flow of the map carried forward, without the design factor.',
  },
  {
    key: 'demand.design.massFlow',
    kind: 'massFlow',
    meaning: 'demand.peak.massFlow × design factor (default 1.10); feeds every check.',
  },
  {
    key: 'injector.peak.duty',
    kind: 'ratio',
    meaning: 'Duty at the design peak: solved Δp, hottest fuel, low running voltage. Worst row.',
  },
  {
    key: 'injector.peak.deltaP',
    kind: 'pressure',
    meaning: 'Injector Δp (rail minus manifold) at the design peak.',
  },
  {
    key: 'injector.peak.sag',
    kind: 'ratio',
    meaning: '1 − Δp / Δp assumed by the ECU, at the design peak.',
  },
  {
    key: 'injector.idle.pulse',
    kind: 'time',
    meaning: 'Pulse width at hot idle: nominal demand, solved Δp, running voltage.',
  },
  {
    key: 'injector.idle.effectivePulse',
    kind: 'time',
    meaning: 'Pulse less dead time at hot idle.',
  },
  {
    key: 'injector.turnDown',
    kind: 'ratio',
    meaning: 'Design peak flow over the smallest flow that repeats at idle speed.',
  },
  {
    key: 'pump.peak.voltage',
    kind: 'voltage',
    meaning:
      'Voltage at the pump terminals at the design peak, solved with the wiring at low running voltage.',
  },
  { key: 'pump.peak.current', kind: 'current', meaning: 'Pump current at the design peak.' },
  {
    key: 'pump.peak.flowAvailable',
    kind: 'volumeFlow',
    meaning:
      'Volume flow the pump delivers with the regulator inlet held at set + ratio · p_man, worn, at low running voltage (m³/s at the hottest fuel).',
  },
  {
    key: 'pump.peak.flowNeeded',
    kind: 'volumeFlow',
    meaning: 'Design fuel flow as volume at the hottest fuel.',
  },
  {
    key: 'pump.peak.margin',
    kind: 'ratio',
    meaning: '(available − needed) / needed at the design peak.',
  },
  {
    key: 'rail.peak.pressure',
    kind: 'pressure',
    meaning: 'Gauge pressure at the rail at the design peak.',
  },
  {
    key: 'circuit.feed.pressureDrop',
    kind: 'pressure',
    meaning:
      'Friction and fitting loss of the element named "feed" at the design peak, without height. Likewise circuit.<element>.pressureDrop.',
  },
  {
    key: 'circuit.feed.reynolds',
    kind: 'count',
    meaning:
      'Reynolds number in the bore of the element named "feed" at the design peak. Likewise circuit.<element>.reynolds.',
  },
  {
    key: 'circuit.feed.velocity',
    kind: 'velocity',
    meaning:
      'Mean velocity in the element named "feed" at the design peak. Likewise circuit.<element>.velocity.',
  },
  {
    key: 'return.idle.reserve',
    kind: 'pressure',
    meaning:
      'Held pressure − 35 kPa − (regulator outlet + wide-open loss) at hot idle; below 0 pressure creeps.',
  },
  {
    key: 'return.overrun.reserve',
    kind: 'pressure',
    meaning: 'The same on overrun with the fuel cut.',
  },
  {
    key: 'case.hotIdle.rail.1.pressure',
    kind: 'pressure',
    meaning:
      'Gauge pressure at the first rail at hot idle. Likewise `case.<name>.rail.<n>.pressure` for keyOnPrime, crankingCold, hotIdle, cruise, overrun, peakTorque, peakPower; rails are numbered over all circuits.',
  },
  {
    key: 'case.hotIdle.injector.primary.deltaP',
    kind: 'pressure',
    meaning:
      'Δp of the row with id "primary" in a named case: `case.<name>.injector.<row>.deltaP`.',
  },
  {
    key: 'case.hotIdle.injector.primary.duty',
    kind: 'ratio',
    meaning:
      'Duty of a row in a named case in which fuel is injected: `case.<name>.injector.<row>.duty`.',
  },
  {
    key: 'case.hotIdle.pump.1.flow',
    kind: 'volumeFlow',
    meaning: 'Volume flow of the first pump in a named case; pumps are numbered over all circuits.',
  },
  {
    key: 'case.hotIdle.pump.1.voltage',
    kind: 'voltage',
    meaning: 'Voltage at the pump in a named case, solved with its wiring.',
  },
  {
    key: 'case.hotIdle.pump.1.current',
    kind: 'current',
    meaning: 'Pump current in a named case.',
  },
  {
    key: 'case.hotIdle.pump.1.margin',
    kind: 'ratio',
    meaning:
      'Flow its circuit could have with the rail held, over what the engine takes in a named case, less one.',
  },
  {
    key: 'case.hotIdle.return.backPressure',
    kind: 'pressure',
    meaning:
      'Gauge pressure behind the regulator in a named case; absent where the regulator lets go straight into the tank.',
  },
  {
    key: 'case.hotIdle.suction.npshMargin',
    kind: 'pressure',
    meaning:
      'Inlet pressure of the worst pump above vapour pressure, less what the pump needs, in a named case.',
  },
  {
    key: 'case.hotIdle.vapour.margin',
    kind: 'pressure',
    meaning:
      'Lowest pressure from tank outlet to regulator inlet above vapour pressure in a named case.',
  },
  ...documentedElectricFigures,
  {
    key: 'prime.time',
    kind: 'duration',
    meaning:
      'Time at key-on until a full line reaches 90 % of its set pressure: compliance × 0.9 set pressure over the pump’s flow at set pressure; absent where it cannot reach that. A second circuit: `prime.<circuit>.time`.',
  },
  {
    key: 'prime.emptyTime',
    kind: 'duration',
    meaning:
      'Time to fill the empty pressure side, with the flow the pump makes while the far end is open.',
  },
  {
    key: 'prime.count',
    kind: 'count',
    meaning: 'Key-on primes of 2 s to fill it and bring it to pressure.',
  },
  {
    key: 'surge.seconds',
    kind: 'duration',
    meaning: 'How long a surge tank lasts at peak design flow of the engine.',
    onlyWith: 'a surge tank',
  },
  {
    key: 'surge.liftRatio',
    kind: 'ratio',
    meaning: 'Flow of the lift pumps at peak over the design flow of the engine.',
    onlyWith: 'a surge tank',
  },
  {
    key: 'tank.heatingPerHour',
    kind: 'temperatureDifference',
    meaning:
      'Rise of fuel temperature in an hour of the cruise case with a quarter of the usable volume: electrical power of the pumps, 150 W from the rail where fuel comes back from there, less what the tank loses to the air (its heat loss, 10 W/K unless entered).',
  },
  {
    key: 'tank.temperatureAfterHour',
    kind: 'temperature',
    meaning:
      'The hot day’s air temperature and that rise. Boiling (head at pump inlets and the margins to vapour of every case but cranking cold) is judged with it where it is above the hottest fuel of the brief, else with that.',
  },
  {
    key: 'tank.vapourPressureAbsolute',
    kind: 'pressure',
    meaning:
      'Vapour pressure of the fuel at that temperature, absolute; left out where the hottest fuel of the brief is hotter.',
  },
  ...documentedMapFigures,
  ...documentedPlumbingFigures,
  ...documentedHarnessFigures,
  {
    key: 'consumption.flow',
    kind: 'volumeFlow',
    meaning:
      'Consumption at the cruise point, at 15 °C: from cruise power by 320 g/kWh on E0 and energy, else the fuel of the cruise case.',
  },
  {
    key: 'consumption.perDistance',
    kind: 'volumePerDistance',
    meaning: 'The same by distance, at the road speed of the brief.',
  },
  {
    key: 'range.distance',
    kind: 'distance',
    meaning: 'Range on the usable volume at the cruise point.',
  },
  {
    key: 'staging.secondary.massFlow',
    kind: 'massFlow',
    meaning:
      'Engine fuel flow at the power speed at which a staged row joins: `staging.<row>.massFlow`.',
    onlyWith: 'a staged row',
  },
  {
    key: 'injector.primary.coilCurrent',
    kind: 'current',
    meaning:
      'Current of one coil held open at running voltage, with its ballast: `injector.<row>.coilCurrent`.',
  },
  {
    key: 'fuel.seasonalShift',
    kind: 'ratio',
    meaning: 'Shift of λ when the tank holds the least ethanol of the year.',
    onlyWith: 'a seasonal fuel',
  },
  {
    key: 'ladder.1.check',
    kind: 'text',
    meaning: 'Name of the n-th check that fails as power rises: `ladder.<n>.check`, from 1.',
  },
  {
    key: 'ladder.1.power',
    kind: 'power',
    meaning: 'Power at which it fails: `ladder.<n>.power`; 0 when it fails at any power.',
  },
  {
    key: 'ladder.first.check',
    kind: 'text',
    meaning: 'Name of the check that fails first as power rises.',
  },
  {
    key: 'ladder.first.power',
    kind: 'power',
    meaning: 'Power at which it fails; 0 when it fails at any power.',
  },
];

const ladderFigure = figureNames({
  ...single('ladder.first.check', 'ladder.first.power'),
  'ladder.check': 'ladder.{rung}.check',
  'ladder.power': 'ladder.{rung}.power',
});

export interface Figure {
  readonly value: number | string;
  readonly unit: string;
}

/** Every result as a flat object of documented keys; per-element keys are included. SI. */
export function figuresOf(evaluation: Evaluation, ladder: Ladder): Record<string, Figure> {
  const figures: Record<string, Figure> = {};
  for (const result of evaluation.results) {
    figures[result.key] = { value: result.value, unit: unitKinds[result.kind][0].symbol };
  }
  const say = (ref: FigureRef, value: number | string, unit: string): void => {
    figures[ref.key] = { value, unit };
  };
  reachedRungs(ladder).forEach((rung, i) => {
    if (i === 0) {
      say(ladderFigure('ladder.first.check'), rung.check, '');
      say(ladderFigure('ladder.first.power'), rung.power, 'W');
    }
    say(ladderFigure('ladder.check', { rung: i + 1 }), rung.check, '');
    say(ladderFigure('ladder.power', { rung: i + 1 }), rung.power, 'W');
  });
  return figures;
}

/** docs/figures.md, written from the descriptions. */
export function figuresDocument(): string {
  const rows = documentedFigures.map((f) => {
    const unit = f.kind === 'text' ? 'text' : unitKinds[f.kind][0].symbol || '1';
    const only = f.onlyWith ? ` Only with ${f.onlyWith}.` : '';
    return `| \`${f.key}\` | ${unit} | ${f.meaning}${only} |`;
  });
  return [
    '# Figures',
    '',
    '`npm run -s evaluate -- FILE` prints these under `figures`, each as `{ "value", "unit" }` in SI.',
    'Keys are only ever added. Pressures are gauge against local ambient unless the name ends in `Absolute`.',
    'The design peak is the highest flow of the demand map × design factor with the hottest fuel, a worn pump',
    'and the low running voltage. Per-element and per-wire keys follow the same pattern as the ones listed.',
    '',
    '| key | unit | meaning |',
    '| --- | --- | --- |',
    ...rows,
    '',
  ].join('\n');
}
