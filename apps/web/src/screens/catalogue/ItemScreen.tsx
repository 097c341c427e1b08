import { type CatalogueItem, allItemFields, categoryNames, tableRowsOf } from '@brookrain/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { toast } from 'sonner';
import { api } from '../../api/client.ts';
import { newId } from '../../build/keptQueue.ts';
import { Page } from '../../frame/Page.tsx';
import { authorName, useUnits } from '../../ui/preferences.ts';
import { TableCurves } from './TableCurves.tsx';
import { readField } from './fieldText.ts';
import { useCatalogue } from './useCatalogue.ts';
import { OwnerOnly } from '../../ui/OwnerOnly.tsx';
import { Select } from '../../ui/Select.tsx';

function WhereUsed({ item, newest }: { item: CatalogueItem; newest: number }) {
  const used = useQuery({
    queryKey: ['where-used', item.id],
    queryFn: () => api.whereUsed(item.id),
    staleTime: 0,
  });
  const queries = useQueryClient();
  const move = useMutation({
    mutationFn: async (buildId: string) => {
      const build = await api.build(buildId);
      return api.edit(
        buildId,
        {
          baseRevision: build.revision,
          generation: build.generation,
          editId: newId(),
          author: authorName(),
        },
        { name: 'use-revision', itemId: item.id, revision: newest },
      );
    },
    onError: (error) => toast.error(error.message),
    onSuccess: (build) => {
      queries.setQueryData(['build', build.id], build);
      void queries.invalidateQueries({ queryKey: ['where-used', item.id] });
      toast(`${build.document.name} uses revision ${newest}; undo it there`);
    },
  });
  const uses = used.data?.uses ?? [];
  return (
    <section className="mt-5">
      <h2>Where it is used</h2>
      {used.error && <p className="text-signal">{used.error.message}</p>}
      {used.data && uses.length === 0 && <p className="text-second">In no build.</p>}
      <ul>
        {uses.map((use) => (
          <li key={`${use.buildId}@${use.revision}`} className="rule flex gap-2 py-1">
            <Link className="flex-1 underline" to={`/builds/${use.buildId}/circuit`}>
              {use.name}
              {use.archived ? ', archived' : ''}
            </Link>
            <span className="text-second">revision {use.revision}</span>
            {use.revision < newest && (
              <button
                type="button"
                className="act"
                disabled={move.isPending}
                onClick={() => move.mutate(use.buildId)}
              >
                Use revision {newest}
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** One item: its data, its curves, its revisions, and the builds that use it. */
export function ItemScreen() {
  const [units] = useUnits();
  const { itemId = '', category } = useParams();
  const { catalogue, ready, error } = useCatalogue();
  const [shown, setShown] = useState<number>();
  const revisions = catalogue.items
    .filter((item) => item.id === itemId)
    .sort((a, b) => b.revision - a.revision);
  const newest = revisions[0];
  const item = revisions.find((r) => r.revision === shown) ?? newest;
  if (!item || !newest) {
    return (
      <Page title="Catalogue">
        <p>{error?.message ?? (ready ? `There is no item "${itemId}".` : 'Opening')}</p>
        <Link className="underline" to="/catalogue">
          Back to the catalogue
        </Link>
      </Page>
    );
  }
  return (
    <Page
      title={item.designation}
      lead={
        <>
          <Link className="underline" to={`/catalogue/${item.category}`}>
            {categoryNames[item.category]}
          </Link>
          , {item.family}
        </>
      }
    >
      <div className="grid grid-cols-[minmax(300px,380px)_1fr] gap-10 max-[800px]:block">
        <div>
          <div className="mb-2 flex flex-wrap items-center gap-2">
            {revisions.length > 1 && (
              <Select
                name="Revision"
                className="w-[130px]!"
                value={String(item.revision)}
                choices={revisions.map((r) => ({
                  value: String(r.revision),
                  label: `revision ${r.revision}`,
                }))}
                onChoose={(number) => setShown(Number(number))}
              />
            )}
            <OwnerOnly>
              <Link
                className="act inline-block"
                to={`/catalogue/${category}/${encodeURIComponent(item.id)}/change`}
              >
                Change it
              </Link>
            </OwnerOnly>
          </div>
          <dl>
            <div className="rule flex justify-between gap-3 py-1">
              <dt className="text-second">Id</dt>
              <dd className="font-code text-[13px]">{item.id}</dd>
            </div>
            {allItemFields(item.category).map((field) => (
              <div key={field.key} className="rule flex justify-between gap-3 py-1">
                <dt className="text-second">{field.label}</dt>
                <dd className="text-right">{readField(item, field, units) || 'not said'}</dd>
              </div>
            ))}
          </dl>
          <WhereUsed item={item} newest={newest.revision} />
        </div>
        <TableCurves category={item.category} rows={tableRowsOf(item)} />
      </div>
    </Page>
  );
}
