import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  documentedFigures,
  lantern,
  sampleCatalogue,
  toBuildFile,
  withValueAt,
} from '@brookrain/core';
import { afterAll, beforeAll, describe, expect, test, vi } from 'vitest';
import { runEvaluate } from './evaluate.ts';

const root = fileURLToPath(new URL('../../../..', import.meta.url));
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'brookrain-cli-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const evaluateFile = (path: string) =>
  spawnSync(process.execPath, ['scripts/evaluate.mjs', path], {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 64e6,
  });
/** The same in this process: what it prints, and how it ends. */
function evaluateHere(path: string) {
  const said = { stdout: '', stderr: '' };
  const spies = (['stdout', 'stderr'] as const).map((stream) =>
    vi.spyOn(process[stream], 'write').mockImplementation((text) => {
      said[stream] += String(text);
      return true;
    }),
  );
  try {
    return { status: runEvaluate(path), ...said };
  } finally {
    for (const spy of spies) spy.mockRestore();
  }
}
const write = (name: string, value: unknown): string => {
  const path = join(folder, name);
  writeFileSync(path, typeof value === 'string' ? value : JSON.stringify(value));
  return path;
};

describe('evaluate on the command line', () => {
  test('prints findings with their place in one word and their cures; exit 1 when one is a stop', () => {
    const starved = withValueAt(lantern, 'injectorRows.primary.item', { id: 'I360', revision: 1 });
    const result = evaluateFile(write('starved.json', toBuildFile(starved, sampleCatalogue)));
    expect(result.status).toBe(1);
    const { evaluation } = JSON.parse(result.stdout) as {
      evaluation: { findings: { id: string; where: string; cures: { text: string }[] }[] };
    };
    const duty = evaluation.findings.find((f) => f.id === 'injector.duty:primary')!;
    expect(duty.where).toBe('injectors:primary');
    expect(duty.cures[0]!.text).toMatch(/^Fit /);
    for (const finding of evaluation.findings) {
      expect(finding.where).toMatch(/^\w+(:[\w/~.-]+)?$/);
      expect(finding.cures.length).toBeGreaterThan(0);
    }
  });

  test('exit 0 when there is no stop', () => {
    expect(evaluateHere(join(root, 'examples/sandpiper.build.json')).status).toBe(0);
  });

  test('prints every documented figure in SI and nothing else', () => {
    const result = evaluateHere(join(root, 'examples/lantern.build.json'));
    const { figures } = JSON.parse(result.stdout) as {
      figures: Record<string, { value: unknown; unit: string }>;
    };
    for (const { key, onlyWith } of documentedFigures) {
      if (!onlyWith) expect(figures[key], key).toBeDefined();
    }
    expect(figures['demand.design.massFlow']!.unit).toBe('kg/s');
    expect(figures['ladder.first.check']!.value).toBe('injector-duty');
  });

  test.each([
    ['broken.json', '{"format": ', 'not valid JSON'],
    ['other.json', '{"format":"x"}', 'format'],
    [
      'wrong.json',
      JSON.stringify({ ...toBuildFile(lantern, sampleCatalogue), version: 99 }),
      'version',
    ],
  ])('%s: exit 2, reason and place on standard error, nothing printed', (name, text, reason) => {
    const result = evaluateHere(write(name, text));
    expect(result.status).toBe(2);
    expect(result.stderr).toContain(reason);
    expect(result.stdout).toBe('');
  });

  test('a file that is not there: exit 2', () => {
    const result = evaluateFile(join(folder, 'none.json'));
    expect(result.status).toBe(2);
    expect(result.stderr).toContain('none.json');
  });
});
