import {
  type LineSheet,
  type ToldEnd,
  type ToldMadeLine,
  formatMeasure,
  portCodes,
  portInWords,
  writeEnd,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { Select } from '../../ui/Select.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { stateWords } from './jointWords.ts';
import { useAssemblies } from './useAssembly.ts';

const USUAL = 'by-the-part';

/** One end of a line: what holds the hose, what it screws onto, what goes between. */
export function EndPanel({
  line,
  end,
  sheet,
}: {
  line: ToldMadeLine;
  end: ToldEnd;
  sheet: LineSheet;
}) {
  const { edit, catalogue, document: build } = useBuild();
  const [units] = useUnits();
  const { side, partner, turn } = end;
  const letter = side === 'from' ? 'A' : 'B';
  const assembly = useAssemblies()(line);
  const stored = assembly?.[side];
  const chosen = catalogue.items.find((item) => item.id === stored?.item?.id);
  const place = build.placements.find(({ id }) => id === end.placementId);
  const choices = sheet.ends[side];
  const adapters = sheet.adapters[side];
  const choose = (id: string): void => {
    const choice = choices.find(({ item }) => item.id === id);
    if (!choice) return;
    edit({
      name: 'set-several',
      label: `Use ${choice.item.designation} for ${line.name}`.slice(0, 120),
      changes: choice.changes,
    });
  };
  const screwOnto = (code: string): void => {
    if (!assembly || !stored) return;
    const onto = portCodes.find((each) => each === code) ?? null;
    edit({
      name: 'set',
      path: ['assemblies', assembly.id, side],
      value: { ...writeEnd(stored), onto },
    });
  };
  return (
    <section className="rule mt-3 space-y-1.5 pt-2" aria-label={`End ${letter}`}>
      <h3>
        End {letter} <span className="font-normal text-second">at {place?.name.toLowerCase()}</span>
      </h3>
      <Select
        name={`End ${letter}`}
        value={chosen?.id}
        placeholder={end.state === 'straight-on' ? 'none: straight onto the barb' : 'not chosen'}
        choices={choices.map(({ item }) => ({ value: item.id, label: item.designation }))}
        onChoose={choose}
      />
      <p className={end.state === 'unlike' || end.state === 'open' ? 'text-signal' : ''}>
        {stateWords[end.state]}
        {turn !== undefined && (
          <span className="text-second">
            {'; the line turns by '}
            {formatMeasure({ value: turn, kind: 'angle' }, units, 2)} here
          </span>
        )}
      </p>
      <dl className="space-y-1 text-[13px]">
        <div className="flex justify-between gap-2">
          <dt className="text-second">Finds</dt>
          <dd className="text-right">
            {partner
              ? `${portInWords(partner.port)}${partner.name === '' ? '' : `, ${partner.name.toLowerCase()}`}`
              : 'nobody says'}
          </dd>
        </div>
        <div className="flex justify-between gap-2">
          <dt className="text-second">Between</dt>
          <dd className="text-right">{adapters.length > 0 ? adapters.join(', ') : 'nothing'}</dd>
        </div>
      </dl>
      {assembly && (partner === undefined || partner.elementId === undefined) && (
        <Select
          name={`End ${letter} screws onto`}
          value={stored?.onto ?? USUAL}
          choices={[
            { value: USUAL, label: 'Screws onto: not said' },
            ...portCodes.map((code) => ({ value: code, label: portInWords(code) })),
          ]}
          onChoose={screwOnto}
        />
      )}
    </section>
  );
}
