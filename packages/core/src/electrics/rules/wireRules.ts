import type { Criterion } from '../power/wireCriteria.ts';
import { wiresOf } from '../network/pumpSupply.ts';
import type { SizedWire } from '../power/sizeWires.ts';
import type { Cure, Severity } from '../../results/index.ts';
import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { ElectricsRule } from '../checked.ts';

const titles: Record<Criterion['name'], string> = {
  current: 'Wire is too thin for its current',
  'voltage drop': 'Voltage drop is too high',
  'mechanical minimum': 'Wire is too thin for its place',
  'short circuit': 'Fuse does not protect this wire in a short circuit',
  'terminal fit': 'Wire does not fit its terminals',
  fuse: 'Wire is too thin for its fuse',
};
const severities: Record<Criterion['name'], Severity> = {
  current: 'stop',
  'voltage drop': 'warn',
  'mechanical minimum': 'warn',
  'short circuit': 'stop',
  'terminal fit': 'warn',
  fuse: 'stop',
};
const reasons: Record<Criterion['name'], string> = {
  current: 'it may carry {measured}; its load draws {limit}',
  'voltage drop': 'the run drops {measured} out and back; the limit is {limit}',
  'mechanical minimum': 'it has {measured}; this place needs {limit}',
  'short circuit': 'the fuse lets through {measured}; the insulation withstands {limit}',
  'terminal fit': 'it has {measured}; the terminals accept up to {limit}',
  fuse: 'it may carry {measured}; an overload that its {limit} fuse lets pass overheats it',
};

/** What lies round a wire, in words. */
const within: Record<NonNullable<Criterion['within']>, string> = {
  nothing: ' of a wire without a sleeve',
  sleeved: ' of a wire in a sleeve',
  sealed: ' of a wire in a sealed loom',
};

function wireFinding(
  sized: SizedWire,
  criterion: Criterion,
  stage: 'wires' | 'wiring',
): BuildFinding {
  const unjudged = criterion.verdict === 'cannot judge';
  const cures: Cure<BuildCommand>[] = sized.chosenByHand
    ? [
        {
          text: 'Size this wire by the rules',
          command: {
            name: 'choose-wire',
            wireId: sized.wire.id,
            wireName: sized.wire.name,
            size: null,
          },
        },
      ]
    : [
        {
          text: 'No size meets all criteria: shorten the run, move it out of the heat, or change the fuse',
        },
      ];
  return {
    id: `wire.${criterion.name.replaceAll(' ', '-')}:${sized.wire.id}`,
    rule: 'wire.size',
    severity: unjudged ? 'note' : severities[criterion.name],
    where: stage === 'wires' ? { stage, wire: sized.wire.id } : { stage, wire: sized.wire.id },
    title: unjudged ? 'Short circuit cannot be judged' : titles[criterion.name],
    because: unjudged
      ? `${sized.wire.name}: this fuse has no time-current curve on record`
      : `${sized.wire.name}, ${sized.size.designation}: ${reasons[criterion.name]}${criterion.within ? within[criterion.within] : ''}`,
    numbers: {
      measured: { value: criterion.measured, kind: criterion.kind },
      limit: { value: criterion.limit, kind: criterion.kind },
    },
    ...(unjudged
      ? {}
      : {
          measured: { value: criterion.measured, kind: criterion.kind },
          limit: { value: criterion.limit, kind: criterion.kind },
        }),
    rung: 'wire',
    cures: () => (unjudged ? [{ text: 'Add the curve of this fuse to the catalogue' }] : cures),
  };
}

/** A wire without a fuse is told by itself; a starter's cable is spared what a fuse would ask. */
const isJudged = ({ task }: SizedWire, { verdict }: Criterion): boolean =>
  verdict !== 'cannot judge' || (task.protection !== undefined && task.forSeconds === undefined);

/** Each wire against the six criteria. */
export const wires: ElectricsRule = {
  id: 'wire.size',
  source: 'the six criteria of wire size',
  check: (checked) => {
    const ofPumps = new Set(wiresOf(checked.feeds).map(({ wire }) => wire.id));
    return checked.electrics.runs.flatMap(({ group }) =>
      group.wires.flatMap((sized, index) =>
        sized.criteria
          .filter((c) => c.verdict !== 'passes' && isJudged(sized, c))
          // the drop belongs to the whole group: say it once
          .filter((c) => c.name !== 'voltage drop' || index === 0)
          .map((c) => {
            const stage = ofPumps.has(sized.wire.id) ? 'wiring' : 'wires';
            const finding = wireFinding(sized, c, stage);
            if (c.name !== 'voltage drop') return finding;
            const byHand = group.wires.filter((w) => w.chosenByHand);
            return {
              ...finding,
              cures: () =>
                byHand.length
                  ? [
                      {
                        text: 'Size these wires by the rules',
                        command: {
                          name: 'set-several' as const,
                          label: 'Size these wires by the rules',
                          changes: byHand.map((w) => ({
                            path: ['power', 'wireDecisions', w.wire.id, 'size'],
                            value: null,
                          })),
                        },
                      },
                    ]
                  : finding.cures(),
            };
          }),
      ),
    );
  },
};
