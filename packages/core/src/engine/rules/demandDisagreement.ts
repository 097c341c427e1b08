import { engineFigure } from '../figureNames.ts';
import type { EngineRule } from '../checked.ts';
import { credibleConsumption } from '../demand/engine.ts';

const LIMIT = 0.15;

export const demandDisagreement: EngineRule = {
  id: 'demand.disagreement',
  source: 'schools of demand: above 15 % one input is wrong',
  check({ document: { brief }, results }) {
    const measured = results.at(engineFigure('demand.disagreement'));
    if (measured.value <= LIMIT) return [];
    const implied = results.at(engineFigure('demand.implied.specificConsumption'));
    const efficiency = results.at(engineFigure('demand.implied.volumetricEfficiency'));
    const boost = results.at(engineFigure('demand.implied.boost'));
    const byPower = results.at(engineFigure('demand.byPower.peak.massFlow')).value;
    const byAir = results.at(engineFigure('demand.byAir.massFlow', { at: 'atPower' })).value;
    return [
      {
        id: 'demand.disagreement',
        rule: 'demand.disagreement',
        severity: 'warn',
        where: { stage: 'demand' },
        title: 'Power and air flow disagree',
        because:
          'the two schools differ by {difference}; one input is wrong. A consumption of {consumption}, a volumetric efficiency of {efficiency} or a boost of {boost} would reconcile them',
        numbers: {
          difference: { value: measured.value, kind: 'ratio' },
          consumption: { value: implied.value, kind: implied.kind },
          efficiency: { value: efficiency.value, kind: 'ratio' },
          boost: { value: boost.value, kind: 'pressure' },
        },
        measured: { value: measured.value, kind: 'ratio' },
        limit: { value: LIMIT, kind: 'ratio' },
        cures: () => [
          ...(credibleConsumption(implied.value, brief.aspiration, brief.cycle)
            ? [
                {
                  text: 'Use the specific consumption that the air flow implies',
                  command: {
                    name: 'set' as const,
                    path: ['brief', 'specificConsumption'],
                    value: { value: implied.value, unit: 'g/kWh' },
                  },
                },
              ]
            : []),
          {
            text: `${byAir > byPower ? 'Raise' : 'Lower'} the power target to what the air makes`,
            command: {
              name: 'set',
              path: ['brief', 'power'],
              value: { value: (brief.power.value * byAir) / byPower, unit: brief.power.unit },
            },
          },
          { text: 'Correct the volumetric efficiency or the boost in the brief' },
        ],
      },
    ];
  },
};
