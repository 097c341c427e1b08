import { type SegmentEnd, freeKey, plainSegment } from '@brookrain/core';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { Select } from '../../ui/Select.tsx';
import type { HarnessSelection } from './harnessSelection.ts';
import { nameOfEnd } from './segmentWays.ts';

const NONE = '';

/** Joins two ends with a new segment: breakouts, and places at which wires end. */
export function JoinForm({ select }: { select: (selection: HarnessSelection) => void }) {
  const { document: build, stored, edit } = useBuild();
  const [ends, setEnds] = useState<readonly [string, string]>([NONE, NONE]);
  const endOf = (text: string): SegmentEnd => {
    const [kind, ...rest] = text.split(':');
    const id = rest.join(':');
    return kind === 'place' ? { at: 'place', placementId: id } : { at: 'breakout', breakoutId: id };
  };
  const choices = [
    { heading: '', choices: [{ value: NONE, label: 'choose an end' }] },
    {
      heading: 'Breakouts',
      choices: build.harness.breakouts.map(({ id, name }) => ({
        value: `breakout:${id}`,
        label: name,
      })),
    },
    {
      heading: 'Places',
      choices: build.placements.map(({ id, name }) => ({ value: `place:${id}`, label: name })),
    },
  ].filter((group) => group.choices.length > 0);
  const [from, to] = ends;
  const ready = from !== NONE && to !== NONE && from !== to;
  const join = (): void => {
    const id = freeKey('segment', stored.harness.segments);
    const [a, b] = [endOf(from), endOf(to)];
    const name = `${nameOfEnd(build, a)} to ${nameOfEnd(build, b).toLowerCase()}`.slice(0, 80);
    const orders = Object.values(stored.harness.segments).map(({ order }) => order);
    const value = {
      order: Math.max(0, ...orders) + 1000,
      name,
      ...plainSegment,
      from: a,
      to: b,
    };
    if (edit({ name: 'set', path: ['harness', 'segments', id], value }).ok) {
      setEnds([NONE, NONE]);
      select({ kind: 'segment', id });
    }
  };
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="w-[190px]">
        <Select name="From" value={from} choices={choices} onChoose={(v) => setEnds([v, to])} />
      </span>
      <span className="w-[190px]">
        <Select name="To" value={to} choices={choices} onChoose={(v) => setEnds([from, v])} />
      </span>
      <button type="button" className="act" disabled={!ready} onClick={join}>
        Join them
      </button>
    </div>
  );
}
