import { formatFigure, formatMeasure, inNumberFormat, numberFormats } from '@brookrain/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { api } from '../../api/client.ts';
import { Page } from '../../frame/Page.tsx';
import { unitChoices } from '../../frame/UnitChoice.tsx';
import { OwnerOnly } from '../../ui/OwnerOnly.tsx';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import {
  useAuthor,
  useNumberFormat,
  useTheme,
  useUnitChoice,
  useUnits,
} from '../../ui/preferences.ts';
import { shownTime } from '../../ui/shownTime.ts';
import { WorkshopDoor } from './WorkshopDoor.tsx';

const sampleFigure = formatFigure(12345.6, 6);

/** How this person reads and is called; the data folder and its snapshots. */
export function SettingsScreen() {
  const [units] = useUnits();
  const [choice, chooseUnits] = useUnitChoice();
  const [numbers, chooseNumbers] = useNumberFormat();
  const [theme, setTheme] = useTheme();
  const [author, setAuthor] = useAuthor();
  return (
    <Page title="Settings" lead="Your units and name; where the data is stored.">
      <div className="grid grid-cols-2 gap-10 max-[760px]:grid-cols-1">
        <section className="space-y-1.5">
          <h2>On this device</h2>
          <ChoiceField label="Units" value={choice} choices={unitChoices} onChoose={chooseUnits} />
          <ChoiceField
            label="Figures"
            value={numbers}
            choices={numberFormats.map((format) => ({
              value: format,
              label: inNumberFormat(sampleFigure, format),
            }))}
            onChoose={chooseNumbers}
          />
          <ChoiceField
            label="Screen"
            value={theme}
            choices={[
              { value: 'light', label: 'light' },
              { value: 'dark', label: 'dark' },
            ]}
            onChoose={setTheme}
          />
          <label className="grid grid-cols-[1fr_128px] items-center gap-2">
            Your name in the history
            <input
              className="field"
              value={author}
              placeholder="workshop"
              maxLength={60}
              onChange={(event) => setAuthor(event.target.value)}
            />
          </label>
          <p className="pt-1 text-[13px] text-second">
            A figure then reads {formatMeasure({ value: 1234567.8, kind: 'pressure' }, units, 6)},{' '}
            {formatMeasure({ value: 168e3, kind: 'power' }, units)},{' '}
            {formatMeasure({ value: 0.0087, kind: 'length' }, units)}. Any field accepts any unit
            and shows it as you typed it.
          </p>
        </section>
        <div className="space-y-8">
          <WorkshopDoor />
          <OwnerOnly>
            <DataFolder />
          </OwnerOnly>
        </div>
      </div>
    </Page>
  );
}

function DataFolder() {
  const queries = useQueryClient();
  const snapshots = useQuery({ queryKey: ['snapshots'], queryFn: api.snapshots });
  const take = useMutation({
    mutationFn: api.takeSnapshot,
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['snapshots'] }),
  });
  const reset = useMutation({
    mutationFn: api.resetDemos,
    onSuccess: (builds) => {
      queries.setQueryData(['builds'], builds);
      void queries.invalidateQueries({ queryKey: ['build'] });
      toast('The demo builds are as shipped. Undo it in each of them.');
    },
  });
  const failed = snapshots.error ?? take.error ?? reset.error;
  return (
    <section>
      <h2>Data</h2>
      <p className="text-[13px] text-second">
        All data is in one folder. A snapshot is taken at start and every hour in which something
        changed: all of today’s are kept, one a day for a month, one a week for a year.
      </p>
      {failed && (
        <p role="alert" className="mt-1 text-signal">
          {failed.message}
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <button
          type="button"
          className="act"
          disabled={take.isPending}
          onClick={() => take.mutate()}
        >
          Take a snapshot now
        </button>
        <button
          type="button"
          className="act"
          disabled={reset.isPending}
          onClick={() => reset.mutate()}
        >
          Reset the demo builds
        </button>
      </div>
      {snapshots.data && (
        <>
          <p className="mt-3 text-[13px] text-second">
            To put one back, stop the program and run this in its folder:
          </p>
          <p className="mt-1 overflow-x-auto bg-panel p-2 font-code text-[12px]" tabIndex={0}>
            {snapshots.data.restoreCommand}
          </p>
          <table className="table-lined mt-2 w-full" aria-label="Snapshots">
            <thead>
              <tr>
                <th>Snapshot</th>
                <th>Size</th>
              </tr>
            </thead>
            <tbody>
              {snapshots.data.snapshots.slice(0, 8).map((snapshot) => (
                <tr key={snapshot.file}>
                  <td>{shownTime(snapshot.time)}</td>
                  <td>{Math.ceil(snapshot.bytes / 1024)} kB</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </section>
  );
}
