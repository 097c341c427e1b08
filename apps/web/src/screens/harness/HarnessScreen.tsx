import {
  type Build,
  type Path,
  type ProposedHarness,
  type BareFinding,
  type Vector,
  freeKey,
  harnessFigure,
  harnessSchools,
  quantity,
} from '@brookrain/core';
import { startTransition, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { askWorker } from '../../evaluation/useEvaluation.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Select } from '../../ui/Select.tsx';
import { LayerChooser } from '../map/LayerChooser.tsx';
import { MapDrawing, type MapExtent, mapExtents } from '../map/MapDrawing.tsx';
import { handlesAlong, movesTo } from '../map/handles.ts';
import { useLayers } from '../map/layers.ts';
import { useComponents } from '../map/useComponents.ts';
import { BreakoutInspector } from './BreakoutInspector.tsx';
import { HarnessDrawing } from './HarnessDrawing.tsx';
import { JoinForm } from './JoinForm.tsx';
import { SegmentInspector } from './SegmentInspector.tsx';
import { MovedWords } from './MovedWords.tsx';
import { ProposalDrawing } from './ProposalDrawing.tsx';
import { ProposalPanel } from './ProposalPanel.tsx';
import { SchoolTable } from './SchoolTable.tsx';
import { SegmentTable } from './SegmentTable.tsx';
import { useMovedHarness } from './useMovedHarness.ts';
import { type HarnessSelection, harnessText, readHarnessText } from './harnessSelection.ts';

const words: Readonly<Record<(typeof harnessSchools)[number], string>> = {
  taped: 'taped',
  conduit: 'split conduit',
  braided: 'braided sleeve',
  sealed: 'sealed heat-shrink, layers',
};

const totals = [
  ['Wire', 'harness.copperLength'],
  ['Over the lower bound', 'harness.lowerBoundRatio'],
  ['Mass', 'harness.weight'],
  ['Material', 'harness.cost'],
  ['Work', 'harness.hours'],
] as const;

/** What of the harness can be looked at, in groups. */
const choicesOf = ({ harness }: Build) =>
  [
    {
      heading: 'Segments',
      choices: harness.segments.map(({ id, name }) => ({
        value: harnessText({ kind: 'segment', id }),
        label: name,
      })),
    },
    {
      heading: 'Breakouts',
      choices: harness.breakouts.map(({ id, name }) => ({
        value: harnessText({ kind: 'breakout', id }),
        label: name,
      })),
    },
  ].filter((group) => group.choices.length > 0);

const segmentOf = ({ where }: BareFinding): string | undefined =>
  where.stage === 'harness' ? where.segment : undefined;

/** Where the wires run: segments and breakouts over the vehicle, and what every bundle is. */
export function HarnessScreen() {
  const { document: build, stored, evaluation, catalogue, edit } = useBuild();
  const [query, setQuery] = useSearchParams();
  const layers = useLayers();
  const placed = useComponents();
  const [picked, setPicked] = useState<Path>();
  const pick = (path: Path | undefined): void => startTransition(() => setPicked(path));
  const [proposed, setProposed] = useState<ProposedHarness>();
  const [extent, setExtent] = useState<MapExtent>('work');
  const moved = useMovedHarness();
  const findings = evaluation.findings.filter(({ where }) => where.stage === 'harness');
  const { harness } = build;
  const asked = readHarnessText(query.get('of'), build);
  const first = harness.segments[0];
  const selection: HarnessSelection | undefined =
    asked ?? (first && { kind: 'segment', id: first.id });
  const select = (next: HarnessSelection): void => {
    pick(undefined);
    setQuery({ of: harnessText(next) }, { replace: true });
  };
  const segment =
    selection?.kind === 'segment'
      ? harness.segments.find(({ id }) => id === selection.id)
      : undefined;
  const handles = segment
    ? handlesAlong(stored, ['harness', 'segments', segment.id, 'points'], 'Corner')
    : selection
      ? handlesAlong(stored, ['harness', 'breakouts', selection.id], '')
      : [];
  const mine = findings.filter(
    (finding) => selection?.kind === 'segment' && segmentOf(finding) === selection.id,
  );
  const focus: readonly Vector[] = handles.map(({ at }) => at);
  const putBreakout = (): void => {
    const id = freeKey('breakout', stored.harness.breakouts);
    const middle = build.vehicle.wheelbase.value / 2;
    const value = {
      name: `Breakout ${harness.breakouts.length + 1}`,
      x: quantity(Math.round(middle * 1e3), 'length', 'mm'),
      y: quantity(0, 'length', 'mm'),
      z: quantity(600, 'length', 'mm'),
      zone: 'body',
      movesWithEngine: false,
      locked: false,
    };
    if (edit({ name: 'set', path: ['harness', 'breakouts', id], value }).ok) {
      select({ kind: 'breakout', id });
    }
  };
  const putSplices = async (): Promise<void> => {
    const worker = await askWorker(catalogue);
    const sites = await worker.splices(stored);
    const value = Object.fromEntries(
      Object.entries(sites).map(([id, { segmentId, share }]) => [
        id,
        { segmentId, share: quantity(Math.round(share * 1e4) / 100, 'ratio', '%') },
      ]),
    );
    edit({
      name: 'set-several',
      label: 'Put the splices where copper is least',
      changes: [{ path: ['harness', 'splices'], value }],
    });
  };
  return (
    <Screen
      title="Harness"
      lead="Where the wires run: segments between connectors, studs and breakouts, each as thick as its bundle."
      inspector={
        <>
          {selection && (
            <Select
              name="What is looked at"
              value={harnessText(selection)}
              choices={choicesOf(build)}
              onChoose={(text) => {
                const next = readHarnessText(text, build);
                if (next) select(next);
              }}
            />
          )}
          {mine.map((finding) => (
            <FindingNote key={finding.id} finding={finding} />
          ))}
          {segment && (
            <SegmentInspector
              key={segment.id}
              segment={segment}
              handles={handles}
              picked={picked}
              pick={pick}
            />
          )}
          {selection?.kind === 'breakout' && (
            <BreakoutInspector
              key={selection.id}
              breakoutId={selection.id}
              handles={handles}
              picked={picked}
              pick={pick}
            />
          )}
          {!selection && (
            <p className="text-second">
              No wire is routed yet: place breakouts where branches split, and connect them to the
              connectors.
            </p>
          )}
          <div className="rule mt-3 pt-2">
            <h3>The whole harness</h3>
            <FieldOf path={['harness', 'massBudget']} />
          </div>
          <Cautions place="wiring" />
        </>
      }
    >
      <div className="mb-2 flex flex-wrap items-end gap-x-5 gap-y-2">
        <span className="w-[200px]">
          <ChoiceField
            wide
            label="How it is covered"
            value={harness.school}
            choices={harnessSchools.map((value) => ({ value, label: words[value] }))}
            onChoose={(value) => edit({ name: 'set', path: ['harness', 'school'], value })}
          />
        </span>
        {harness.segments.length > 0 &&
          totals.map(([name, figure]) => (
            <span key={figure}>
              <span className="block text-[13px] text-second">{name}</span>
              <Figure of={harnessFigure(figure)} />
              {figure === 'harness.cost' && ` ${build.currency}`}
            </span>
          ))}
      </div>
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <ProposalPanel show={setProposed} />
        <button type="button" className="act" onClick={putBreakout}>
          Put a breakout
        </button>
        {evaluation.harness.splices.length > 0 && harness.segments.length > 0 && (
          <button type="button" className="act" onClick={() => void putSplices()}>
            Place the splices
          </button>
        )}
        <LayerChooser layers={layers} />
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
      </div>
      <MapDrawing
        build={build}
        placed={placed}
        looked={[]}
        views={['side', 'plan']}
        shows={layers.shows}
        lines={[]}
        selection={{ kind: 'vehicle' }}
        select={() => undefined}
        handles={handles}
        picked={picked}
        pick={pick}
        move={(handle, to) => {
          const changes = movesTo(stored, handle, to);
          const label = `Move: ${handle.name.toLowerCase()}`;
          if (changes.length > 0) edit({ name: 'set-several', label, changes });
        }}
        moving={moved.hold}
        ways={[]}
        near={undefined}
        tape={undefined}
        moveTape={() => undefined}
        extent={extent}
        focus={focus}
        over={(scale) => (
          <>
            <HarnessDrawing
              build={moved.drawn}
              scale={scale}
              selection={selection}
              select={select}
            />
            {proposed && <ProposalDrawing build={build} proposed={proposed} scale={scale} />}
          </>
        )}
      />
      {moved.answer ? (
        <MovedWords moved={moved.answer} />
      ) : (
        <p className="mt-1 text-[13px] text-second">
          {handles.length > 0
            ? 'Drag a square in any view, or step it with the arrow keys: 5 mm, with Shift 50. Lengths, bundles and findings follow.'
            : 'Pick a segment or a breakout in the drawing or in the list.'}{' '}
          <Link to="../cut-list" relative="path" className="underline">
            Wires as they are cut
          </Link>
        </p>
      )}
      <section className="mt-3" aria-label="Join two ends">
        <h2>Join two ends</h2>
        <JoinForm select={select} />
      </section>
      <SegmentTable selection={selection} select={select} />
      <SchoolTable words={words} />
      <div className="mt-2">
        {findings
          .filter((finding) => !mine.includes(finding))
          .map((finding) => (
            <FindingNote key={finding.id} finding={finding} />
          ))}
      </div>
    </Screen>
  );
}
