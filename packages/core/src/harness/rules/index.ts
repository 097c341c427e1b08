import type { HarnessRule } from '../checked.ts';
import { cutShort, segmentClosed } from './asMade.ts';
import { boughtLegRules } from './boughtLegs.ts';
import { segmentCover, segmentCoverHeat, segmentHot, segmentLaced } from './bundleRules.ts';
import { colourTwice } from './colourTwice.ts';
import { connectorPast, connectorWay } from './connectorWays.ts';
import { holePlug } from './holePlug.ts';
import { repinnedTwice } from './repinned.ts';
import { segmentNearRules } from './segmentNear.ts';
import { segmentSheet } from './segmentSheet.ts';
import { segmentBend, segmentFlex, segmentMeasured, segmentShape } from './segmentShape.ts';
import { spliceSite } from './spliceSite.ts';
import { threadingBlocked } from './threading.ts';
import { harnessLoop, harnessMass, harnessUnled } from './wholeHarness.ts';

/** Every check of the harness. */
export const harnessRules: readonly HarnessRule[] = [
  harnessLoop,
  harnessUnled,
  harnessMass,
  segmentShape,
  segmentBend,
  ...segmentNearRules,
  segmentSheet,
  segmentFlex,
  segmentMeasured,
  segmentCover,
  segmentCoverHeat,
  segmentHot,
  segmentLaced,
  spliceSite,
  colourTwice,
  holePlug,
  connectorPast,
  connectorWay,
  ...boughtLegRules,
  cutShort,
  segmentClosed,
  repinnedTwice,
  threadingBlocked,
];
