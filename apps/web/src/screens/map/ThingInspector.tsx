import {
  type Build,
  type MapThingSlice,
  type Path,
  type PlacedComponent,
  lookUp,
  newestOf,
  refKey,
  routeFigure,
  thingFigure,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { FigureRows, type NamedFigure } from '../../ui/FigureRows.tsx';
import { ComponentPanel } from './ComponentPanel.tsx';
import { PointFields } from './PointFields.tsx';
import { SheetHoles } from './SheetHoles.tsx';
import { TapeReading } from './TapeReading.tsx';
import type { Handle } from './handles.ts';

/** Plain fields of each kind of thing, in the order in which they are asked. */
const fields: Readonly<Record<MapThingSlice, readonly string[]>> = {
  placements: ['name', 'zone', 'movesWithEngine', 'heading', 'pitch'],
  sheets: ['name', 'seals'],
  solids: ['name', 'part', 'carriesMounts', 'movesWithEngine'],
  hotRuns: ['name', 'part', 'diameter', 'temperature'],
  movingZones: ['name', 'part', 'travel'],
  edges: ['name', 'covered'],
  mountingLines: ['name', 'clipPitch'],
  spaces: ['name', 'use'],
  hardPoints: ['uncertainty', 'from'],
  otherLines: ['name', 'use', 'flow'],
};

/** Fields of a place that mean something only where a part sits, or where a line begins or ends. */
const turning = new Set(['heading', 'pitch']);

/** Whether a line begins or ends at a place: which way its seat looks sets the ends. */
const hasSeat = (build: Build, placementId: string): boolean =>
  build.fuelCircuits.some(({ nodes }) => nodes.some((n) => n.placementId === placementId)) ||
  build.otherLines.some(
    ({ fromPlacementId, toPlacementId }) =>
      fromPlacementId === placementId || toPlacementId === placementId,
  );

function figuresOf(slice: MapThingSlice, id: string): readonly NamedFigure[] {
  switch (slice) {
    case 'hotRuns':
      return [
        ['Length', thingFigure('hotRun.length', { hotRun: id })],
        ['Surface', thingFigure('hotRun.surface', { hotRun: id })],
        ['Room it asks', thingFigure('hotRun.asks', { hotRun: id })],
      ];
    case 'solids':
      return [['Space it needs', thingFigure('solid.volume', { solid: id })]];
    case 'sheets':
      return [
        ['Area', thingFigure('sheet.area', { sheet: id })],
        ['Around it', thingFigure('sheet.edge', { sheet: id })],
      ];
    case 'movingZones':
      return [
        ['Room with its movement', thingFigure('movingZone.volume', { zone: id })],
        ['Room it asks', thingFigure('movingZone.asks', { zone: id })],
      ];
    case 'edges':
      return [['Length', thingFigure('edge.length', { edge: id })]];
    case 'mountingLines':
      return [
        ['Length', thingFigure('mountingLine.length', { mountingLine: id })],
        ['Clips there', thingFigure('mountingLine.clips', { mountingLine: id })],
      ];
    case 'spaces':
      return [['Room', thingFigure('space.volume', { space: id })]];
    case 'otherLines':
      return [
        ['Outside diameter', thingFigure('otherLine.diameter', { otherLine: id })],
        ['Flow velocity', thingFigure('otherLine.velocity', { otherLine: id })],
        ['Length', routeFigure('line.length', { line: id })],
      ];
    case 'placements':
    case 'hardPoints':
      return [];
  }
}

/** Where another line begins and ends, and the hose it is. */
function OtherLineFields({ build, id }: { build: Build; id: string }) {
  const { edit, catalogue } = useBuild();
  const line = build.otherLines.find((other) => other.id === id);
  if (!line) return null;
  const path = ['otherLines', id];
  const places = build.placements.map((p) => ({ value: p.id, label: p.name }));
  const hoses = newestOf(catalogue, 'hose').map((hose) => ({
    value: refKey(hose),
    label: hose.designation,
  }));
  const chosen = line.item && lookUp(catalogue, 'hose', line.item, id);
  return (
    <>
      {(['fromPlacementId', 'toPlacementId'] as const).map((field) => (
        <ChoiceField
          key={field}
          label={field === 'fromPlacementId' ? 'From' : 'To'}
          value={line[field]}
          choices={places}
          onChoose={(value) => edit({ name: 'set', path: [...path, field], value })}
        />
      ))}
      <ChoiceField
        label="Hose"
        value={chosen ? refKey(chosen) : ''}
        choices={[{ value: '', label: 'none, a cable' }, ...hoses]}
        onChoose={(value) => {
          const hose = newestOf(catalogue, 'hose').find((each) => refKey(each) === value);
          edit({
            name: 'set-several',
            label: `Choose what the ${line.name.toLowerCase()} is`,
            changes: hose
              ? [{ path: [...path, 'item'], value: { id: hose.id, revision: hose.revision } }]
              : [
                  {
                    path: [...path, 'diameter'],
                    value: line.diameter ?? { value: 0.012, unit: 'mm' },
                  },
                  { path: [...path, 'item'], value: null },
                ],
          });
        }}
      />
      {!chosen && <FieldOf path={[...path, 'diameter']} />}
    </>
  );
}

/** Any thing on the map: its fields, its places, what follows from it, and its end. */
export function ThingInspector({
  slice,
  id,
  components,
  handles,
  picked,
  pick,
  gone,
}: {
  slice: MapThingSlice;
  id: string;
  /** parts that sit there, for a place */
  components: readonly PlacedComponent[];
  handles: readonly Handle[];
  picked: Path | undefined;
  pick: (path: Path | undefined) => void;
  /** told when it was taken off the map */
  gone: () => void;
}) {
  const { document: build, edit, stored } = useBuild();
  const path = [slice, id];
  const turns = components.length > 0 || (slice === 'placements' && hasSeat(build, id));
  const rod =
    slice === 'movingZones' && stored.movingZones[id]?.room.shape === 'rod'
      ? [...path, 'room', 'diameter']
      : undefined;
  return (
    <div key={`${slice}:${id}`}>
      <div className="mt-2 space-y-1.5">
        {fields[slice]
          .filter((field) => turns || !turning.has(field))
          .map((field) => (
            <div key={field}>
              <FieldOf path={[...path, field]} />
            </div>
          ))}
        {rod && <FieldOf path={rod} />}
        {slice === 'otherLines' && <OtherLineFields build={build} id={id} />}
      </div>
      <PointFields
        handles={handles}
        picked={picked}
        pick={pick}
        points={slice === 'hotRuns' ? { path: [...path, 'points'], least: 2 } : undefined}
      />
      {slice === 'sheets' && <SheetHoles sheetId={id} pick={pick} />}
      {components.map((component) => (
        <ComponentPanel key={component.id} component={component} />
      ))}
      {slice === 'placements' && <TapeReading placementId={id} />}
      <FigureRows rows={figuresOf(slice, id)} />
      <button
        type="button"
        className="act mt-3"
        onClick={() => {
          if (edit({ name: 'take-off-map', slice, id }).ok) gone();
        }}
      >
        Remove it from the map
      </button>
    </div>
  );
}
