import { ESLint } from 'eslint';
import { describe, expect, test } from 'vitest';
import { programFolder } from './serverFolder.ts';

const { phraseIn } = (await import(`${programFolder}/scripts/lint/plainEnglish.mjs`)) as {
  readonly phraseIn: (text: string) => { readonly phrase: string } | undefined;
};

describe('phrases that read as translated', () => {
  test.each([
    ['Lead it another way, or shield the pipe', 'Lead it another way'],
    ['wires are led through the harness', 'led through'],
    ['A 5 V sensor hangs on 12 V', 'hangs on'],
    ['Nothing stands against it', 'stands against'],
    ['told with the circuit', 'told with'],
    ['The hose is made anew', 'anew'],
    ['Bring it in', 'Bring it in'],
    ['Put away: 3', 'Put away'],
    ['Put a filter in behind the pump', 'in behind'],
    ['One box to fail', 'box to fail'],
  ])('%s', (text, phrase) => {
    expect(phraseIn(text)?.phrase).toBe(phrase);
  });

  test.each([
    'Pass-through hole with a grommet',
    'Plug the empty cavities',
    'Black lead on the battery',
    'Jack stands on solid ground',
    'A test lead through the grommet',
    'Hang the loom up to dry',
    'Take the measured length',
  ])('leaves alone: %s', (text) => {
    expect(phraseIn(text)).toBeUndefined();
  });

  test('are found in strings, templates and text of pages, and not in tests', async () => {
    const lint = new ESLint({ cwd: programFolder });
    const found = async (code: string, filePath: string): Promise<string[]> => {
      const [result] = await lint.lintText(code, { filePath });
      return result!.messages
        .filter(({ ruleId }) => ruleId === 'brookrain/plain-english')
        .map(({ line }) => String(line));
    };
    const code = [
      "export const a = 'Lead it anew';",
      'export const b = (n: string) => `${n} hangs on it`;',
      'export const C = () => <p>Nothing stands against it.</p>;',
    ].join('\n');
    expect(await found(code, 'apps/web/src/screens/Made.tsx')).toEqual(['1', '2', '3']);
    expect(await found(code, 'apps/web/src/screens/made.test.tsx')).toEqual([]);
  });
});
