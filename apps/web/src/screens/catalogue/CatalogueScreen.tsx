import {
  type CatalogueCategory,
  type CatalogueItem,
  categoryNames,
  formatMeasure,
  itemFields,
} from '@brookrain/core';
import { useState } from 'react';
import { Link, NavLink, useParams } from 'react-router';
import { Page } from '../../frame/Page.tsx';
import { OwnerOnly } from '../../ui/OwnerOnly.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { ItemComparison } from './ItemComparison.tsx';
import { readField } from './fieldText.ts';
import { headlinesOf } from './headlines.ts';
import { categories, categoryOf, useCatalogue } from './useCatalogue.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Tick } from '../../ui/Tick.tsx';

const COLUMNS = 4;
const MOST_COMPARED = 4;

/** Every word of a search must stand somewhere in the item. */
function matches(item: CatalogueItem, words: readonly string[]): boolean {
  const text =
    `${item.id} ${item.designation} ${item.family} ${item.interchange} ${categoryNames[item.category]}`.toLowerCase();
  return words.every((word) => text.includes(word));
}

/** What of an item a column sorts by. */
function sortValue(item: CatalogueItem, key: string): number | string | undefined {
  const value = (item as unknown as Readonly<Record<string, unknown>>)[key];
  return typeof value === 'number' || typeof value === 'string' ? value : undefined;
}

type TableProps = {
  /** undefined while items of all kinds are shown */
  category: CatalogueCategory | undefined;
  items: readonly CatalogueItem[];
  picked: ReadonlySet<string>;
  toggle: (id: string) => void;
};

/** Items with the figures that matter for their kind; any other field can be shown. */
function ItemTable({ category, items, picked, toggle }: TableProps) {
  const [units] = useUnits();
  const headlines = category ? headlinesOf(category) : [];
  const fields = category ? itemFields(category) : [];
  const usual = new Set(
    fields
      .filter((f) => f.type === 'figure')
      .slice(0, COLUMNS - headlines.length)
      .map((f) => f.key),
  );
  const columns: DataColumn<CatalogueItem>[] = [
    {
      key: 'designation',
      label: 'Designation',
      text: true,
      shown: 'always',
      sortBy: (item) => item.designation,
      cell: (item) => (
        <>
          <Link
            className="underline decoration-hair underline-offset-2"
            to={`/catalogue/${item.category}/${encodeURIComponent(item.id)}`}
          >
            {item.designation}
          </Link>
          {item.revision > 1 && <span className="ml-1.5 text-second">rev. {item.revision}</span>}
        </>
      ),
    },
    {
      key: 'family',
      label: 'Family',
      text: true,
      sortBy: (item) => item.family,
      cell: (item) => <span className="text-second">{item.family}</span>,
    },
    ...headlines.map(({ label, measure }) => ({
      key: label,
      label,
      sortBy: (item: CatalogueItem) => measure(item)?.value,
      cell: (item: CatalogueItem) => {
        const value = measure(item);
        return value ? formatMeasure(value, units) : '';
      },
    })),
    ...fields.map((field) => ({
      key: field.key,
      label: field.label,
      shown: usual.has(field.key),
      sortBy: (item: CatalogueItem) => sortValue(item, field.key),
      cell: (item: CatalogueItem) => readField(item, field, units),
    })),
    {
      key: 'price',
      label: 'Price',
      sortBy: (item) => item.price,
      cell: (item) => item.price,
    },
    {
      key: 'compare',
      label: 'Compare',
      shown: 'always',
      cell: (item) => (
        <Tick wordless checked={picked.has(item.id)} onChange={() => toggle(item.id)}>
          Compare {item.designation}
        </Tick>
      ),
    },
  ];
  return <DataTable label="Items" rows={items} columns={columns} keyOf={(item) => item.id} />;
}

/** All items of a category, or those that a search finds in any. */
export function CatalogueScreen() {
  const params = useParams();
  const category: CatalogueCategory = categoryOf(params['category']) ?? 'pump';
  const { newest, error, ready } = useCatalogue();
  const [search, setSearch] = useState('');
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const searching = words.length > 0;
  const all = [...newest.values()].flat();
  const items = searching
    ? all.filter((item) => matches(item, words))
    : (newest.get(category) ?? []);
  const compared = all.filter((item) => picked.has(item.id));
  const toggle = (id: string): void => {
    const next = new Set(picked);
    if (!next.delete(id)) next.add(id);
    setPicked(new Set([...next].slice(-MOST_COMPARED)));
  };
  return (
    <Page
      wide
      title="Catalogue"
      lead="What the design is chosen from. A change makes a new revision; builds keep the one they use."
    >
      {error && <p className="text-signal">{error.message}</p>}
      <div className="grid grid-cols-[190px_1fr] gap-6 max-[800px]:block">
        <nav aria-label="Categories" className="max-[800px]:mb-3">
          <ul className="border-t-[1.5px] border-ink max-[800px]:flex max-[800px]:overflow-x-auto">
            {categories.map((c) => (
              <li key={c} className="shrink-0 border-b-[0.75px] border-hair">
                <NavLink
                  to={`/catalogue/${c}`}
                  onClick={() => setSearch('')}
                  className={`flex justify-between gap-2 border-l-[3px] py-1 pl-2 pr-1 ${c === category && !searching ? 'border-moss bg-panel font-medium' : 'border-transparent hover:bg-panel'}`}
                >
                  {categoryNames[c]}
                  <span className="font-normal text-second">{newest.get(c)?.length ?? ''}</span>
                </NavLink>
              </li>
            ))}
          </ul>
        </nav>
        <div className="min-w-0">
          <div className="mb-2 flex flex-wrap items-center gap-2">
            <SearchField
              label="Search the catalogue"
              hint="Search all: designation, family, group"
              value={search}
              onChange={setSearch}
            />
            <span className="flex-1" />
            <OwnerOnly note="Items are added on the computer that Brookrain runs on.">
              <Link to={`/catalogue/${category}/new`} className="act inline-block">
                Add to {categoryNames[category].toLowerCase()}
              </Link>
              <Link to={`/catalogue/${category}/bring-in`} className="act inline-block">
                Import a table
              </Link>
            </OwnerOnly>
            <a
              className="act inline-block"
              href={`/api/catalogue/items.csv?category=${category}`}
              download={`${category}.csv`}
            >
              CSV
            </a>
            <a className="act inline-block" href="/api/catalogue" download="catalogue.json">
              All as JSON
            </a>
          </div>
          {compared.length > 0 && (
            <ItemComparison items={compared} drop={toggle} clear={() => setPicked(new Set())} />
          )}
          <div>
            <ItemTable
              key={searching ? 'search' : category}
              category={searching ? undefined : category}
              items={items}
              picked={picked}
              toggle={toggle}
            />
          </div>
          {ready && items.length === 0 && (
            <p className="mt-2 text-second">
              {searching
                ? 'Nothing here by those words.'
                : `No ${categoryNames[category].toLowerCase()} yet: add one or import a table.`}
            </p>
          )}
        </div>
      </div>
    </Page>
  );
}
