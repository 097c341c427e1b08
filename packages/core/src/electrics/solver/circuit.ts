/** A point of a circuit where elements meet. */
export type NodeName = string;

interface Between {
  readonly id: string;
  readonly from: NodeName;
  readonly to: NodeName;
}

/** A wire, a contact, a heater, a coil at rest: Ω; Infinity where it is open. */
export interface Resistor extends Between {
  readonly kind: 'resistor';
  readonly resistance: number;
}

/** A battery, an alternator, a regulated reference: `to` is its positive pole; V and Ω behind it. */
export interface VoltageSource extends Between {
  readonly kind: 'source';
  readonly voltage: number;
  readonly resistance: number;
}

/** A load that takes the same current A whatever its voltage. */
export interface CurrentLoad extends Between {
  readonly kind: 'current';
  readonly current: number;
}

/**
 * A load behind its own regulator, which takes the same power W: under half of its rated voltage V
 * it takes what a resistor of that power would, so that it can come up from nothing.
 */
export interface PowerLoad extends Between {
  readonly kind: 'power';
  readonly power: number;
  readonly ratedVoltage: number;
}

/** A diode from its anode to its cathode: I = saturation·(exp(V / (emission·Vt)) − 1). */
export interface Diode extends Between {
  readonly kind: 'diode';
  /** saturation current A */
  readonly saturation: number;
  readonly emission: number;
}

/** An element between two nodes; its current counts from `from` to `to` through it. */
export type ElectricElement = Resistor | VoltageSource | CurrentLoad | PowerLoad | Diode;

/** Elements between nodes, one of which is at 0 V. */
export interface ElectricCircuit {
  readonly ground: NodeName;
  readonly elements: readonly ElectricElement[];
}

/** Volts at every node and amps through every element; or why no state was found. */
export type ElectricSolution =
  SolvedElectric | { readonly state: 'failed'; readonly reason: string };

/** A circuit with its volts and amps. */
export interface SolvedElectric {
  readonly state: 'solved';
  readonly voltages: ReadonlyMap<NodeName, number>;
  readonly currents: ReadonlyMap<string, number>;
  /** linear solutions it took: 1 where all is linear */
  readonly steps: number;
}
