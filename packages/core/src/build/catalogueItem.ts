/** What every catalogue item carries. Revisions are immutable: a change makes the next one. */
export interface ItemBase {
  readonly id: string;
  readonly revision: number;
  readonly designation: string;
  readonly family: string;
  /** kg */
  readonly mass: number;
  /** made-up price, in the shop's currency */
  readonly price: number;
  readonly interchange: string;
}

/** Pump curve at one voltage; flow m³/s rising, pressure rise Pa, current A. */
export interface PumpCurve {
  readonly voltage: number;
  readonly points: readonly PumpCurvePoint[];
}
/** A point of a pump curve: flow m³/s, pressure rise Pa, current A. */
export interface PumpCurvePoint {
  readonly flow: number;
  readonly pressure: number;
  readonly current: number;
}

/** A pump: curves at several voltages and what its inlet needs. */
export interface PumpItem extends ItemBase {
  readonly category: 'pump';
  readonly mounting: 'in-tank' | 'external';
  readonly duty: 'main' | 'lift';
  readonly curves: readonly PumpCurve[];
  readonly checkValve: boolean;
  readonly positiveDisplacement: boolean;
  /** Pa above vapour pressure that the inlet needs */
  readonly inletHeadNeeded: number;
  /** inrush multiple of running current and its time constant, s */
  readonly inrushFactor: number;
  readonly inrushTime: number;
  readonly pressureRating: number;
  readonly wireAreaMin: number;
  readonly wireAreaMax: number;
}

/** An injector: rated flow with its test fluid and pressure, dead times, coil. */
export interface InjectorItem extends ItemBase {
  readonly category: 'injector';
  /** rated volume flow m³/s at ratedPressure Pa with a fluid of ratedDensity kg/m³ */
  readonly ratedFlow: number;
  readonly ratedPressure: number;
  readonly ratedDensity: number;
  /** Ω */
  readonly resistance: number;
  readonly driver: 'saturated' | 'peak-hold';
  readonly smallestPulse: number;
  readonly smallestEffectivePulse: number;
  /** dead time s: rows over voltage, columns over pressure */
  readonly deadTimeVoltages: readonly number[];
  readonly deadTimePressures: readonly number[];
  readonly deadTimes: readonly (readonly number[])[];
  readonly pressureRating: number;
}

export const hoseServices = ['fuel', 'low-pressure', 'immersed', 'hydraulic'] as const;
/** What a hose is made for. */
export type HoseService = (typeof hoseServices)[number];

/** Hose or hardline by the metre; lengths in m, pressures in Pa. */
export interface HoseItem extends ItemBase {
  readonly category: 'hose';
  readonly bore: number;
  readonly outsideDiameter: number;
  readonly roughness: number;
  readonly pressureRating: number;
  readonly ethanolLimit: number;
  /** number in the dash size series; 0 for hardline by metric size */
  readonly dash: number;
  /** what it is made for; fuel under pressure when nothing is said */
  readonly service?: HoseService;
}

/** A fitting: bore m and loss coefficient on that bore. */
export interface FittingItem extends ItemBase {
  readonly category: 'fitting';
  readonly bore: number;
  readonly lossCoefficient: number;
  readonly pressureRating: number;
}

/** Pressure drop Pa at flow m³/s with the test fluid. */
export interface FilterPoint {
  readonly flow: number;
  readonly pressureDrop: number;
}
/** A filter: data-sheet points with their test fluid. */
export interface FilterItem extends ItemBase {
  readonly category: 'filter';
  readonly fineness: number;
  readonly points: readonly FilterPoint[];
  readonly testDensity: number;
  readonly testViscosity: number;
  readonly loadedFactor: number;
  readonly ethanolLimit: number;
  readonly pressureRating: number;
}

/** A return regulator: range, slope and opening. */
export interface RegulatorItem extends ItemBase {
  readonly category: 'regulator';
  readonly setMin: number;
  readonly setMax: number;
  /** Pa per m³/s of bypass */
  readonly slope: number;
  /** discharge coefficient × area wide open, m² */
  readonly openArea: number;
  readonly bypassMin: number;
  readonly bypassMax: number;
  readonly pressureRating: number;
}

/** Filter and fixed regulator in one body, for use near the tank. */
export interface FilterRegulatorItem extends ItemBase {
  readonly category: 'filter-regulator';
  readonly setPressure: number;
  readonly fineness: number;
  readonly points: readonly FilterPoint[];
  readonly testDensity: number;
  readonly testViscosity: number;
  readonly loadedFactor: number;
  readonly ethanolLimit: number;
  readonly slope: number;
  readonly openArea: number;
  readonly bypassMin: number;
  readonly bypassMax: number;
  readonly pressureRating: number;
}

/** Forward regulator: holds its outlet at or below the set pressure, nothing returns. */
export interface DeadHeadRegulatorItem extends ItemBase {
  readonly category: 'dead-head-regulator';
  readonly setMin: number;
  readonly setMax: number;
  readonly slope: number;
  readonly openArea: number;
  readonly pressureRating: number;
}

/** What a tank is: volume for range, outlets by the fittings on it. */
export interface TankItem extends ItemBase {
  readonly category: 'tank';
  /** usable volume m³ */
  readonly volume: number;
  readonly material: 'steel' | 'stainless' | 'aluminium' | 'plastic';
  readonly ethanolLimit: number;
}

/** A small part that is ordered but loses no pressure: clamp, seal, cap. */
export interface SmallPartItem extends ItemBase {
  readonly category: 'small-part';
  /** least and greatest diameter m that it suits */
  readonly diameterMin: number;
  readonly diameterMax: number;
}

/** A battery: open-circuit voltage V and internal resistance Ω. */
export interface BatteryItem extends ItemBase {
  readonly category: 'battery';
  readonly openCircuitVoltage: number;
  readonly internalResistance: number;
  readonly wireAreaMin: number;
  readonly wireAreaMax: number;
}

/** Band of opening times s at a multiple of the rating. */
export interface FuseBandPoint {
  readonly multiple: number;
  readonly fastest: number;
  readonly slowest: number;
}
/** A fuse: rating A and band of opening times. */
export interface FuseItem extends ItemBase {
  readonly category: 'fuse';
  readonly style: 'blade' | 'bolt';
  readonly rating: number;
  readonly band: readonly FuseBandPoint[];
  readonly wireAreaMin: number;
  readonly wireAreaMax: number;
}

/** A relay: contact rating A, contact and coil resistance Ω. */
export interface RelayItem extends ItemBase {
  readonly category: 'relay';
  readonly contactRating: number;
  readonly contactResistance: number;
  readonly coilResistance: number;
  readonly wireAreaMin: number;
  readonly wireAreaMax: number;
}

/** A wire size. */
export interface WireItem extends ItemBase {
  readonly category: 'wire';
  readonly system: 'metric' | 'awg';
  readonly size: string;
  /** conductor area m², outside diameter m, Ω/m at 20 °C */
  readonly area: number;
  readonly outsideDiameter: number;
  readonly resistancePerMetre: number;
  readonly insulationClass: number;
  readonly insulation: 'cross-linked' | 'pvc';
}

/** What an ECU offers the fuel system. */
export interface EcuItem extends ItemBase {
  readonly category: 'ecu';
  readonly pumpPin: string;
  readonly pumpPinSide: 'low-side' | 'high-side';
  readonly pumpPinCurrent: number;
  readonly injectorDriver: 'saturated' | 'peak-hold';
  readonly injectorOutputs: number;
  readonly wireAreaMin: number;
  readonly wireAreaMax: number;
}

/** One revision of a catalogue item; figures are SI. */
export type CatalogueItem =
  | PumpItem
  | InjectorItem
  | HoseItem
  | FittingItem
  | FilterItem
  | RegulatorItem
  | FilterRegulatorItem
  | DeadHeadRegulatorItem
  | TankItem
  | SmallPartItem
  | BatteryItem
  | FuseItem
  | RelayItem
  | WireItem
  | EcuItem;

export type CatalogueCategory = CatalogueItem['category'];
export type ItemOf<Category extends CatalogueCategory> = Extract<
  CatalogueItem,
  { category: Category }
>;
