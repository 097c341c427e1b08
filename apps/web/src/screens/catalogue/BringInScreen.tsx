import { readItemsSheet } from '@brookrain/contract';
import { type CatalogueCategory, categoryNames } from '@brookrain/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { ApiError, api } from '../../api/client.ts';
import { Page } from '../../frame/Page.tsx';
import { ProblemGrid } from './ProblemGrid.tsx';
import { categories, categoryOf } from './useCatalogue.ts';
import { Select } from '../../ui/Select.tsx';

/** Brings in many items at once: a CSV table of one category, or a JSON list of any. */
export function BringInScreen() {
  const params = useParams();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [category, setCategory] = useState<CatalogueCategory>(
    categoryOf(params['category']) ?? 'hose',
  );
  const [text, setText] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const deferred = useDeferredValue(text);
  const isJson = /^\s*[[{]/.test(deferred);
  const sheet = useMemo(
    () => (isJson || deferred.trim() === '' ? undefined : readItemsSheet(category, deferred)),
    [category, deferred, isJson],
  );
  const keep = useMutation({
    mutationFn: () => (isJson ? api.importItems(text) : api.importSheet(category, text)),
    onSuccess: ({ kept, unchanged }) => {
      toast(
        `${kept.length} ${kept.length === 1 ? 'item' : 'items'} stored${unchanged > 0 ? `, ${unchanged} unchanged` : ''}`,
      );
      void queries.invalidateQueries({ queryKey: ['catalogue'] });
      void navigate(`/catalogue/${kept[0]?.category ?? category}`);
    },
  });
  const count = sheet?.items.length ?? 0;
  const ready = isJson || (sheet !== undefined && sheet.problems.length === 0 && count > 0);
  const issues = keep.error instanceof ApiError ? keep.error.issues : [];
  return (
    <Page
      wide
      title="Import a table"
      lead="Paste it or open a file. Nothing is stored until every cell is valid."
    >
      <div className="flex flex-wrap items-end gap-3">
        <div>
          <label htmlFor="csv-of" className="block text-[13px] text-second">
            A CSV of
          </label>
          <Select
            id="csv-of"
            className="w-[200px]!"
            value={category}
            choices={categories.map((c) => ({ value: c, label: categoryNames[c] }))}
            onChoose={setCategory}
          />
        </div>
        <input
          ref={input}
          type="file"
          accept=".csv,.txt,.tsv,.json,text/csv,application/json"
          className="sr-only"
          tabIndex={-1}
          aria-label="File of items"
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            void file?.text().then(setText);
          }}
        />
        <button type="button" className="act" onClick={() => input.current?.click()}>
          Open a file
        </button>
        <a
          className="underline"
          href={`/api/catalogue/items.csv?category=${category}`}
          download={`${category}.csv`}
        >
          A table to start from
        </a>
      </div>
      <label className="mt-3 block">
        <span className="text-[13px] text-second">
          Table: units in the header, one line per item; further lines with the same id hold its
          curve
        </span>
        <textarea
          className="field !h-[180px] py-1 font-code text-[12px]"
          value={text}
          spellCheck={false}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      {sheet && (
        <div className="mt-3">
          <ProblemGrid grid={sheet.grid} problems={sheet.problems} />
        </div>
      )}
      {keep.error && (
        <div role="alert" className="mt-2 text-signal">
          <p>Nothing was stored. {keep.error.message}</p>
          <ul className="text-[13px]">
            {issues.slice(1, 8).map((issue, i) => (
              <li key={i}>
                {issue.path}: {issue.message}
              </li>
            ))}
          </ul>
        </div>
      )}
      <div className="mt-3 flex gap-2">
        <button
          type="button"
          className="act act-main"
          disabled={!ready || keep.isPending}
          onClick={() => keep.mutate()}
        >
          {isJson ? 'Keep the list' : `Keep ${count} ${count === 1 ? 'item' : 'items'}`}
        </button>
        <Link className="act inline-block" to={`/catalogue/${category}`}>
          Leave it
        </Link>
      </div>
    </Page>
  );
}
