/** State of one element in a solved circuit. SI, gauge pressures. */
export interface ElementState {
  readonly id: string;
  readonly massFlow: number;
  readonly inletPressure: number;
  readonly outletPressure: number;
  /** loss across, without height; negative for a pump's rise */
  readonly pressureDrop: number;
  readonly velocity?: number;
  readonly reynolds?: number;
  /** what runs over a surge tank kg/s; negative: it empties */
  readonly overflow?: number;
}

/** What a pump does in a solved circuit. */
export interface PumpState {
  readonly elementId: string;
  readonly flow: number;
  readonly pressureRise: number;
  readonly voltage: number;
  readonly current: number;
  readonly outsideData: boolean;
  /** share of the supply voltage that its controller passes on */
  readonly share: number;
}
