import { harnessFigure } from '@brookrain/core';
import { useMemo } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Figure } from '../../ui/Figure.tsx';
import type { HarnessSelection } from './harnessSelection.ts';
import { nameOfEnd } from './segmentWays.ts';

interface SegmentRow {
  readonly id: string;
  readonly name: string;
  readonly from: string;
  readonly to: string;
  readonly count: number;
  readonly length: number;
  readonly diameter: number;
  readonly cover: string;
}

/** Every segment with its bundle. */
export function SegmentTable({
  selection,
  select,
}: {
  selection: HarnessSelection | undefined;
  select: (selection: HarnessSelection) => void;
}) {
  const { document: build, evaluation, results } = useBuild();
  const rows = useMemo(
    () =>
      build.harness.segments.map((segment): SegmentRow => {
        const of = { segment: segment.id };
        const bundle = evaluation.harness.bundles.find(({ segmentId }) => segmentId === segment.id);
        return {
          id: segment.id,
          name: segment.name,
          from: nameOfEnd(build, segment.from),
          to: nameOfEnd(build, segment.to),
          count: bundle?.count ?? 0,
          length: results.find(harnessFigure('segment.length', of))?.value ?? 0,
          diameter: results.find(harnessFigure('segment.diameter', of))?.value ?? 0,
          cover: [bundle?.cover, bundle?.heatSleeve].filter(Boolean).join(', '),
        };
      }),
    [build, evaluation.harness.bundles, results],
  );
  const columns = useMemo(
    (): readonly DataColumn<SegmentRow>[] => [
      {
        key: 'segment',
        label: 'Segment',
        text: true,
        shown: 'always',
        sortBy: ({ name }) => name,
        cell: ({ name }) => name,
      },
      {
        key: 'to',
        label: 'To',
        text: true,
        wideOnly: true,
        sortBy: (r) => r.to,
        cell: (r) => r.to,
      },
      {
        key: 'count',
        label: 'Wires',
        sortBy: ({ count }) => count,
        cell: ({ count }) => count,
      },
      {
        key: 'length',
        label: 'Length',
        sortBy: ({ length }) => length,
        cell: ({ id }) => <Figure of={harnessFigure('segment.length', { segment: id })} />,
      },
      {
        key: 'diameter',
        label: 'Across',
        sortBy: ({ diameter }) => diameter,
        cell: ({ id }) => <Figure of={harnessFigure('segment.diameter', { segment: id })} />,
      },
      {
        key: 'cover',
        label: 'Covered with',
        text: true,
        wideOnly: true,
        sortBy: ({ cover }) => cover,
        cell: ({ cover }) => cover || 'nothing',
      },
    ],
    [],
  );
  if (rows.length === 0) return null;
  return (
    <div className="mt-3">
      <DataTable
        label="Segments"
        rows={rows}
        columns={columns}
        keyOf={({ id }) => id}
        selected={selection?.kind === 'segment' ? selection.id : undefined}
        onSelect={(id) => select({ kind: 'segment', id })}
      />
    </div>
  );
}
