/** One unit of a kind: SI value = typed × factor + offset. */
export interface Unit {
  readonly symbol: string;
  readonly factor: number;
  readonly offset?: number;
  readonly aliases?: readonly string[];
}

const unit = (symbol: string, factor: number, aliases: string[] = [], offset = 0): Unit => ({
  symbol,
  factor,
  aliases,
  offset,
});

const CUBIC_INCH = 0.0254 ** 3;
const US_GALLON = 231 * CUBIC_INCH;
const POUND = 0.45359237;
const PSI = 6894.757293168361;

/**
 * Every kind of quantity with its units; the first unit of a kind is the SI unit kept inside.
 * Factors: BIPM SI brochure and NIST SP 811 (exact where defined exactly).
 */
export const unitKinds = {
  ratio: [unit('', 1, ['1', 'λ', 'x']), unit('%', 0.01, ['percent', 'pct'])],
  count: [unit('', 1, ['pcs'])],
  length: [
    unit('m', 1),
    unit('mm', 1e-3),
    unit('cm', 1e-2),
    unit('in', 0.0254, ['"', 'inch', 'inches']),
    unit('ft', 0.3048, ["'", 'feet']),
    unit('µm', 1e-6, ['um', 'μm', 'micron']),
  ],
  area: [unit('m²', 1, ['m2']), unit('mm²', 1e-6, ['mm2', 'sqmm'])],
  volume: [
    unit('m³', 1, ['m3']),
    unit('L', 1e-3, ['l', 'litre', 'litres', 'liter', 'liters', 'dm³', 'dm3']),
    unit('cc', 1e-6, ['cm³', 'cm3', 'ccm', 'mL', 'ml']),
    unit('ci', CUBIC_INCH, ['in³', 'in3', 'cid', 'cu in']),
    unit('US gal', US_GALLON, ['gal', 'usgal']),
    unit('imp gal', 4.54609e-3, ['impgal']),
  ],
  mass: [unit('kg', 1), unit('g', 1e-3), unit('lb', POUND, ['lbs'])],
  frequency: [unit('Hz', 1), unit('kHz', 1e3)],
  torque: [
    unit('N·m', 1, ['Nm', 'N m']),
    unit('lbf·ft', 1.3558179483314004, ['lbf ft', 'ft-lb']),
    unit('lbf·in', 1.3558179483314004 / 12, ['lbf in', 'in-lb']),
  ],
  force: [unit('N', 1), unit('kN', 1e3), unit('lbf', POUND * 9.80665)],
  pressure: [
    unit('Pa', 1),
    unit('kPa', 1e3),
    unit('bar', 1e5),
    unit('psi', PSI, ['psig', 'lb/in²']),
    unit('mbar', 100, ['hPa']),
    unit('MPa', 1e6),
    unit('inHg', 3386.389),
  ],
  temperature: [
    unit('K', 1, ['kelvin']),
    unit('°C', 1, ['C', 'degC', '° C'], 273.15),
    unit('°F', 5 / 9, ['F', 'degF', '° F'], 459.67 * (5 / 9)),
  ],
  temperatureDifference: [unit('K', 1)],
  power: [
    unit('W', 1),
    unit('kW', 1e3),
    unit('hp', 745.6998715822702, ['bhp', 'HP']),
    unit('PS', 735.49875, ['cv']),
  ],
  energyPerMass: [unit('J/kg', 1), unit('MJ/kg', 1e6)],
  specificConsumption: [
    unit('kg/J', 1),
    unit('g/kWh', 1e-3 / 3.6e6),
    unit('lb/hp·h', POUND / (745.6998715822702 * 3600), ['lb/hph', 'lb/hp-h', 'lb/(hp·h)']),
  ],
  massFlow: [
    unit('kg/s', 1),
    unit('g/s', 1e-3),
    unit('kg/h', 1 / 3600),
    unit('lb/h', POUND / 3600, ['lb/hr', 'pph']),
  ],
  volumeFlow: [
    unit('m³/s', 1, ['m3/s']),
    unit('L/h', 1e-3 / 3600, ['l/h', 'lph', 'LPH']),
    unit('L/min', 1e-3 / 60, ['l/min', 'lpm']),
    unit('cc/min', 1e-6 / 60, ['cm³/min', 'ccm', 'cm3/min']),
    unit('US gph', US_GALLON / 3600, ['gph', 'gal/h']),
  ],
  rotation: [unit('rev/s', 1, ['1/s', 'Hz']), unit('rpm', 1 / 60, ['r/min', '1/min', 'RPM'])],
  time: [
    unit('s', 1),
    unit('ms', 1e-3),
    unit('µs', 1e-6, ['us', 'μs']),
    unit('min', 60),
    unit('h', 3600),
  ],
  workTime: [unit('s', 1), unit('min', 60), unit('h', 3600)],
  duration: [unit('s', 1), unit('ms', 1e-3), unit('min', 60), unit('h', 3600)],
  angle: [unit('rad', 1), unit('°', Math.PI / 180, ['deg'])],
  velocity: [unit('m/s', 1), unit('ft/s', 0.3048)],
  roadSpeed: [
    unit('m/s', 1),
    unit('km/h', 1 / 3.6, ['kmh', 'kph']),
    unit('mph', 0.44704, ['mi/h']),
  ],
  distance: [unit('m', 1), unit('km', 1e3), unit('mi', 1609.344, ['miles'])],
  volumePerDistance: [
    unit('m³/m', 1),
    unit('L/100 km', 1e-8, ['L/100km', 'l/100km']),
    unit('US gal/100 mi', US_GALLON / 160934.4),
  ],
  thermalConductance: [unit('W/K', 1, ['W/°C']), unit('Btu/h·°F', (1055.05585262 / 3600) * 1.8)],
  specificHeat: [unit('J/kg·K', 1), unit('kJ/kg·K', 1e3)],
  compliance: [unit('m³/Pa', 1)],
  density: [
    unit('kg/m³', 1, ['kg/m3']),
    unit('g/cc', 1000, ['g/cm³', 'g/cm3', 'kg/L']),
    unit('lb/US gal', POUND / US_GALLON),
  ],
  viscosity: [unit('Pa·s', 1, ['Pas']), unit('mPa·s', 1e-3, ['cP', 'mPas'])],
  voltage: [unit('V', 1), unit('mV', 1e-3)],
  current: [unit('A', 1), unit('mA', 1e-3)],
  charge: [unit('C', 1, ['A·s']), unit('A·h', 3600, ['Ah', 'A h'])],
  endurance: [unit('s', 1), unit('min', 60), unit('h', 3600)],
  drain: [unit('A', 1), unit('mA', 1e-3)],
  days: [unit('d', 1, ['days', 'day']), unit('h', 1 / 24)],
  resistance: [unit('Ω', 1, ['ohm', 'Ohm']), unit('mΩ', 1e-3, ['mohm'])],
  resistancePerLength: [unit('Ω/m', 1), unit('mΩ/m', 1e-3)],
  heatPerLength: [unit('W/m', 1)],
  letThrough: [unit('A²s', 1), unit('kA²s', 1e3)],
  flowSlope: [unit('Pa·s/m³', 1), unit('kPa per 100 L/h', 1e3 / (0.1 / 3600))],
  hydraulicArea: [unit('m²', 1), unit('mm²', 1e-6)],
} as const satisfies Record<string, readonly Unit[]>;

export type UnitKind = keyof typeof unitKinds;
