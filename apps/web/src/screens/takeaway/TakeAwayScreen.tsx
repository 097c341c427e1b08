import { generalNotice } from '@brookrain/core';
import { Download } from 'lucide-react';
import { useBuild } from '../../build/BuildContext.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { OwnWords } from '../../ui/OwnWords.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { GaugeReadings } from './GaugeReadings.tsx';
import { OwnerOnly } from '../../ui/OwnerOnly.tsx';
import { ImportOver } from './ImportOver.tsx';

/** What goes to the vehicle and to others: sheet, lists, file; and the way back in. */
export function TakeAwayScreen() {
  const { id, evaluation } = useBuild();
  const [units] = useUnits();
  const base = `/api/builds/${encodeURIComponent(id)}`;
  const papers = [
    {
      href: `${base}/work-sheet.pdf?units=${units.system}`,
      name: 'Work order',
      type: 'PDF',
      words:
        'What to fit, set and connect, drawn and in order; expected readings with room for what is read',
    },
    {
      href: `${base}/parts.csv`,
      name: 'Parts',
      type: 'CSV',
      words: 'Every part with its length or count, its price and what it is for; the total',
    },
    {
      href: `${base}/wires.csv`,
      name: 'Wires',
      type: 'CSV',
      words: 'Every wire with ends, size, length, current and fuse',
    },
    {
      href: `${base}/build.json`,
      name: 'Build file',
      type: 'JSON',
      words: 'The whole build with the catalogue items it uses; comes back in exactly',
    },
  ];
  return (
    <Screen
      title="Downloads"
      lead="For the vehicle, for the counter, for the record."
      inspector={
        <>
          <h2>Before any fuel flows</h2>
          <p className="mt-1 text-[13px] leading-[18px]">{generalNotice}</p>
          <Cautions place="downloads" />
        </>
      }
    >
      <OwnWords />
      <ul className="border-t-[1.5px] border-ink">
        {papers.map((paper) => (
          <li key={paper.href} className="border-b-[0.75px] border-hair">
            <a
              href={paper.href}
              download
              className="grid min-h-12 grid-cols-[26px_120px_52px_1fr] items-center gap-3 px-2 py-2 hover:bg-panel"
            >
              <Download size={16} aria-hidden="true" />
              <span className="font-medium">{paper.name}</span>
              <span className="text-second">{paper.type}</span>
              <span>{paper.words}</span>
            </a>
          </li>
        ))}
      </ul>
      {evaluation.fluids.map((fluid) => (
        <GaugeReadings
          key={fluid.design.circuit.id}
          fluid={fluid}
          named={evaluation.fluids.length > 1}
        />
      ))}
      <div className="mt-6">
        <OwnerOnly note="A file is imported over a build on the computer that Brookrain runs on.">
          <ImportOver />
        </OwnerOnly>
      </div>
    </Screen>
  );
}
