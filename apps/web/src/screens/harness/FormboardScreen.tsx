import {
  type BoardPaper,
  type ToldBoard,
  boardPaperKinds,
  boardPapers,
  formatMeasure,
} from '@brookrain/core';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { Downloads } from '../../ui/Downloads.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Select } from '../../ui/Select.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { BoardPlan } from './BoardPlan.tsx';

const ask: Question<string, readonly ToldBoard[]> = (worker, document) => worker.boards(document);

/** The looms laid flat at full size: what the board is nailed from. */
export function FormboardScreen() {
  const { id, document: build } = useBuild();
  const [units] = useUnits();
  const work = useWorkerAnswer(ask, '');
  const { answer: boards } = work;
  const [chosen, setChosen] = useState('1');
  const [picked, setPicked] = useState<string>();
  const board = boards?.find((each) => each.id === chosen) ?? boards?.[0];
  const size = (value: number): string =>
    formatMeasure({ value: value / 1e3, kind: 'length' }, units);
  const segment = build.harness.segments.find((each) => each.id === picked);
  const length = board?.segments.find((each) => each.id === picked)?.length;
  return (
    <Screen
      title="Formboard"
      lead="Each loom laid flat at true length, no branch over another: print it 1:1, nail it to a board, lay the wires."
      work={work}
    >
      {boards?.length === 0 && (
        <p>
          Nothing is routed yet:{' '}
          <Link to="../harness" relative="path" className="underline">
            lead the harness
          </Link>{' '}
          first.
        </p>
      )}
      {boards && board && (
        <>
          <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
            {boards.length > 1 && (
              <span className="w-[330px] max-w-full">
                <Select
                  name="Which loom"
                  value={board.id}
                  choices={boards.map((each) => ({
                    value: each.id,
                    label: `${each.id}: ${each.name}, ${each.segments.length} segments`,
                  }))}
                  onChoose={(next) => {
                    setPicked(undefined);
                    setChosen(next);
                  }}
                />
              </span>
            )}
            <span>
              {size(board.high[0] - board.low[0])} × {size(board.high[1] - board.low[1])}
            </span>
            <Downloads of="" file={`/api/builds/${id}/boards/${board.id}`} kinds={['svg', 'dxf']} />
          </div>
          <BoardPlan board={board} picked={picked} pick={setPicked} />
          <p className="mt-1 text-[13px] text-second" role="status">
            {segment && length !== undefined
              ? `${segment.name}: ${formatMeasure({ value: length, kind: 'length' }, units)}`
              : 'Select a segment for its length. A filled end has connectors.'}
          </p>
          {board.loops.length > 0 && (
            <p className="text-signal">
              {board.loops.length === 1
                ? 'A segment closes'
                : `${board.loops.length} segments close`}{' '}
              a loop and {board.loops.length === 1 ? 'is' : 'are'} on no board.
            </p>
          )}
          <section className="mt-3" aria-label="Print at full size">
            <h2>Print at full size</h2>
            <ul className="mt-1 flex flex-wrap gap-2">
              {boardPaperKinds.map((paper: BoardPaper) => (
                <li key={paper}>
                  <a
                    className="act"
                    href={`/api/builds/${id}/boards/${board.id}/${paper}.pdf`}
                    download
                  >
                    <Download size={14} aria-hidden className="mr-1 inline" />
                    {boardPapers[paper].words}, {board.sheets[paper]}{' '}
                    {board.sheets[paper] === 1 ? 'sheet' : 'sheets'}
                  </a>
                </li>
              ))}
            </ul>
            <p className="mt-2 max-w-[68ch] text-[13px] text-second">
              Print without scaling and check the line on each sheet: it is 100 mm long. Sheets
              overlap by 10 mm; lay them so that their crosses meet. Rows are letters from above,
              columns numbers from the left; empty sheets are left out. Small red rings are nails, a
              double line is a bundle as thick as it is, a diamond a splice. Below the loom stands
              the face of every plug, seen from the side of its wires.
            </p>
          </section>
        </>
      )}
    </Screen>
  );
}
