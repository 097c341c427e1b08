import type { BuildFinding } from '../../model/index.ts';
import { newHole, widerHole } from '../../vehicle/index.ts';
import type { HarnessRule } from '../checked.ts';
import { inSegment, onBundles } from './onBundles.ts';
import { ledAnew } from './otherWay.ts';

/** A bundle that goes through metal where there is no hole for it, or through a bare one. */
export const segmentSheet: HarnessRule = {
  id: 'segment.sheet',
  source: 'bundles cross sheet metal only through pass-throughs that are large enough',
  check: onBundles((bundle, checked) => {
    const [worst] = (bundle.check?.crossings ?? [])
      .filter(({ room, hole }) => room < 0 || hole?.fitted === 'none')
      .sort((a, b) => a.room - b.room);
    if (!worst) return [];
    const { sheet, hole } = worst;
    const bare = hole !== undefined && worst.room >= 0;
    const finding: BuildFinding = {
      id: `segment.sheet:${bundle.segmentId}`,
      rule: 'segment.sheet',
      severity: bare ? 'warn' : 'stop',
      where: inSegment(bundle.segmentId),
      title: bare
        ? 'Hole has no grommet'
        : hole
          ? 'Bundle does not fit through its hole'
          : 'Bundle runs through sheet metal',
      because: bare
        ? `${bundle.name} passes ${sheet.name.toLowerCase()} at “${hole.name}”, which has no grommet`
        : hole
          ? `${bundle.name}, {thick} thick: “${hole.name}” in ${sheet.name.toLowerCase()} is {bore} wide, {missing} too narrow`
          : `${bundle.name}, {thick} thick, meets ${sheet.name.toLowerCase()} where there is no hole`,
      numbers: {
        thick: { value: bundle.diameter, kind: 'length' },
        bore: { value: hole?.bore ?? 0, kind: 'length' },
        missing: { value: Math.max(0, -worst.room), kind: 'length' },
      },
      cures: () =>
        bare
          ? [
              {
                text: 'Fit a grommet',
                command: {
                  name: 'set',
                  path: ['sheets', sheet.id, 'passThroughs', hole.id, 'fitted'],
                  value: 'grommet',
                },
              },
            ]
          : [
              ...widerHole(worst),
              ...(hole
                ? []
                : newHole(checked.vehicle.sheets, worst, {
                    name: bundle.name,
                    outsideDiameter: bundle.diameter,
                    fitted: 'grommet',
                  })),
              ...ledAnew(checked, bundle),
              { text: 'Route it through an existing hole' },
            ],
    };
    return [finding];
  }),
};
