import { editIssues } from '@brookrain/contract';
import {
  BadInput,
  type BuildCommand,
  type BuildDocument,
  type Evaluation,
  type Evaluator,
  applyCommand,
  createEvaluator,
  readBuild,
  rules,
  sampleCatalogue,
  toldEvaluation,
} from '@brookrain/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { type ReactNode, useMemo, useState } from 'react';
import { MemoryRouter } from 'react-router';
import { BuildContext, type EditOutcome, type OpenBuild } from '../build/BuildContext.ts';
import { noLadder, shownFigures } from '../build/shownEvaluation.ts';
import { beforeAsked } from './inlineWorker.ts';
import './patience.ts';
import { evaluationWork } from '../evaluation/evaluationWork.ts';

const evaluators = new Map<string, Evaluator>();
/** What a build comes to, after the last one of its name. */
function evaluated(document: BuildDocument): Evaluation {
  const evaluator = evaluators.get(document.name) ?? createEvaluator();
  evaluators.set(document.name, evaluator);
  return evaluator.evaluate(document, sampleCatalogue);
}
const nothing = (): void => undefined;

/** What was done to a build in a test. */
export interface Edited {
  readonly commands: BuildCommand[];
  document: BuildDocument;
}

/** A build open in memory: edits are checked as the page checks them, and evaluated at once. */
function InBuild({
  edited,
  more,
  children,
}: {
  edited: Edited;
  more: Partial<OpenBuild>;
  children: ReactNode;
}) {
  const [document, setDocument] = useState(edited.document);
  const evaluation = useMemo(() => {
    // What the hooks ask of the worker is about the build that it evaluated last.
    beforeAsked(() => {
      evaluationWork.setCatalogue(sampleCatalogue);
      evaluationWork.evaluate('test', document);
    });
    return toldEvaluation(evaluated(document));
  }, [document]);
  const edit = (command: BuildCommand): EditOutcome => {
    try {
      const applied = applyCommand(document, command);
      const issues = editIssues(applied.document, applied.patch, sampleCatalogue);
      if (issues.length > 0) return { ok: false, issues };
      edited.commands.push(command);
      edited.document = applied.document;
      setDocument(applied.document);
      return { ok: true };
    } catch (error) {
      if (!(error instanceof BadInput)) throw error;
      return { ok: false, issues: [{ path: error.where, message: error.message }] };
    }
  };
  return (
    <BuildContext
      value={{
        id: 'test',
        revision: 1,
        generation: 'test',
        document: readBuild(document),
        stored: document,
        catalogue: sampleCatalogue,
        evaluation,
        ladder: noLadder(document),
        results: shownFigures(evaluation),
        sources: Object.fromEntries(rules.map((rule) => [rule.id, rule.source])),
        settling: false,
        ripple: [],
        undo: null,
        redo: null,
        waiting: 0,
        unreachable: false,
        edit,
        step: nothing,
        goBack: nothing,
        adopt: nothing,
        sendNow: nothing,
        conflict: undefined,
        reapply: nothing,
        dropConflict: nothing,
        dismissRipple: nothing,
        ...more,
      }}
    >
      {children}
    </BuildContext>
  );
}

/**
 * Renders something that stands in an open build; gives what is done to it. What else is known of
 * the build, others' edits for instance, is `more`.
 */
export function renderInBuild(
  document: BuildDocument,
  children: ReactNode,
  address = '/',
  more: Partial<OpenBuild> = {},
): Edited {
  const edited: Edited = { commands: [], document };
  render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <MemoryRouter initialEntries={[address]}>
        <InBuild edited={edited} more={more}>
          {children}
        </InBuild>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return edited;
}
