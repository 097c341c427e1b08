import '../tests/inlineWorker.ts';
import '../tests/radixInJsdom.ts';
import { type BuildCommand, lantern } from '@brookrain/core';
import { act, cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ComponentType } from 'react';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { type EditOutcome, useBuild } from '../build/BuildContext.ts';
import { renderInBuild } from '../tests/renderInBuild.tsx';
import { served } from '../tests/served.ts';

beforeEach(() => void served({}));
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** Pages of an open build that ask the worker for more than everyone is told, by their files. */
const pages = Object.entries(import.meta.glob('./*/*Screen.tsx')).filter(([file]) =>
  /operation|parts|margins|pump|injectors|lines|buying|map|HarnessScreen|wires|pins|panel|schematic|switching/.test(
    file,
  ),
);

const takeElement: BuildCommand = {
  name: 'remove-element',
  circuitId: 'main',
  elementId: 'coarse',
  assemblies: {},
};
const takeDevice: BuildCommand = { name: 'remove', path: ['devices', 'fan-2'] };
const takeSegment: BuildCommand = { name: 'take-segment-out', segmentId: 'coils' };
const takeWay: BuildCommand = { name: 'remove', path: ['routes', 'feed'] };

/** What is taken out under a page: answers about it may still be on their way to it. */
function takenUnder(file: string): BuildCommand {
  if (/harness|places/.test(file)) return takeSegment;
  if (/devices|pins|wires|wiring|supply|switching|schematic|schools|panel/.test(file)) {
    return takeDevice;
  }
  return /map/.test(file) ? takeWay : takeElement;
}

function Editor({
  command,
  told,
}: {
  command: BuildCommand;
  told: (outcome: EditOutcome) => void;
}) {
  const { edit } = useBuild();
  return (
    <button type="button" onClick={() => told(edit(command))}>
      Do it
    </button>
  );
}

describe('when something is taken out under it', () => {
  test.each(pages)('%s stands as before', async (file, load) => {
    const module = (await load()) as Record<string, ComponentType>;
    const [, Page] = Object.entries(module).find(([name]) => name.endsWith('Screen'))!;
    const said = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    let outcome: EditOutcome | undefined;
    renderInBuild(
      lantern,
      <>
        <Editor
          command={takenUnder(file)}
          told={(was) => {
            outcome = was;
          }}
        />
        <Page />
      </>,
    );
    const title = (await screen.findByRole('heading', { level: 1 })).textContent;
    // Whatever the page asks of the worker has been answered once.
    await act(() => new Promise((resolve) => setTimeout(resolve, 0)));
    await userEvent.click(screen.getByRole('button', { name: 'Do it' }));
    expect(outcome).toEqual({ ok: true });
    await waitFor(() => expect(screen.getByRole('heading', { level: 1 }).textContent).toBe(title));
    expect(document.body.textContent).not.toMatch(/NaN|undefined|\[object/);
    const thrown = said.mock.calls.filter(([first]) => /error occurred|Error:/.test(String(first)));
    expect(thrown, file).toEqual([]);
    said.mockRestore();
  });
});
