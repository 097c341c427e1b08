import {
  type Addition,
  type BuildDocument,
  type Catalogue,
  type Change,
  type ComparedSchool,
  type Evaluation,
  type HarnessProgress,
  type KnownBuild,
  type MakingSheet,
  type MovedHarness,
  type PlacesProgress,
  type ReelLine,
  type SegmentSheet,
  type ThreadingOrder,
  type ToldBoard,
  bodyForPlace,
  compareHarnessSchools,
  findPlaces,
  formboards,
  harnessThreading,
  lateAdditions,
  makingSheet,
  movedHarness,
  newestOf,
  proposeHarness,
  proposedSplices,
  readBuild,
  reelList,
  segmentSheet,
  toldBoards,
  withValueAt,
} from '@brookrain/core';
import { longRuns, started } from './longRuns.ts';

/** A device that is to be added, and where. */
export interface AddedLater {
  readonly itemId: string;
  readonly placementId: string;
}

const schoolsAsked = longRuns();

/** What the page asks of the worker about the harness, from the evaluation of a build. */
export const harnessWork = (
  evaluationOf: (document: BuildDocument) => Evaluation,
  knownBuild: (document: BuildDocument) => KnownBuild,
  catalogueNow: () => Catalogue,
  /** the build that was evaluated last */
  opened: () => BuildDocument | undefined,
) => ({
  /** What the harness of the build evaluated last comes to with a place moved, before that is an edit. */
  moved(changes: readonly Change[]): MovedHarness | undefined {
    const document = opened();
    if (!document) return undefined;
    const { led, electrics } = evaluationOf(document);
    const { harness, placements, hardPoints } = readBuild(
      changes.reduce((build, { path, value }) => withValueAt(build, path, value), document),
    );
    return movedHarness(led, { netlist: electrics.netlist, harness, placements, hardPoints });
  },
  /** A segment of the harness cut through. */
  segment(document: BuildDocument, segmentId: string): SegmentSheet | undefined {
    const { harness, electrics } = evaluationOf(document);
    return segmentSheet(harness, electrics, segmentId);
  },
  /** The harness of a build in every school. */
  harnessSchools(document: BuildDocument): Promise<readonly ComparedSchool[] | undefined> {
    return schoolsAsked.through(compareHarnessSchools(knownBuild(document)));
  },
  /** Which lengths of wire are bought, and which wires are cut from each. */
  reels(document: BuildDocument): readonly ReelLine[] {
    return reelList(evaluationOf(document));
  },
  /** Wires and plugs as they are made at the bench. */
  making(document: BuildDocument): MakingSheet {
    const { led, harness, electrics } = evaluationOf(document);
    return makingSheet({ led, harness, electrics, catalogue: catalogueNow() });
  },
  /** The boards on which the looms of a build are made. */
  boards(document: BuildDocument): readonly ToldBoard[] {
    const { led, harness, electrics } = evaluationOf(document);
    const { harness: decided, placements } = readBuild(document);
    const buildName = document.name;
    return toldBoards(formboards({ buildName, led, harness, electrics, decided, placements }));
  },
  /** In which order sleeves and holes are passed and plugs are fitted. */
  threading(document: BuildDocument): ThreadingOrder {
    const { led, harness } = evaluationOf(document);
    const { harness: decided, power } = readBuild(document);
    return harnessThreading({
      led,
      harness,
      bought: decided.bought,
      rootPlacementId: power.ecuPlacementId,
      catalogue: catalogueNow(),
    });
  },
  /** Ways to add a device to the harness as it is made; none for what is no device. */
  additions(document: BuildDocument, { itemId, placementId }: AddedLater): readonly Addition[] {
    const { electrics, led, harness } = evaluationOf(document);
    const catalogue = catalogueNow();
    const item = newestOf(catalogue, 'device').find(({ id }) => id === itemId);
    if (!item) return [];
    const build = readBuild(document);
    return lateAdditions({ build, item, placementId, electrics, led, harness, catalogue });
  },
  /** Where the splices of a build sit with the least copper. */
  splices(document: BuildDocument): ReturnType<typeof proposedSplices> {
    const { led, electrics } = evaluationOf(document);
    return proposedSplices({ led, electrics, harness: readBuild(document).harness });
  },
  /** Looks for a harness that joins all at which wires end; undefined when cancelled. */
  proposedHarness(
    document: BuildDocument,
    onProgress: (progress: HarnessProgress) => void,
  ): Promise<HarnessProgress | undefined> {
    const { electrics, map } = evaluationOf(document);
    const { harness, placements, power, mountingLines, vehicle } = readBuild(document);
    const search = proposeHarness({
      electrics,
      harness,
      placements,
      rootPlacementId: power.ecuPlacementId,
      around: map.around,
      mountingLines,
      vehicle,
      catalogue: catalogueNow(),
    });
    return started.through(search, onProgress);
  },
  /** Looks for places at which a part could sit; undefined when cancelled. */
  places(
    document: BuildDocument,
    placementId: string,
    onProgress: (progress: PlacesProgress) => void,
  ): Promise<PlacesProgress | undefined> {
    const { electrics, led, map, panel } = evaluationOf(document);
    const build = readBuild(document);
    const components = map.components.map(({ component }) => component);
    const catalogue = catalogueNow();
    const { devices } = build;
    const search = findPlaces({
      ...build,
      placementId,
      body: bodyForPlace({ placementId, components, devices, panel, catalogue }),
      netlist: electrics.netlist,
      segments: led.segments,
      around: map.around,
    });
    return started.through(search, onProgress);
  },
});
