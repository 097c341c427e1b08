import { type Assembly, type Change, type ToldMadeLine, plumbingFigure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { LineDetails } from './LineDetails.tsx';
import { stateWords } from './jointWords.ts';
import { useAssemblies } from './useAssembly.ts';
import { useLineSheet } from './useLineSheet.ts';
import { useMadeLine } from './useMadeLine.ts';

const askEnds: Question<null, readonly Change[]> = (worker, document) => worker.allEnds(document);

/** What stands in the way of cutting a line; nothing: it can be cut, or is. */
function stateOf(line: ToldMadeLine, assembly: Assembly | undefined): string {
  if (assembly?.asMade) return 'cut';
  const worst = (['unlike', 'open', 'unsaid'] as const).find((state) =>
    line.ends.some((end) => end.state === state),
  );
  return worst ? stateWords[worst] : 'to be cut';
}

/** Every line with its ends and what it is cut to; one of them opened. */
export function LinesScreen() {
  const { evaluation, catalogue, edit, results } = useBuild();
  const { line, pick } = useMadeLine();
  const sheet = useLineSheet(line?.lineId ?? '');
  const { answer: open } = useWorkerAnswer(askEnds, null);
  const findings = evaluation.findings.filter(
    ({ where }) => where.stage === 'lines' && where.line === line?.lineId,
  );
  const assemblyOf = useAssemblies();
  const stateIn = (made: ToldMadeLine): string => stateOf(made, assemblyOf(made));
  const designation = (id: string | undefined): string | undefined =>
    catalogue.items.find((item) => item.id === id)?.designation;
  const endOf = (made: ToldMadeLine, side: 'from' | 'to'): string => {
    const item = designation(assemblyOf(made)?.[side].item?.id);
    if (item) return item;
    return made.ends.find((end) => end.side === side)?.state === 'straight-on'
      ? 'over the barb'
      : '–';
  };
  const cut = (made: ToldMadeLine) => plumbingFigure('line.cutLength', { line: made.lineId });
  const columns: readonly DataColumn<ToldMadeLine>[] = [
    {
      key: 'name',
      label: 'Line',
      text: true,
      shown: 'always',
      sortBy: (made) => made.name,
      cell: (made) => made.name,
    },
    {
      key: 'from',
      label: 'End A',
      text: true,
      wideOnly: true,
      cell: (made) => endOf(made, 'from'),
    },
    { key: 'to', label: 'End B', text: true, wideOnly: true, cell: (made) => endOf(made, 'to') },
    {
      key: 'cut',
      label: 'Cut to',
      sortBy: (made) => results.find(cut(made))?.value,
      cell: (made) => (results.find(cut(made)) ? <Figure of={cut(made)} atBench /> : '–'),
    },
    {
      key: 'clocking',
      label: 'Clocked',
      wideOnly: true,
      cell: (made) => {
        const figure = plumbingFigure('line.clocking', { line: made.lineId });
        return results.find(figure) ? <Figure of={figure} /> : '–';
      },
    },
    {
      key: 'state',
      label: 'State',
      text: true,
      sortBy: stateIn,
      cell: (made) => <span className="whitespace-nowrap">{stateIn(made)}</span>,
    },
  ];
  return (
    <Screen
      title="Lines"
      lead="What each hose and tube is made of: its ends, what it is cut to, how its ends are clocked."
      inspector={
        <>
          {line && <LineDetails line={line} sheet={sheet} />}
          <Cautions place="lines" />
        </>
      }
    >
      {findings.map((finding) => (
        <FindingNote key={finding.id} finding={finding} />
      ))}
      {evaluation.made.length === 0 && (
        <p className="text-second">
          There is no hose or tube yet. Lay out a fuel circuit first, or put another line on the
          map.
        </p>
      )}
      {open && open.length > 0 && (
        <p className="mb-2">
          <button
            type="button"
            className="act act-main"
            onClick={() =>
              edit({ name: 'set-several', label: 'Choose the ends of all lines', changes: open })
            }
          >
            Choose ends for every line that has none
          </button>{' '}
          <span className="text-second">
            in the school its hose is made for, angles from its route on the map, adapters where
            ports differ
          </span>
        </p>
      )}
      <DataTable
        label="Lines"
        rows={evaluation.made}
        columns={columns}
        keyOf={(made) => made.lineId}
        selected={line?.lineId}
        onSelect={pick}
      />
    </Screen>
  );
}
