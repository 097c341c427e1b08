import { readDataTable } from '@brookrain/contract';
import {
  type CatalogueCategory,
  type CatalogueItem,
  type ItemField,
  allItemFields,
  categoryNames,
  itemRowsOf,
  itemTableOf,
} from '@brookrain/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useId, useMemo, useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { ApiError, api } from '../../api/client.ts';
import { Page } from '../../frame/Page.tsx';
import { focusNextScreen } from '../../frame/jumpFocus.ts';
import { authorName, useUnits } from '../../ui/preferences.ts';
import { ProblemGrid } from './ProblemGrid.tsx';
import { TableCurves } from './TableCurves.tsx';
import { EMPTY } from './fieldText.ts';
import { type ItemTexts, assembled, errorsOf, rowsIn, textsOf } from './itemTexts.ts';
import { categoryOf, useCatalogue } from './useCatalogue.ts';
import { Select } from '../../ui/Select.tsx';

function FieldInput({
  field,
  value,
  message,
  change,
}: {
  field: ItemField;
  value: string;
  message: string | undefined;
  change: (text: string) => void;
}) {
  const id = useId();
  const choices =
    field.type === 'yes-no' ? ['yes', 'no'] : field.type === 'choice' ? field.choices : undefined;
  const describedBy = message && message !== EMPTY ? `${id}-message` : undefined;
  return (
    <div>
      <div className="grid grid-cols-[1fr_170px] items-center gap-2">
        <label htmlFor={id} className="leading-[18px]">
          {field.label}
        </label>
        {choices ? (
          <Select
            id={id}
            value={value}
            choices={[
              ...(field.type === 'choice' && field.optional
                ? [{ value: '', label: 'not said' }]
                : []),
              ...choices.map((choice) => ({ value: choice, label: choice })),
            ]}
            onChoose={change}
            invalid={message !== undefined}
            describedBy={describedBy}
          />
        ) : (
          <input
            id={id}
            className="field"
            value={value}
            aria-invalid={message !== undefined}
            aria-describedby={describedBy}
            placeholder={field.type === 'figure' ? field.unit : ''}
            autoComplete="off"
            spellCheck={false}
            onChange={(event) => change(event.target.value)}
          />
        )}
      </div>
      {message && message !== EMPTY && (
        <p id={`${id}-message`} role="alert" className="mt-0.5 text-[13px] text-signal">
          {message}
        </p>
      )}
    </div>
  );
}

/** Adds an item, or makes the next revision of one; curves are drawn while the table is typed. */
export function ItemEditor() {
  const params = useParams();
  const { catalogue, ready } = useCatalogue();
  const category = categoryOf(params['category']);
  const newest = catalogue.items
    .filter((item) => item.id === params['itemId'])
    .sort((a, b) => b.revision - a.revision)[0];
  if (!category || (params['itemId'] && !newest)) {
    return (
      <Page title="Catalogue">
        <p>{ready ? 'There is no such item.' : 'Opening'}</p>
        <Link className="underline" to="/catalogue">
          Back to the catalogue
        </Link>
      </Page>
    );
  }
  return <EditorForm key={newest?.revision ?? 0} category={category} from={newest} />;
}

function EditorForm({
  category,
  from,
}: {
  category: CatalogueCategory;
  from: CatalogueItem | undefined;
}) {
  const [units] = useUnits();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const fields = allItemFields(category);
  const itemTable = itemTableOf(category);
  const list = itemRowsOf(category);
  const [begun] = useState(() => textsOf(category, from, units));
  const form = useForm<ItemTexts, unknown, CatalogueItem>({
    defaultValues: { id: from?.id ?? '', ...begun },
    resolver: (texts) => {
      const table = itemTable ? readDataTable(category, texts.sheet) : undefined;
      const { item, wrong } = assembled({
        category,
        texts,
        table,
        numbers: units.numbers,
        before: from && { item: from, texts: begun },
      });
      return item ? { values: item, errors: {} } : { values: {}, errors: errorsOf(wrong) };
    },
  });
  const { errors } = form.formState;
  const sheet = form.watch('sheet');
  const deferred = useDeferredValue(sheet);
  const table = useMemo(
    () => (itemTable ? readDataTable(category, deferred) : undefined),
    [category, itemTable, deferred],
  );
  const pins = useMemo(() => rowsIn(category, deferred), [category, deferred]);
  const keep = useMutation({
    mutationFn: (made: CatalogueItem) => api.keepItem(made, authorName()),
    onError: (error) => {
      const issues = error instanceof ApiError ? error.issues : [];
      if (issues.length === 0) form.setError('root.form', { message: error.message });
      for (const { path, message } of issues) {
        const [, key] = path.split('.');
        const known = fields.some((f) => f.key === key);
        form.setError(key === 'id' ? 'id' : known ? `fields.${key}` : 'root.form', { message });
      }
    },
    onSuccess: ({ item: kept, isNew }) => {
      toast(
        isNew
          ? `${kept.designation} is stored, revision ${kept.revision}`
          : 'These data were there already',
      );
      void queries.invalidateQueries({ queryKey: ['catalogue'] });
      focusNextScreen();
      void navigate(`/catalogue/${category}/${encodeURIComponent(kept.id)}`);
    },
  });
  const problems = table?.problems ?? [];
  const empty = [errors.id, ...Object.values(errors.fields ?? {})].filter(
    (error) => error?.message === EMPTY,
  ).length;
  const whole = errors.root?.['form']?.message ?? errors.sheet?.message;
  const input = (field: ItemField, name: 'id' | `fields.${string}`) => (
    <Controller
      key={name}
      control={form.control}
      name={name}
      render={({ field: { value, onChange }, fieldState }) => (
        <FieldInput
          field={field}
          value={value}
          message={fieldState.error?.message}
          change={(text) => {
            // An item keeps its id: its revisions are found by it.
            if (name !== 'id' || !from) onChange(text);
          }}
        />
      )}
    />
  );
  return (
    <Page
      wide
      title={
        from ? `Change ${from.designation}` : `Add to ${categoryNames[category].toLowerCase()}`
      }
      lead={
        from
          ? `What you keep becomes revision ${from.revision + 1}; builds stay on theirs until you move them.`
          : 'As the data sheet says it, in any unit.'
      }
    >
      <form
        className="grid grid-cols-[400px_1fr] gap-10 max-[900px]:block"
        noValidate
        onSubmit={(event) => void form.handleSubmit((item) => keep.mutate(item))(event)}
      >
        <div className="space-y-1.5">
          {input({ key: 'id', label: 'Id, short and unique', type: 'text', min: 1, max: 40 }, 'id')}
          {fields.map((field) => input(field, `fields.${field.key}`))}
          {empty > 0 && (
            <p role="alert" className="text-signal">
              {empty === 1 ? 'One field is' : `${empty} fields are`} still empty.
            </p>
          )}
          {whole && (
            <p role="alert" className="text-signal">
              {whole}
            </p>
          )}
          <div className="flex gap-2 pt-2">
            <button type="submit" className="act act-main" disabled={keep.isPending}>
              {from ? `Keep as revision ${from.revision + 1}` : 'Keep it'}
            </button>
            <Link className="act inline-block" to={`/catalogue/${category}`}>
              Leave it
            </Link>
          </div>
        </div>
        {list && (
          <div className="min-w-0">
            <label htmlFor="data-rows" className="font-semibold">
              Pins
            </label>
            <p className="text-[13px] text-second">
              Paste the pin table of the manual: a header, then one line for each pin. Tabs,
              semicolons or commas; what may be left out may stay empty; several capabilities in one
              cell with a + between them.
            </p>
            <textarea
              id="data-rows"
              className="field mt-1 !h-[220px] py-1 font-code text-[12px]"
              spellCheck={false}
              aria-invalid={pins.problems.length > 0}
              {...form.register('sheet')}
            />
            {sheet.trim() !== '' && (
              <div className="mt-2">
                <ProblemGrid grid={pins.grid} problems={pins.problems} />
              </div>
            )}
          </div>
        )}
        {itemTable && (
          <div className="min-w-0">
            <label htmlFor="data-table" className="font-semibold">
              {itemTable.label}
            </label>
            <p className="text-[13px] text-second">
              Paste or type it: a header with units, then rows. Decimal comma or point, tabs,
              semicolons or commas; empty cells are gaps.
              {category === 'pump' &&
                ' One column for pressure, then “Flow 12 V [L/h]” and “Current 12 V [A]” for each voltage; or one column each for voltage, pressure, flow, current.'}
              {category === 'injector' &&
                ' Voltage down the side and one column for each pressure, as “300 kPa”; or one column each for voltage, pressure, dead time.'}
            </p>
            <textarea
              id="data-table"
              className="field mt-1 !h-[150px] py-1 font-code text-[12px]"
              spellCheck={false}
              aria-invalid={problems.length > 0}
              {...form.register('sheet')}
            />
            {table && sheet.trim() !== '' && (
              <div className="mt-2">
                <ProblemGrid grid={table.grid} problems={problems} />
                {table.notes.length > 0 && (
                  <ul className="mt-1 text-[13px] text-second">
                    {table.notes.map((note) => (
                      <li key={note}>{note}</li>
                    ))}
                  </ul>
                )}
                <TableCurves category={category} rows={table.rows} />
              </div>
            )}
          </div>
        )}
      </form>
    </Page>
  );
}
