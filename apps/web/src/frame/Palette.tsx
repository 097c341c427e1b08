import { type BuildReply, type BuildSummary, type CatalogueReply } from '@brookrain/contract';
import { type Reading, categoryNames, formatMeasure, readBuild, shownKind } from '@brookrain/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { flushSync } from 'react-dom';
import { useLocation, useNavigate } from 'react-router';
import { api } from '../api/client.ts';
import { type KnownBuild, useKnownBuild } from '../build/openBuildStore.ts';
import { glossary, wordId } from '../content/glossary.ts';
import { useTheme, useUnitChoice, useUnits } from '../ui/preferences.ts';
import { closeness } from './closeness.ts';
import { focusNextScreen } from './jumpFocus.ts';
import { screenList } from './stages.ts';
import { unitChoices } from './UnitChoice.tsx';

interface Entry {
  readonly group: string;
  readonly name: string;
  readonly hint?: string;
  /** other words it is looked for by */
  readonly also?: string;
  readonly keys?: string;
  readonly go: () => void;
}

const elementNames = (build: BuildReply | undefined): readonly { id: string; name: string }[] =>
  build ? readBuild(build.document).fuelCircuits.flatMap((c) => c.elements) : [];

const MOST_FIGURES = 30;
const LETTERS_FOR_FIGURES = 3;

/** Figures of the open build whose label has every word that was typed. */
function figuresFound(build: KnownBuild | undefined, typed: string, reading: Reading) {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (!build || words.join('').length < LETTERS_FOR_FIGURES) return [];
  return Object.entries(build.evaluation.figures)
    .filter(([, { label }]) => words.every((word) => label.toLowerCase().includes(word)))
    .slice(0, MOST_FIGURES)
    .map(([key, { label, value, kind }]) => ({
      key,
      label,
      shown: formatMeasure({ value, kind: shownKind(key, kind) }, reading),
    }));
}

/** What is taken away from a build, by what it is called. */
const papers = [
  { name: 'Work order (PDF)', file: 'work-sheet.pdf', also: 'export work sheet print paper' },
  { name: 'Parts list (CSV)', file: 'parts.csv', also: 'export order buy' },
  { name: 'Wire list (CSV)', file: 'wires.csv', also: 'export harness' },
  { name: 'Build file (JSON)', file: 'build.json', also: 'export save share' },
] as const;

/** Finds pages, parts, builds, words and actions by a few letters. */
export function Palette({ close }: { close: () => void }) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const { pathname } = useLocation();
  const [theme, setTheme] = useTheme();
  const [, chooseUnits] = useUnitChoice();
  const [reading] = useUnits();
  const [typed, setTyped] = useState('');
  const [jumped, setJumped] = useState(false);
  const open = useKnownBuild();
  const id = /^\/builds\/([^/]+)/.exec(pathname)?.[1];
  const builds = useQuery({ queryKey: ['builds'], queryFn: api.builds });
  const catalogue = useQuery({ queryKey: ['catalogue'], queryFn: api.catalogue });
  const build = id ? queries.getQueryData<BuildReply>(['build', id]) : undefined;
  const to = (path: string) => () => void navigate(path);

  const entries: Entry[] = [
    ...(id
      ? [
          ...screenList.map((screen) => ({
            group: 'This build',
            name: screen.name,
            keys: screen.keys,
            go: to(`/builds/${id}/${screen.id}`),
          })),
          ...papers.map(({ name, file, also }) => ({
            group: 'This build',
            name,
            also,
            go: () => location.assign(`/api/builds/${encodeURIComponent(id)}/${file}`),
          })),
          ...elementNames(build).map((element) => ({
            group: 'Fuel circuit',
            name: element.name,
            go: to(`/builds/${id}/circuit?element=${element.id}`),
          })),
        ]
      : []),
    ...(open?.undo
      ? [{ group: 'Do', name: `Undo: ${open.undo}`, keys: 'Ctrl Z', go: () => open.step('undo') }]
      : []),
    ...(open?.redo
      ? [{ group: 'Do', name: `Redo: ${open.redo}`, go: () => open.step('redo') }]
      : []),
    ...figuresFound(open, typed, reading).map(({ key, label, shown }) => ({
      group: 'Figures',
      name: label,
      hint: shown,
      also: key,
      go: to(`${pathname}?figure=${encodeURIComponent(key)}`),
    })),
    ...(builds.data ?? []).map((b: BuildSummary) => ({
      group: 'Builds',
      name: b.name,
      hint: b.archived ? 'archived' : '',
      go: to(`/builds/${b.id}/brief`),
    })),
    { group: 'Go to', name: 'All builds', go: to('/') },
    { group: 'Go to', name: 'New build', go: to('/new') },
    { group: 'Go to', name: 'Catalogue', go: to('/catalogue') },
    { group: 'Go to', name: 'Guide', go: to('/guide') },
    { group: 'Go to', name: 'Words', go: to('/words') },
    { group: 'Go to', name: 'Settings, snapshots', go: to('/settings') },
    ...unitChoices.map(({ value, label }) => ({
      group: 'Do',
      name: `Units: ${label}`,
      go: () => chooseUnits(value),
    })),
    {
      group: 'Do',
      name: theme === 'dark' ? 'Light screen' : 'Dark screen',
      go: () => setTheme(theme === 'dark' ? 'light' : 'dark'),
    },
    ...catalogueEntries(catalogue.data).map(({ category, id: item, name }) => ({
      group: 'Catalogue',
      name,
      hint: categoryNames[category],
      go: to(`/catalogue/${category}/${encodeURIComponent(item)}`),
    })),
    ...glossary.map(({ word, meaning }) => ({
      group: 'Words',
      name: word,
      hint: meaning,
      go: to(`/words#${wordId(word)}`),
    })),
  ];
  const groups = [...new Set(entries.map((entry) => entry.group))];
  return (
    <Dialog.Root open onOpenChange={(open) => !open && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={(event) => jumped && event.preventDefault()}
          className="fixed left-1/2 top-[12vh] z-50 w-[560px] max-w-[94vw] -translate-x-1/2 border border-ink bg-paper"
        >
          <Dialog.Title className="sr-only">Find</Dialog.Title>
          <Command label="Find" loop filter={closeness}>
            <Command.Input
              value={typed}
              onValueChange={setTyped}
              placeholder="Page, part, figure, build, word or action"
              className="h-11 w-full border-b-[1.5px] border-ink bg-paper px-3 text-[16px]"
            />
            <Command.List className="max-h-[56vh] overflow-y-auto p-1">
              <Command.Empty className="px-3 py-2 text-second">
                Nothing here by that name.
              </Command.Empty>
              {groups.map((group) => (
                <Command.Group key={group} heading={group} className="palette-group">
                  {entries
                    .filter((entry) => entry.group === group)
                    .map((entry, i) => (
                      <Command.Item
                        key={`${entry.name}-${i}`}
                        value={`${entry.name} ${group} ${entry.hint ?? ''} ${entry.also ?? ''} ${i}`}
                        className="palette-item"
                        onSelect={() => {
                          flushSync(() => setJumped(true));
                          focusNextScreen();
                          close();
                          entry.go();
                        }}
                      >
                        <span className="shrink-0">{entry.name}</span>
                        <span className="min-w-0 flex-1 truncate text-[13px] text-second">
                          {entry.hint}
                        </span>
                        {entry.keys && <kbd className="font-code text-[12px]">{entry.keys}</kbd>}
                      </Command.Item>
                    ))}
                </Command.Group>
              ))}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function catalogueEntries(catalogue: CatalogueReply | undefined) {
  const byId = new Map((catalogue?.items ?? []).map((item) => [item.id, item]));
  return [...byId.values()].map(({ id, category, designation }) => ({
    id,
    category,
    name: designation,
  }));
}
