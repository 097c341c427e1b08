import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { HarnessChecked, HarnessRule } from '../checked.ts';
import { storedCut, wireCutTo } from '../repairs/cutWires.ts';
import { type Repair, repairsOf } from '../repairs/repairs.ts';
import { inSegment } from './onBundles.ts';

const inHours = (seconds: number): string =>
  seconds < 3600
    ? `${Math.max(1, Math.round(seconds / 60))} min`
    : `${Math.round(seconds / 360) / 10} h`;

const asCure = ({ words, work, changes }: Repair): Cure<BuildCommand> => ({
  text: `${words} (about ${inHours(work)})`,
  command: { name: 'set-several', label: words, changes },
});

/** Wires that were cut and do not reach any more. */
export const cutShort: HarnessRule = {
  id: 'harness.cut-short',
  source: 'a cut wire keeps its length; a wire pulled tight in its cover cannot be eased',
  check: (checked) => {
    const { led, electrics } = checked;
    const short = led.wires.flatMap(({ wireId, length, needed, cut }) =>
      cut && needed && needed.value - length.value > 1e-6
        ? [{ wireId, missing: needed.value - length.value }]
        : [],
    );
    const worst = [...short].sort((a, b) => b.missing - a.missing)[0];
    if (!worst) return [];
    const names = new Map(electrics.netlist.wires.map(({ id, name }) => [id, name]));
    return [
      {
        id: 'harness.cut-short',
        rule: 'harness.cut-short',
        severity: 'warn',
        where: { stage: 'harness' },
        title: 'Cut wires no longer reach',
        because:
          `{count} of the cut wires ${short.length === 1 ? 'is' : 'are'} shorter than {their} route now needs: “${names.get(worst.wireId) ?? worst.wireId}” by {missing}`.replace(
            '{their}',
            short.length === 1 ? 'its' : 'their',
          ),
        numbers: {
          count: { value: short.length, kind: 'count' },
          missing: { value: worst.missing, kind: 'length' },
        },
        measured: { value: worst.missing, kind: 'length' },
        limit: { value: 0, kind: 'length' },
        worse: 'higher',
        cures: () => repairsOf(checked).map(asCure),
      },
    ];
  },
};

/** Wires as they are cut now, up to the next millimetre. */
const cutNow = (wires: HarnessChecked['led']['wires']) =>
  Object.fromEntries(
    wires.map(({ wireId, length }) => [
      wireId,
      wireCutTo(quantity(Math.ceil(length.value * 1e3 - 1e-6), 'length', 'mm')),
    ]),
  );

/** Wires that have to go into a cover that is closed already. */
export const segmentClosed: HarnessRule = {
  id: 'segment.closed',
  source: 'no wire is added to a closed cover without opening it',
  check: ({ led, decidedHarness, electrics, harness }: HarnessChecked) => {
    const names = new Map(electrics.netlist.wires.map(({ id, name }) => [id, name]));
    return decidedHarness.segments.flatMap((segment): BuildFinding[] => {
      if (!segment.closed) return [];
      const fresh = led.wires.filter(
        ({ cut, leg, parts }) =>
          !cut && !leg && parts.some(({ segmentId }) => segmentId === segment.id),
      );
      const [first] = fresh;
      if (!first) return [];
      const length = harness.bundles.find(({ segmentId }) => segmentId === segment.id)?.length ?? 0;
      return [
        {
          id: `segment.closed:${segment.id}`,
          rule: 'segment.closed',
          severity: 'note',
          where: inSegment(segment.id),
          title: 'Closed cover has to be opened',
          because: `{count} ${fresh.length === 1 ? 'uncut wire runs' : 'uncut wires run'} through “${segment.name}”, whose cover is closed over {length}: ${names.get(first.wireId) ?? ''}${fresh.length > 1 ? ' and others' : ''}`,
          numbers: {
            count: { value: fresh.length, kind: 'count' },
            length: { value: length, kind: 'length' },
          },
          measured: { value: fresh.length, kind: 'count' },
          worse: 'higher',
          cures: () => [
            {
              text: 'Open it',
              command: {
                name: 'set',
                path: ['harness', 'segments', segment.id, 'closed'],
                value: false,
              },
            },
            {
              text:
                fresh.length === 1
                  ? 'Record it as cut and already inside'
                  : 'Record them as cut and already inside',
              command: {
                name: 'set',
                path: ['harness', 'cut'],
                value: { ...storedCut(decidedHarness.cut), ...cutNow(fresh) },
              },
            },
          ],
        },
      ];
    });
  },
};
