import {
  type HarnessSegment,
  type Path,
  type SegmentSheet,
  type StoredSegment,
  bundleCovers,
  harnessFigure,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { light, useLit } from '../../build/lit.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import type { Handle } from '../map/handles.ts';
import { PointFields } from '../map/PointFields.tsx';
import { BundleDrawing } from './BundleDrawing.tsx';
import { Layers } from './Layers.tsx';
import { WireSwatch } from './WireSwatch.tsx';
import { nameOfEnd, placeOfEnd } from './segmentWays.ts';

const ask: Question<string, SegmentSheet | undefined> = (worker, document, segmentId) =>
  worker.segment(document, segmentId);

const AS_HARNESS = '';
/** Bend radius m of a new corner. */
const NEW_RADIUS = 0.06;
const words = (cover: string): string => cover.replaceAll('-', ' ');

/** A segment: cut through, what lies round it, its corners, its wires. */
export function SegmentInspector({
  segment,
  handles,
  picked,
  pick,
}: {
  segment: HarnessSegment;
  handles: readonly Handle[];
  picked: Path | undefined;
  pick: (path: Path | undefined) => void;
}) {
  const { document: build, edit, evaluation } = useBuild();
  const { answer: sheet } = useWorkerAnswer(ask, segment.id);
  const { wireId } = useLit();
  const of = { segment: segment.id };
  const path = ['harness', 'segments', segment.id];
  const bundle = evaluation.harness.bundles.find(({ segmentId }) => segmentId === segment.id);
  const [from, to] = [placeOfEnd(build, segment.from), placeOfEnd(build, segment.to)];
  const splices = evaluation.harness.splices.filter(({ id }) => bundle?.splices.includes(id));
  return (
    <>
      <p className="mt-2 text-[13px] text-second">
        {nameOfEnd(build, segment.from)} to {nameOfEnd(build, segment.to)}
      </p>
      {sheet?.segmentId === segment.id && sheet.wires.length > 0 ? (
        <BundleDrawing sheet={sheet} lit={wireId} light={(id) => light({ wireId: id })} />
      ) : (
        <p className="flex min-h-[246px] items-center justify-center text-second">
          {bundle && bundle.count > 0 ? 'Packing its wires' : 'No wire runs through it.'}
        </p>
      )}
      <FigureRows
        rows={[
          ['Wires', harnessFigure('segment.count', of)],
          ['Length', harnessFigure('segment.length', of)],
          ['Along the map', harnessFigure('segment.mapLength', of)],
          ['Wires packed', harnessFigure('segment.bundle', of)],
          ['Outside', harnessFigure('segment.diameter', of)],
          ['Bend at least', harnessFigure('segment.bend', of)],
          ['Cover, size', harnessFigure('segment.sleeve', of)],
          ['Ties', harnessFigure('segment.ties', of)],
          ['Hottest inside', harnessFigure('segment.temperature', of)],
        ]}
      />
      {sheet?.segmentId === segment.id && <Layers layers={sheet.layers} />}
      <div className="rule mt-3 space-y-1.5 pt-2">
        <FieldOf path={[...path, 'name']} />
        <ChoiceField
          label="Covered with"
          value={segment.cover ?? AS_HARNESS}
          choices={[
            { value: AS_HARNESS, label: 'as the harness' },
            ...bundleCovers.map((cover) => ({ value: cover, label: words(cover) })),
          ]}
          onChoose={(value) =>
            edit({
              name: 'set',
              path: [...path, 'cover'],
              value: value === AS_HARNESS ? null : (value as StoredSegment['cover']),
            })
          }
        />
        {bundle?.cover && <p className="text-[13px] text-second">{bundle.cover}</p>}
        <FieldOf path={[...path, 'heatSleeve']} />
        <FieldOf path={[...path, 'loop']} />
        <FieldOf path={[...path, 'measured']} />
        <FieldOf path={[...path, 'locked']} />
        <FieldOf path={[...path, 'closed']} />
      </div>
      <PointFields
        handles={handles}
        picked={picked}
        pick={pick}
        points={{
          path: [...path, 'points'],
          least: 0,
          radius: NEW_RADIUS,
          ...(from && to ? { ends: [from, to] as const } : {}),
        }}
      />
      {splices.length > 0 && (
        <section className="rule mt-3 pt-2">
          <h3>Splices in it</h3>
          {splices.map(({ id, name }) => (
            <div key={id} className="mt-1">
              <p>{name}</p>
              <FieldOf path={['harness', 'splices', id, 'share']} />
            </div>
          ))}
        </section>
      )}
      {sheet?.segmentId === segment.id && sheet.wires.length > 0 && (
        <section className="rule mt-3 pt-2">
          <h3>Wires in it</h3>
          <ul className="space-y-0.5 text-[13px]">
            {sheet.wires.map((wire) => (
              <li key={wire.id}>
                <button
                  type="button"
                  className={`flex w-full justify-between gap-2 text-left hover:text-ink ${wire.id === wireId ? 'font-medium' : ''}`}
                  aria-pressed={wire.id === wireId}
                  onClick={() => light({ wireId: wire.id })}
                >
                  <span className="min-w-0 truncate" title={wire.name}>
                    {wire.name}
                  </span>
                  <WireSwatch colour={wire.colour} />
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <button
          type="button"
          className="act"
          onClick={() =>
            edit({
              name: 'put-breakout',
              segmentId: segment.id,
              share: { value: 0.5, unit: '%' },
            })
          }
        >
          Add a breakout half way
        </button>
        <button
          type="button"
          className="act"
          onClick={() => edit({ name: 'take-segment-out', segmentId: segment.id })}
        >
          Remove this segment
        </button>
      </div>
    </>
  );
}
