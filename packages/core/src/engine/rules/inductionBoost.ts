import type { BuildFinding } from '../../model/index.ts';
import { writeCurve } from '../../model/index.ts';
import type { EngineRule } from '../checked.ts';
import { defaultCurves } from '../demand/engine.ts';

const found = (finding: Omit<BuildFinding, 'rule' | 'where'>): BuildFinding => ({
  ...finding,
  rule: 'induction.boost',
  where: { stage: 'brief' },
});

/** Boost in the brief and what the engine breathes with must say the same. */
export const inductionBoost: EngineRule = {
  id: 'induction.boost',
  source: 'a natural engine has no boost; a boosted one has a boost and a curve that reaches it',
  check({ document: { brief } }) {
    const boost = brief.boost.value;
    const numbers = { boost: { value: boost, kind: 'pressure' } } as const;
    if (brief.aspiration === 'natural') {
      if (boost <= 0) return [];
      return [
        found({
          id: 'induction.boost-without-compressor',
          severity: 'stop',
          title: 'Boost on a naturally aspirated engine',
          because:
            'the engine is naturally aspirated, yet the brief has {boost} of boost and everything is sized for it',
          numbers,
          cures: () => [
            {
              text: 'Remove the boost',
              command: { name: 'choose-induction', aspiration: 'natural' },
            },
            {
              text: 'It is turbocharged',
              command: { name: 'choose-induction', aspiration: 'turbo' },
            },
            {
              text: 'It is supercharged',
              command: { name: 'choose-induction', aspiration: 'supercharged' },
            },
          ],
        }),
      ];
    }
    if (boost <= 0) {
      return [
        found({
          id: 'induction.no-boost',
          severity: 'stop',
          title: 'Boosted engine without boost',
          because:
            'the engine is boosted, but the brief has no boost: pump and injectors are sized without it',
          numbers,
          cures: () => [
            { text: 'Enter the boost in the brief' },
            {
              text: 'It is naturally aspirated',
              command: { name: 'choose-induction', aspiration: 'natural' },
            },
          ],
        }),
      ];
    }
    if (brief.boostCurve.some((point) => point.value.value > 0)) return [];
    return [
      found({
        id: 'induction.boost-never-comes',
        severity: 'stop',
        title: 'Boost curve is zero',
        because:
          'the brief has {boost} of boost, but its curve is zero at every speed, so nothing is sized for it',
        numbers,
        cures: () => [
          {
            text: 'Use the usual boost curve of this engine type',
            command: {
              name: 'set',
              path: ['brief', 'boostCurve'],
              value: writeCurve(defaultCurves(brief).boostCurve),
            },
          },
        ],
      }),
    ];
  },
};
