import {
  type SwitchLine,
  type SwitchingSheet,
  electricCaseWords,
  electricCases,
  formatMeasure,
  waysInWords,
} from '@brookrain/core';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { light, useLit } from '../../build/lit.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Downloads } from '../../ui/Downloads.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { RowEditor } from './RowEditor.tsx';
import { SneakProofView } from './SneakProofView.tsx';
import { commandInWords } from './commandInWords.ts';
import { useConditionWords } from './useConditionWords.ts';

const ask: Question<null, SwitchingSheet> = (worker, document) => worker.switching(document);
const lead =
  'When each relay and output is on. The volts of every case, a module’s settings and the search for sneak paths follow this table.';

/** The cases in which a switch is on, in words. */
function onIn({ on }: SwitchLine): string {
  if (!on) return 'as wired';
  const cases = electricCases.filter((inCase) => on[inCase]);
  if (cases.length === electricCases.length) return 'every case';
  return cases.map((inCase) => electricCaseWords[inCase]).join('; ') || 'none';
}

/** The columns of the table. */
function useColumns(): readonly DataColumn<SwitchLine>[] {
  const words = useConditionWords();
  const [units] = useUnits();
  const seconds = (value: number): string => (value > 0 ? `${String(value)} s` : '–');
  const when = (line: SwitchLine): string =>
    line.source === 'wired' ? 'as its coil is wired' : waysInWords(line.ways, words);
  return [
    {
      key: 'name',
      label: 'Switch',
      text: true,
      shown: 'always',
      cell: (line) => line.name,
      sortBy: (line) => line.name,
    },
    {
      key: 'command',
      label: 'Commanded by',
      text: true,
      wideOnly: true,
      cell: ({ command }) => commandInWords(command),
      sortBy: ({ command }) => commandInWords(command),
    },
    {
      key: 'when',
      label: 'On when',
      text: true,
      cell: (line) => (
        <>
          {when(line)}
          {line.source === 'taken' && <span className="text-second"> (usual)</span>}
        </>
      ),
      sortBy: when,
    },
    {
      key: 'prime',
      label: 'Prime',
      cell: ({ prime }) => seconds(prime),
      sortBy: ({ prime }) => prime,
      wideOnly: true,
    },
    {
      key: 'afterRun',
      label: 'After-run',
      cell: ({ afterRun }) => seconds(afterRun),
      sortBy: ({ afterRun }) => afterRun,
      wideOnly: true,
    },
    {
      key: 'current',
      label: 'Switches',
      cell: ({ current }) => formatMeasure({ value: current, kind: 'current' }, units),
      sortBy: ({ current }) => current,
    },
    {
      key: 'on',
      label: 'On in',
      text: true,
      wideOnly: true,
      cell: onIn,
      sortBy: onIn,
    },
  ];
}

/** When everything that is switched is on, and the proof that nothing else is alive. */
export function SwitchingScreen() {
  const { id, evaluation } = useBuild();
  const work = useWorkerAnswer(ask, null);
  const { answer: sheet } = work;
  const columns = useColumns();
  const lit = useLit();
  const [picked, setPicked] = useState<string>();
  const pick = (key: string): void => {
    setPicked(key);
    const partId = sheet?.lines.find((line) => line.key === key)?.partId;
    if (partId !== undefined) light({ partId });
  };
  const findings = evaluation.findings.filter(({ where }) => where.stage === 'switching');
  if (!sheet) return <Screen title="Switching" lead={lead} work={work} children={null} />;
  const line =
    sheet.lines.find(({ key }) => key === picked) ??
    sheet.lines.find(({ partId, pin }) => partId === lit.partId && pin === '') ??
    sheet.lines[0];
  return (
    <Screen
      title="Switching"
      lead={lead}
      inspector={
        <>
          {line && <RowEditor key={line.key} line={line} />}
          <section className="rule mt-3 pt-2" aria-label="For all fans">
            <QuantityField path={['limits', 'thermostatOpens']} />
          </section>
        </>
      }
    >
      {findings.map((finding) => (
        <FindingNote key={finding.id} finding={finding} />
      ))}
      {sheet.lines.length === 0 ? (
        <p className="text-second">
          Nothing is switched yet: add relays to the devices, or connect loads to the channels of a
          module.
        </p>
      ) : (
        <>
          <div className="flex justify-end">
            <Downloads
              of="For a module’s settings"
              file={`/api/builds/${encodeURIComponent(id)}/switching`}
              kinds={['csv']}
            />
          </div>
          <DataTable
            label="What is switched"
            rows={sheet.lines}
            columns={columns}
            keyOf={({ key }) => key}
            selected={line?.key}
            onSelect={pick}
          />
        </>
      )}
      <SneakProofView sheet={sheet} />
    </Screen>
  );
}
