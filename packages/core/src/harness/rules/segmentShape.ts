import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import { shapeOf } from '../../vehicle/index.ts';
import type { HarnessChecked, HarnessRule } from '../checked.ts';
import { type LaidBundle, inSegment, onBundles } from './onBundles.ts';

const radiusPath = (segmentId: string, corner: string) => [
  'harness',
  'segments',
  segmentId,
  'points',
  corner,
  'radius',
];

/** A segment whose bends do not fit between their neighbours, or that has no way at all. */
export const segmentShape: HarnessRule = {
  id: 'segment.shape',
  source: 'bends fit between their corners; a segment has two different ends',
  check: ({ led, decidedHarness }) => {
    const named = new Map(decidedHarness.segments.map((segment) => [segment.id, segment]));
    const finding = (segmentId: string, because: string, extra: Partial<BuildFinding>) => ({
      id: `segment.shape:${segmentId}`,
      rule: 'segment.shape',
      severity: 'stop' as const,
      where: inSegment(segmentId),
      title: 'Segment cannot be routed',
      because: `${named.get(segmentId)?.name ?? segmentId}: ${because}`,
      numbers: {},
      cures: (): Cure<BuildCommand>[] => [
        {
          text: 'Remove the segment',
          command: { name: 'take-segment-out', segmentId },
        },
      ],
      ...extra,
    });
    const bent = led.segments.flatMap(({ id, points, refusals }): BuildFinding[] => {
      const [refusal] = refusals;
      if (!refusal) return [];
      const corner = named.get(id)?.points[refusal.point - 1]?.id;
      const millimetres = Math.floor(refusal.largest * 1e3);
      return [
        finding(
          id,
          `corner ${refusal.point} with a bend radius of {radius} does not fit; {largest} would`,
          {
            numbers: {
              radius: { value: points[refusal.point]?.radius ?? 0, kind: 'length' },
              largest: { value: refusal.largest, kind: 'length' },
            },
            cures: () => [
              ...(corner !== undefined && millimetres >= 5
                ? [
                    {
                      text: `Use a bend radius of ${millimetres} mm`,
                      command: {
                        name: 'set' as const,
                        path: radiusPath(id, corner),
                        value: quantity(millimetres, 'length', 'mm'),
                      },
                    },
                  ]
                : corner !== undefined
                  ? [
                      {
                        text: 'Remove that corner',
                        command: {
                          name: 'remove' as const,
                          path: ['harness', 'segments', id, 'points', corner],
                        },
                      },
                    ]
                  : []),
              { text: 'Move that corner, or the ones beside it' },
            ],
          },
        ),
      ];
    });
    return [
      ...bent,
      ...led.broken.map((id) =>
        finding(id, 'its ends are at one place, or it turns straight back', {}),
      ),
    ];
  },
};

/** Every bend that is too tight made as wide as it has to be, where all of that fits. */
function wider(
  { led, segmentId, leastBend }: LaidBundle,
  { decidedHarness }: HarnessChecked,
): Cure<BuildCommand>[] {
  const stored = decidedHarness.segments.find(({ id }) => id === segmentId);
  const radius = Math.ceil(leastBend * 1e3);
  const points = led.points.map((point) =>
    point.radius > 0 && point.radius < leastBend ? { ...point, radius: radius / 1e3 } : point,
  );
  if (!stored || !shapeOf(points).ok) {
    return [{ text: 'Move its corners further apart, or split the bundle' }];
  }
  return [
    {
      text: `Use a bend radius of ${radius} mm`,
      command: {
        name: 'set-several',
        label: `Bend radius of “${stored.name}”: ${radius} mm`.slice(0, 120),
        changes: stored.points
          .filter((point) => point.radius.value > 0 && point.radius.value < leastBend)
          .map(({ id }) => ({
            path: radiusPath(segmentId, id),
            value: quantity(radius, 'length', 'mm'),
          })),
      },
    },
  ];
}

/** A bundle bent more tightly than it may be. */
export const segmentBend: HarnessRule = {
  id: 'segment.bend',
  source:
    'bend radius six times the outside diameter where a bundle is fixed, ten times where it moves',
  check: onBundles((bundle, checked) => {
    if (bundle.tightest >= bundle.leastBend - 1e-9) return [];
    return [
      {
        id: `segment.bend:${bundle.segmentId}`,
        rule: 'segment.bend',
        severity: 'warn',
        where: inSegment(bundle.segmentId),
        title: 'Bundle bend is too tight',
        because: `${bundle.name}: bend radius {tightest}; at {diameter} outside diameter it needs {least}`,
        numbers: {
          tightest: { value: bundle.tightest, kind: 'length' },
          diameter: { value: bundle.diameter, kind: 'length' },
          least: { value: bundle.leastBend, kind: 'length' },
        },
        measured: { value: bundle.tightest, kind: 'length' },
        limit: { value: bundle.leastBend, kind: 'length' },
        worse: 'lower',
        cures: () => wider(bundle, checked),
      },
    ];
  }),
};

/** Length that a bundle has to spare where it comes onto the engine, m. */
const LEAST_LOOP = 0.06;
const USUAL_LOOP = 80;

/** A bundle from the vehicle onto the engine without a loop. */
export const segmentFlex: HarnessRule = {
  id: 'segment.flex',
  source: 'a service or drip loop of 60 to 100 mm where a harness flexes, engine to body',
  check: onBundles((bundle, { decidedHarness }) => {
    const stored = decidedHarness.segments.find(({ id }) => id === bundle.segmentId);
    if (!bundle.crossesToEngine || !stored || stored.loop.value >= LEAST_LOOP) return [];
    return [
      {
        id: `segment.flex:${bundle.segmentId}`,
        rule: 'segment.flex',
        severity: 'warn',
        where: inSegment(bundle.segmentId),
        title: 'No loop where the engine moves',
        because: `${bundle.name} runs from what moves with the engine to what does not, with {loop} of slack; it needs {least}`,
        numbers: {
          loop: { value: stored.loop.value, kind: 'length' },
          least: { value: LEAST_LOOP, kind: 'length' },
        },
        measured: { value: stored.loop.value, kind: 'length' },
        limit: { value: LEAST_LOOP, kind: 'length' },
        worse: 'lower',
        cures: () => [
          {
            text: `Add a loop of ${USUAL_LOOP} mm`,
            command: {
              name: 'set',
              path: ['harness', 'segments', bundle.segmentId, 'loop'],
              value: quantity(USUAL_LOOP, 'length', 'mm'),
            },
          },
        ],
      },
    ];
  }),
};

/** A string may lie so much longer than the map says before it is told: a share, and m. */
const LIES_OFF = 0.03;
const AT_LEAST_OFF = 0.02;

/** A branch that was measured longer than the map says. */
export const segmentMeasured: HarnessRule = {
  id: 'segment.measured',
  source: 'a wire pulled tight in a branch cannot be eased: mock up with a string before cutting',
  check: onBundles((bundle, { decidedHarness }) => {
    const { mapLength } = bundle.led;
    const stored = decidedHarness.segments.find(({ id }) => id === bundle.segmentId);
    if (!stored?.measured) return [];
    const off = stored.measured.value - mapLength.value;
    if (Math.abs(off) <= Math.max(AT_LEAST_OFF, LIES_OFF * mapLength.value)) return [];
    const longer = off > 0;
    return [
      {
        id: `segment.measured:${bundle.segmentId}`,
        rule: 'segment.measured',
        severity: longer ? 'warn' : 'note',
        where: inSegment(bundle.segmentId),
        title: longer ? 'Branch is longer than planned' : 'Branch is shorter than planned',
        because: longer
          ? `${bundle.name}: the string gives {measured}, the map {planned}; ${bundle.wires.length} wires cut to the map would be {off} short`
          : `${bundle.name}: the string gives {measured}, the map {planned}; its wires are cut to the string`,
        numbers: {
          measured: { value: stored.measured.value, kind: 'length' },
          planned: { value: mapLength.value, kind: 'length' },
          off: { value: Math.abs(off), kind: 'length' },
        },
        measured: { value: stored.measured.value, kind: 'length' },
        limit: { value: mapLength.value, kind: 'length' },
        cures: () => [
          {
            text: 'Move its corners or ends on the map until it matches; until then its wires are cut to the string',
          },
        ],
      },
    ];
  }),
};
