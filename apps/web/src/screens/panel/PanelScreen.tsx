import { type PanelDesign, type PanelPlace, formatMeasure } from '@brookrain/core';
import { useRef, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { light, useLit } from '../../build/lit.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Downloads } from '../../ui/Downloads.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { Holder, type OnPlate } from './Holder.tsx';

type Side = 'front' | 'back';
const ask: Question<null, PanelDesign | undefined> = (worker, document) => worker.panel(document);
const lead =
  'Relays, fuses and studs on one plate: the place of each, the drilling, the wires that leave it.';
const mm = (metres: number): number => Math.round(metres * 1e4) / 10;
const inMm = (metres: number) => ({ value: metres, unit: 'mm' });
/** Room around the plate in its drawing, mm. */
const AROUND = 6;

/** The id under which the decisions about a panel stand. */
const panelIdOf = ({ panelId, placementId }: PanelDesign): string =>
  panelId ?? `panel-${placementId}`.slice(0, 40);

/** The plate with its holders, from the front or from behind. */
function Plate({
  panel,
  side,
  picked,
  pick,
  move,
}: {
  panel: PanelDesign;
  side: Side;
  picked: string | undefined;
  pick: (id: string) => void;
  move: (id: string, to: OnPlate) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const { width, height, places, holes, clashes, outside } = panel.layout;
  const bad = new Set([...clashes.flat(), ...outside]);
  const [w, h] = [mm(width), mm(height)];
  return (
    <svg
      ref={svg}
      viewBox={`${-AROUND} ${-AROUND} ${w + 2 * AROUND} ${h + 2 * AROUND}`}
      className="max-h-[56vh] w-full"
      role="group"
      aria-label={`Plate from the ${side}`}
    >
      <rect width={w} height={h} fill="var(--paper)" stroke="var(--ink)" strokeWidth="0.8" />
      {holes.slice(0, 4).map((hole) => (
        <circle
          key={`${hole.x} ${hole.y}`}
          cx={mm(hole.x)}
          cy={mm(height - hole.y)}
          r={mm(hole.diameter) / 2}
          fill="none"
          stroke="var(--second)"
          strokeWidth="0.5"
        />
      ))}
      {places.map((place, i) => (
        <Holder
          key={place.item.id}
          place={place}
          number={i + 1}
          width={width}
          height={height}
          mirrored={side === 'back'}
          clashing={bad.has(place.item.id)}
          selected={place.item.id === picked}
          svg={svg}
          select={() => pick(place.item.id)}
          move={(to) => move(place.item.id, to)}
        />
      ))}
    </svg>
  );
}

const wireColumns: readonly DataColumn<PanelDesign['wires'][number]>[] = [
  { key: 'from', label: 'From', text: true, cell: (w) => w.from, sortBy: (w) => w.from },
  { key: 'to', label: 'To', text: true, cell: (w) => w.to, sortBy: (w) => w.to },
  { key: 'size', label: 'Size', cell: (w) => w.size, sortBy: (w) => w.size },
  {
    key: 'leaves',
    label: 'Leaves the panel',
    text: true,
    cell: (w) => (w.leaves ? 'yes' : ''),
    sortBy: (w) => (w.leaves ? 1 : 0),
  },
];

/** What is looked at on the plate, how large the plate is, what is bought for it. */
function PanelInspector({
  panel,
  place,
  number,
}: {
  panel: PanelDesign;
  place: PanelPlace | undefined;
  number: number;
}) {
  const { edit } = useBuild();
  const [units] = useUnits();
  const measure = (value: number) => formatMeasure({ value, kind: 'length' }, units);
  const id = panelIdOf(panel);
  const { width, height } = panel.layout;
  return (
    <>
      {place && (
        <section aria-label="The holder that is looked at">
          <h2>
            {number}, {place.item.name}
          </h2>
          <p className="text-[13px] text-second">
            {mm(place.x)} mm from the left, {mm(place.y)} mm from below
          </p>
          {place.byHand && panel.panelId !== undefined && (
            <button
              type="button"
              className="act mt-1"
              onClick={() =>
                edit({ name: 'remove', path: ['panels', id, 'positions', place.item.id] })
              }
            >
              Put it back in its row
            </button>
          )}
        </section>
      )}
      <section className="rule mt-3 space-y-1.5 pt-2" aria-label="The plate">
        <h2>Plate</h2>
        {panel.panelId === undefined ? (
          <>
            <p>
              {measure(width)} by {measure(height)}, as large as it has to be
            </p>
            <button
              type="button"
              className="act"
              onClick={() =>
                edit({
                  name: 'set',
                  path: ['panels', id],
                  value: {
                    order: 1000,
                    placementId: panel.placementId,
                    width: inMm(width),
                    height: inMm(height),
                    positions: {},
                  },
                })
              }
            >
              Fix its size
            </button>
          </>
        ) : (
          <>
            <QuantityField path={['panels', id, 'width']} whenEmpty={`${mm(width)} mm`} />
            <QuantityField path={['panels', id, 'height']} whenEmpty={`${mm(height)} mm`} />
          </>
        )}
      </section>
      <section className="rule mt-3 pt-2" aria-label="To buy">
        <h2>To buy, one spare of each counted</h2>
        <ul className="mt-1 space-y-0.5">
          {panel.parts.map(({ itemId, designation, count }) => (
            <li key={itemId} className="flex justify-between gap-2">
              <span>{designation}</span>
              <span>{count}</span>
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}

/** The plate of relays and fuses: laid out, moved by hand, drilled from a template, wired by a list. */
export function PanelScreen() {
  const { id, evaluation, edit } = useBuild();
  const work = useWorkerAnswer(ask, null);
  const { answer: panel } = work;
  const [side, setSide] = useState<Side>('front');
  const { partId: picked } = useLit();
  const pick = (partId: string): void => light({ partId });
  const findings = evaluation.findings.filter(({ where }) => where.stage === 'panel');
  if (!panel)
    return (
      <Screen title="Panel" lead={lead} work={work}>
        {!work.waiting && work.failed === undefined && (
          <p className="text-second">No relay or fuse is placed at the power stud.</p>
        )}
      </Screen>
    );
  const places = panel.layout.places;
  const at = Math.max(
    0,
    places.findIndex(({ item }) => item.id === picked),
  );
  const move = (deviceId: string, to: OnPlate): void => {
    const position = { x: inMm(to.x), y: inMm(to.y) };
    edit(
      panel.panelId === undefined
        ? {
            name: 'set',
            path: ['panels', panelIdOf(panel)],
            value: {
              order: 1000,
              placementId: panel.placementId,
              width: null,
              height: null,
              positions: { [deviceId]: position },
            },
          }
        : {
            name: 'set',
            path: ['panels', panel.panelId, 'positions', deviceId],
            value: position,
          },
    );
  };
  const file = `/api/builds/${encodeURIComponent(id)}/panel`;
  return (
    <Screen
      title="Panel"
      lead={lead}
      inspector={<PanelInspector panel={panel} place={places[at]} number={at + 1} />}
    >
      {findings.map((finding) => (
        <FindingNote key={finding.id} finding={finding} />
      ))}
      <div className="flex flex-wrap items-center justify-between gap-2">
        <Tabs
          label="Seen"
          value={side}
          choices={[
            { value: 'front', label: 'From the front' },
            { value: 'back', label: 'From behind' },
          ]}
          onChoose={setSide}
        />
        <Downloads of="Drilling template, 1:1" file={file} kinds={['pdf', 'svg', 'dxf']} />
      </div>
      <div className="mt-2">
        <Plate panel={panel} side={side} picked={places[at]?.item.id} pick={pick} move={move} />
        <p className="mt-1 text-[13px] text-second">
          {mm(panel.layout.width)} × {mm(panel.layout.height)} mm. Drag a holder, or step it with
          the arrow keys by 1 mm, with Shift by 10.
        </p>
      </div>
      <ol
        className="mt-2 columns-3 text-[13px] max-[900px]:columns-1"
        aria-label="Parts on the panel"
      >
        {places.map(({ item }, i) => (
          <li key={item.id} className="break-inside-avoid">
            <button
              type="button"
              className={`text-left hover:underline ${i === at ? 'font-medium' : ''}`}
              onClick={() => pick(item.id)}
            >
              <span className="inline-block w-6 text-right text-second">{i + 1}</span> {item.name}
            </button>
          </li>
        ))}
      </ol>
      <h2 className="mt-4">How it is wired</h2>
      <DataTable
        label="Wires of the panel"
        rows={panel.wires}
        columns={wireColumns}
        keyOf={({ id: wireId }) => wireId}
      />
    </Screen>
  );
}
