import { type Source, stages } from '../evaluation/index.ts';

const nameOf = (source: Source<unknown>): string =>
  source.type === 'slice' ? source.name : `**${source.name}**`;

/** The stages of an evaluation as a table: what each reads and gives, in the order in which they run. */
export function stagesDocument(): string {
  const rows = Object.values(stages).map(({ name, reads, gives }) => {
    const read = new Set(Object.values<Source<unknown>>(reads).map(nameOf));
    return `| \`${name}\` | ${[...read].join(', ')} | ${gives} |`;
  });
  return [
    '# Stages of an evaluation',
    '',
    'Generated from `evaluation/stages.ts`, in the order in which they run. A stage runs when something that it reads has changed by value. Bold: what another stage gives; else a part of the build (`evaluation/slices.ts`) or the catalogue.',
    '',
    '| stage | reads | gives |',
    '| --- | --- | --- |',
    ...rows,
    '',
  ].join('\n');
}
