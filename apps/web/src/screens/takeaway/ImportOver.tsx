import type { ImportPreview } from '@brookrain/contract';
import { pathText, placeInWords } from '@brookrain/core';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { ApiError, api } from '../../api/client.ts';
import { useBuild } from '../../build/BuildContext.ts';
import { ChangeRow } from '../../ui/ChangeRow.tsx';
import { useUnits } from '../../ui/preferences.ts';

interface Waiting {
  readonly text: string;
  readonly fileName: string;
  readonly preview: ImportPreview;
}

/** Brings a file in over this build: first what would change, then one edit that can be undone. */
export function ImportOver() {
  const { id, revision, generation, stored: build, adopt } = useBuild();
  const [{ numbers }] = useUnits();
  const queries = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const [waiting, setWaiting] = useState<Waiting>();
  const [refused, setRefused] = useState<ApiError>();

  const look = async (file: File): Promise<void> => {
    setWaiting(undefined);
    setRefused(undefined);
    const text = await file.text();
    try {
      setWaiting({ text, fileName: file.name, preview: await api.previewImport(id, text) });
    } catch (error) {
      if (error instanceof ApiError) setRefused(error);
      else throw error;
    }
  };
  const bringIn = async (): Promise<void> => {
    if (!waiting) return;
    try {
      const reply = await api.importOver(id, { baseRevision: revision, generation }, waiting.text);
      await queries.refetchQueries({ queryKey: ['catalogue'] });
      adopt(reply);
      setWaiting(undefined);
    } catch (error) {
      if (error instanceof ApiError) setRefused(error);
      else throw error;
    }
  };
  return (
    <section aria-label="Import a file">
      <h2>Import a file over this build</h2>
      <p className="text-second">
        You see what changes before anything does. A damaged file is refused whole.
      </p>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        aria-label="Build file"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void look(file);
        }}
      />
      <button type="button" className="act mt-2" onClick={() => input.current?.click()}>
        Choose a file
      </button>
      {refused && (
        <div role="alert" className="mt-2 border-l-[3px] border-signal pl-2">
          <p className="text-signal">The file was refused; nothing was changed.</p>
          <ul>
            {(refused.issues.length > 0 ? refused.issues : [{ path: '', message: refused.message }])
              .slice(0, 8)
              .map((issue, i) => (
                <li key={i}>
                  {issue.path !== '' && (
                    <span className="font-code text-[13px]">{issue.path}: </span>
                  )}
                  {issue.message}
                </li>
              ))}
          </ul>
        </div>
      )}
      {waiting && (
        <div className="mt-2">
          <p>
            {waiting.fileName}:{' '}
            {waiting.preview.changes.length === 0
              ? 'nothing would change'
              : `${waiting.preview.changes.length} changes`}
            {waiting.preview.newItems.length > 0 &&
              `, new in the catalogue: ${waiting.preview.newItems.join(', ')}`}
            .
          </p>
          <table className="table-lined mt-1 w-full">
            <tbody>
              {waiting.preview.changes.slice(0, 40).map((change) => (
                <ChangeRow
                  key={pathText(change.path)}
                  place={placeInWords(build, change.path) || pathText(change.path)}
                  change={change}
                  documents={[build, build]}
                  numbers={numbers}
                />
              ))}
            </tbody>
          </table>
          <div className="mt-2 flex gap-2">
            <button
              type="button"
              className="act act-main"
              disabled={waiting.preview.changes.length === 0}
              onClick={() => void bringIn()}
            >
              Import it
            </button>
            <button type="button" className="act" onClick={() => setWaiting(undefined)}>
              Leave it
            </button>
          </div>
        </div>
      )}
    </section>
  );
}
