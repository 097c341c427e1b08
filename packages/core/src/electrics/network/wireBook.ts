import { entryAt } from '../../numerics/index.ts';
import { type Catalogue, type FuseItem, lookUp } from '../../catalogue/index.ts';
import type { Sourced } from '../../results/index.ts';
import { placeFinder } from '../../vehicle/index.ts';
import type { DerivedWire } from '../netlist/derivedWire.ts';
import type { NetPart } from '../netlist/netlist.ts';
import type { WireJob } from '../power/sizeWires.ts';
import { zoneTemperature } from '../power/zoneTemperature.ts';
import type { PlannedBuild } from './wiringBuild.ts';

type PlacedIn = PlannedBuild['placements'][number];

/** What a wire is sized for beside its load. */
export interface JobParts {
  readonly load: Sourced<number>;
  /** m */
  readonly length: number;
  readonly protection: FuseItem | undefined;
  readonly limitedTo: number | undefined;
  readonly forSeconds: number | undefined;
  readonly steadily: number | undefined;
  readonly sourceResistance: number;
}

/** Makes the jobs of wires by where they run. */
export class WireBook {
  private readonly placeOf: (id: string) => PlacedIn;
  private readonly parts: ReadonlyMap<string, NetPart>;
  private readonly sourceVoltage: number;

  constructor(
    private readonly document: PlannedBuild,
    private readonly catalogue: Catalogue,
    parts: readonly NetPart[],
  ) {
    this.placeOf = placeFinder(document.placements);
    this.parts = new Map(parts.map((part) => [part.id, part]));
    const { battery } = document.power;
    this.sourceVoltage = lookUp(catalogue, 'battery', battery, 'power.battery').openCircuitVoltage;
  }

  /** Ambient K at a place; throws NotFound where there is none. */
  ambientAt(placementId: string): number {
    return zoneTemperature(this.placeOf(placementId).zone, this.document.brief.ambientHot.value);
  }

  /** What a wire is sized for, as a job. */
  job(wire: DerivedWire, task: JobParts): WireJob {
    const ends = [wire.from, wire.to].map((end) => this.placeOf(end.placementId));
    const ambients = ends.map((end) => this.ambientAt(end.id));
    const ambient = Math.max(...ambients);
    const part = this.parts.get(wire.partId);
    return {
      wire,
      override: wire.decision?.size
        ? lookUp(this.catalogue, 'wire', wire.decision.size, `power.wireDecisions.${wire.id}`)
        : null,
      task: {
        load: task.load.value,
        protection: task.protection,
        ...(task.limitedTo === undefined ? {} : { limitedTo: task.limitedTo }),
        ...(task.forSeconds === undefined ? {} : { forSeconds: task.forSeconds }),
        ...(task.steadily === undefined ? {} : { steadily: task.steadily }),
        length: task.length,
        ambient,
        zones: ends.map(({ zone }) => zone),
        ...(wire.shelter === undefined ? {} : { shelter: wire.shelter }),
        loadedTogether: part?.loadedTogether ?? 1,
        areaMin: Math.max(wire.from.areaMin, wire.to.areaMin),
        areaMax: Math.min(wire.from.areaMax, wire.to.areaMax),
        sourceVoltage: this.sourceVoltage,
        sourceResistance: task.sourceResistance,
      },
      origins: {
        load: task.load,
        hottestPlaceId: entryAt(ends, ambients.indexOf(ambient)).id,
        bundledAt: part?.bundledAt ?? [],
      },
    };
  }
}
