import {
  type Build,
  type MapThingSlice,
  type Path,
  type BareFinding,
  type Vector,
  mapSlices,
  valueAt,
} from '@brookrain/core';
import { startTransition, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { useLit } from '../../build/lit.ts';
import { ActionMenu } from '../../ui/ActionMenu.tsx';
import { Cautions } from '../../ui/Cautions.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Select } from '../../ui/Select.tsx';
import { isBareMap } from './isBareMap.ts';
import { LayerChooser } from './LayerChooser.tsx';
import { LineInspector } from './LineInspector.tsx';
import { MapDrawing, type MapExtent, mapExtents } from './MapDrawing.tsx';
import type { TapeEnds } from './Tape.tsx';
import { NextTape } from './NextTape.tsx';
import { TapeWords } from './TapeWords.tsx';
import { PlatePanel } from './PlatePanel.tsx';
import { ThingInspector } from './ThingInspector.tsx';
import { VehicleInspector } from './VehicleInspector.tsx';
import { handlesOf, movesTo } from './handles.ts';
import { useLayers } from './layers.ts';
import { type PlacedLine, linesOf } from './mapLines.ts';
import { type NewThing, newThing, newThings } from './newThing.ts';
import { type Selection, readSelection, sameSelection, selectionText } from './selection.ts';
import { useComponents } from './useComponents.ts';
import { useWays } from './useWays.ts';

const headings: Readonly<Record<Exclude<MapThingSlice, 'hardPoints'>, string>> = {
  placements: 'Places',
  solids: 'Solid things',
  hotRuns: 'Hot pipes',
  movingZones: 'What moves',
  sheets: 'Sheets',
  edges: 'Edges',
  mountingLines: 'Mounting lines',
  spaces: 'Zones',
  otherLines: 'Other lines',
};

/** What of the map can be looked at, in groups. */
function choicesOf(build: Build, lines: readonly PlacedLine[]) {
  const named = (slice: Exclude<MapThingSlice, 'hardPoints'>) => ({
    heading: headings[slice],
    choices: build[slice].map(({ id, name }) => ({
      value: selectionText({ kind: 'thing', slice, id }),
      label: name,
    })),
  });
  return [
    {
      heading: 'Lines',
      choices: lines.map((line) => ({
        value: line.id,
        label: `${line.name}${line.routeId === undefined ? ', no route yet' : ''}`,
      })),
    },
    { heading: 'Vehicle', choices: [{ value: 'vehicle:', label: 'Vehicle and outline' }] },
    ...mapSlices.flatMap((slice) => (slice === 'hardPoints' ? [] : [named(slice)])),
  ].filter((group) => group.choices.length > 0);
}

/** What a finding of the map is about. */
function selectionOf({ where }: BareFinding, build: Build): Selection | undefined {
  if (where.stage !== 'map') return undefined;
  if ('line' in where) return { kind: 'line', id: where.line };
  const point = build.hardPoints.find((p) => p.id === where.thing);
  return where.slice === 'hardPoints' && point
    ? { kind: 'thing', slice: 'placements', id: point.placementId }
    : { kind: 'thing', slice: where.slice, id: where.thing };
}

/** The vehicle from its sides: what stands on it, where lines run, and what is too near. */
export function MapScreen() {
  const { document: build, stored, evaluation, edit } = useBuild();
  const [query, setQuery] = useSearchParams();
  const layers = useLayers();
  const placed = useComponents();
  const lines = linesOf(build, placed.ports);
  const findings = evaluation.findings.filter((f) => f.where.stage === 'map');
  const choices = choicesOf(build, lines);
  const known = choices.flatMap((group) => group.choices.map((choice) => choice.value));
  const { partId } = useLit();
  const litPlace = build.devices.find(({ id }) => id === partId)?.placementId;
  // Without anything asked for, the place of what is lit on the other pages.
  const asked =
    query.get('of') ??
    (litPlace === undefined
      ? null
      : selectionText({ kind: 'thing', slice: 'placements', id: litPlace }));
  const first = findings[0] && selectionOf(findings[0], build);
  const firstLine: Selection = lines[0] ? { kind: 'line', id: lines[0].id } : { kind: 'vehicle' };
  // What stood out when the map was opened stays in sight when it is put right.
  const [usual] = useState<Selection>(
    isBareMap(build) ? { kind: 'vehicle' } : (first ?? firstLine),
  );
  const fallback: Selection = known.includes(selectionText(usual)) ? usual : { kind: 'vehicle' };
  const selection = asked !== null && known.includes(asked) ? readSelection(asked) : fallback;
  const [picked, setPicked] = useState<Path>();
  // What is grabbed follows the pointer at once; all that stands around it is drawn anew after.
  const pick = (path: Path | undefined): void => startTransition(() => setPicked(path));
  const [tape, setTape] = useState<TapeEnds>();
  const [extent, setExtent] = useState<MapExtent>('work');
  const [fromBehind, setFromBehind] = useState(false);
  const select = (next: Selection): void => {
    if (sameSelection(next, selection)) return;
    pick(undefined);
    setQuery({ of: selectionText(next) }, { replace: true });
  };
  const line = selection.kind === 'line' ? lines.find((l) => l.id === selection.id) : undefined;
  const handles = handlesOf(stored, selection);
  /** parts at the place that is looked at */
  const looked = placed.components.filter(
    ({ placement }) =>
      selection.kind === 'thing' &&
      selection.slice === 'placements' &&
      placement.id === selection.id,
  );
  const ways = useWays(line?.id ?? '');
  const mine = findings.filter((f) => {
    const about = selectionOf(f, build);
    return about && sameSelection(about, selection);
  });
  /** What the eye goes to: the ends of the line, or the places of the thing. */
  const focus: readonly Vector[] = [...(line?.ends ?? []), ...handles.map((h) => h.at)];
  const add = (kind: NewThing): void => {
    const middle: Vector = [build.vehicle.wheelbase.value / 2, 0, build.vehicle.height.value / 3];
    const made = newThing(kind, middle, build);
    if (!made) return;
    let n = Object.keys(stored[made.slice]).length + 1;
    while (Object.hasOwn(stored[made.slice], `${kind}-${n}`)) n += 1;
    const id = `${kind}-${n}`;
    if (edit({ name: 'set', path: [made.slice, id], value: made.value }).ok) {
      select({ kind: 'thing', slice: made.slice, id });
    }
  };
  return (
    <Screen
      title="Map"
      lead="The vehicle and what runs over it: x forward of the rear axle, y left of the middle, z above the ground."
      inspector={
        <>
          <Select
            name="What is looked at"
            value={selectionText(selection)}
            choices={choices}
            onChoose={(text) => select(readSelection(text))}
          />
          {mine.map((finding) => (
            <FindingNote key={finding.id} finding={finding} />
          ))}
          {line && (
            <LineInspector
              line={line}
              handles={handles}
              picked={picked}
              pick={pick}
              ways={ways}
              describe={
                line.fuel
                  ? undefined
                  : () => select({ kind: 'thing', slice: 'otherLines', id: line.id })
              }
            />
          )}
          {selection.kind === 'thing' &&
            valueAt(stored, [selection.slice, selection.id]) !== undefined && (
              <ThingInspector
                slice={selection.slice}
                id={selection.id}
                components={looked}
                handles={handles}
                picked={picked}
                pick={pick}
                gone={() => select({ kind: 'vehicle' })}
              />
            )}
          {selection.kind === 'vehicle' && (
            <VehicleInspector handles={handles} picked={picked} pick={pick} />
          )}
          <Cautions place="map" />
        </>
      }
    >
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <span className="w-[150px]">
          <ActionMenu
            text="Put on the map"
            actions={Object.entries(newThings).map(([value, label]) => ({
              value: value as NewThing,
              label,
            }))}
            onPick={add}
          />
        </span>
        <LayerChooser layers={layers} />
        <button
          type="button"
          className="act"
          aria-pressed={tape !== undefined}
          onClick={() =>
            setTape(tape ? undefined : [focus[0] ?? [0, 0, 0.3], focus.at(-1) ?? [1, 0, 0.3]])
          }
        >
          {tape ? 'Put the tape away' : 'Measure'}
        </button>
        <span className="w-[170px]">
          <Select
            name="How much is seen"
            value={extent}
            choices={Object.entries(mapExtents).map(([value, label]) => ({
              value: value as MapExtent,
              label,
            }))}
            onChoose={setExtent}
          />
        </span>
        <button
          type="button"
          className="act"
          aria-pressed={fromBehind}
          onClick={() => setFromBehind(!fromBehind)}
        >
          {fromBehind ? 'Not from behind' : 'From behind too'}
        </button>
      </div>
      {tape && <TapeWords ends={tape} />}
      <MapDrawing
        build={build}
        placed={placed}
        looked={looked}
        views={fromBehind ? ['side', 'plan', 'end'] : ['side', 'plan']}
        shows={layers.shows}
        lines={lines.map((each) => ({
          ...each,
          told: evaluation.lines.find((l) => l.lineId === each.id),
        }))}
        selection={selection}
        select={select}
        handles={handles}
        picked={picked}
        pick={pick}
        move={(handle, to) => {
          const changes = movesTo(stored, handle, to);
          const label = `Move: ${handle.name.toLowerCase()}`;
          if (changes.length > 0) edit({ name: 'set-several', label, changes });
        }}
        ways={ways.ways}
        near={
          evaluation.components.find(({ componentId }) =>
            looked.some((component) => component.id === componentId),
          )?.nearest
        }
        tape={tape}
        moveTape={setTape}
        extent={extent}
        focus={focus}
      />
      <p className="mt-1 text-[13px] text-second">
        {handles.length > 0
          ? 'Drag a square in any view, or step it with the arrow keys: 5 mm, with Shift 50.'
          : 'Pick a thing in the drawing or in the list.'}
      </p>
      {looked.map((component) => (
        <PlatePanel key={component.id} component={component} />
      ))}
      <NextTape select={select} />
      <div className="mt-2">
        {findings.length === 0 && <p className="text-second">No findings on the map.</p>}
        {findings
          .filter((f) => !mine.includes(f))
          .map((finding) => (
            <FindingNote key={finding.id} finding={finding} />
          ))}
      </div>
    </Screen>
  );
}
