import { type BuildReply, type ConflictReply, documentIssues } from '@brookrain/contract';
import { BadInput, type BuildCommand, NotFound, applyCommand } from '@brookrain/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useCallback, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { ApiError, api } from '../api/client.ts';
import { useEvaluation } from '../evaluation/useEvaluation.ts';
import { BuildContext, type EditOutcome, type OpenBuild } from './BuildContext.ts';

/** Loads a build and the catalogue, then opens it for its children. */
export function BuildProvider({ id, children }: { id: string; children: ReactNode }) {
  const build = useQuery({ queryKey: ['build', id], queryFn: () => api.build(id) });
  const catalogue = useQuery({ queryKey: ['catalogue'], queryFn: api.catalogue });
  const error = build.error ?? catalogue.error;
  if (error) {
    return (
      <main className="p-8">
        <h1>This build cannot be opened</h1>
        <p className="mt-2">{error.message}</p>
        <a className="mt-4 inline-block underline" href="/">
          Back to the builds
        </a>
      </main>
    );
  }
  if (!build.data || !catalogue.data) return <Loading />;
  return (
    <Opened reply={build.data} catalogue={catalogue.data}>
      {children}
    </Opened>
  );
}

function Loading() {
  return (
    <main className="p-8" aria-busy="true">
      <h1>Opening the build</h1>
    </main>
  );
}

function Opened({
  reply,
  catalogue,
  children,
}: {
  reply: BuildReply;
  catalogue: OpenBuild['catalogue'];
  children: ReactNode;
}) {
  const queries = useQueryClient();
  const { id } = reply;
  const latest = useRef(reply);
  latest.current = reply;
  const pending = useRef(0);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const [conflict, setConflict] = useState<ConflictReply>();
  const [rippleHidden, setRippleHidden] = useState(true);
  const { evaluated, failed } = useEvaluation(id, reply.document, catalogue);

  const adopt = useCallback(
    (next: BuildReply) => {
      latest.current = next;
      queries.setQueryData(['build', id], next);
      void queries.invalidateQueries({ queryKey: ['builds'] });
    },
    [id, queries],
  );

  const refused = useCallback(
    (error: unknown) => {
      if (error instanceof ApiError && error.conflict) {
        adopt(error.conflict.current);
        setConflict(error.conflict);
        return;
      }
      toast.error(error instanceof Error ? error.message : String(error));
      void api.build(id).then(adopt, () => undefined);
    },
    [adopt, id],
  );

  /** Sends one after another, each from the revision the one before it made. */
  const send = useCallback(
    (work: (revision: number) => Promise<BuildReply>) => {
      pending.current += 1;
      queue.current = queue.current
        .then(() => work(latest.current.revision))
        .then(
          (answer) => {
            pending.current -= 1;
            // Later edits are already on the screen: take over all but the document.
            const { document } = pending.current > 0 ? latest.current : answer;
            adopt({ ...answer, document });
          },
          (error: unknown) => {
            pending.current -= 1;
            refused(error);
          },
        );
    },
    [adopt, refused],
  );

  const edit = useCallback(
    (command: BuildCommand): EditOutcome => {
      let next: OpenBuild['document'];
      try {
        next = applyCommand(latest.current.document, command).document;
      } catch (error) {
        if (error instanceof BadInput || error instanceof NotFound) {
          return { ok: false, issues: [{ path: error.where, message: error.message }] };
        }
        throw error;
      }
      if (next === latest.current.document) return { ok: true };
      const issues = documentIssues(next, catalogue);
      if (issues.length > 0) return { ok: false, issues };
      // Shown at once; the server's answer replaces it.
      adopt({ ...latest.current, document: next });
      setRippleHidden(false);
      send((revision) => api.edit(id, revision, command));
      return { ok: true };
    },
    [adopt, catalogue, id, send],
  );

  const step = useCallback(
    (direction: 'undo' | 'redo') => {
      setRippleHidden(false);
      send((revision) => api.step(id, revision, direction));
    },
    [id, send],
  );

  const evaluation = evaluated?.evaluation;
  const results = useMemo(() => new Map(evaluation?.results.map((r) => [r.key, r])), [evaluation]);
  if (failed) {
    return (
      <main className="p-8">
        <h1>This build cannot be evaluated</h1>
        <p className="mt-2">{failed}</p>
      </main>
    );
  }
  if (!evaluated) return <Loading />;
  const open: OpenBuild = {
    id,
    revision: reply.revision,
    document: reply.document,
    catalogue,
    evaluation: evaluated.evaluation,
    ladder: evaluated.ladder,
    results,
    settling: evaluated.document !== reply.document,
    ripple: rippleHidden ? [] : evaluated.ripple,
    undo: reply.undo,
    redo: reply.redo,
    edit,
    step,
    adopt,
    conflict,
    reapply: () => {
      const command = conflict?.command;
      setConflict(undefined);
      if (!command) return;
      const outcome = edit(command);
      if (!outcome.ok) toast.error(outcome.issues[0]?.message ?? 'The edit no longer fits.');
    },
    dropConflict: () => setConflict(undefined),
    dismissRipple: () => setRippleHidden(true),
  };
  return <BuildContext value={open}>{children}</BuildContext>;
}
