import type { BuildReply } from '@brookrain/contract';
import { readBuild } from '@brookrain/core';
import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { expectBuild, useEvaluation } from '../evaluation/useEvaluation.ts';
import { buildQuery, catalogueQuery } from './buildQueries.ts';
import { BuildContext, type OpenBuild, useBuild } from './BuildContext.ts';
import { noLadder, shownFigures } from './shownEvaluation.ts';
import type { KeptQueue } from './editQueue.ts';
import { takeKeptQueue } from './keptQueue.ts';
import { tellOpenBuild } from './openBuildStore.ts';
import { useEditedBuild } from './useEditedBuild.ts';

/** Loads a build and the catalogue, then opens it for its children. */
export function BuildProvider({ id, children }: { id: string; children: ReactNode }) {
  const build = useQuery(buildQuery(id));
  const catalogue = useQuery(catalogueQuery);
  const [left, setLeft] = useState<{ queue: KeptQueue | undefined }>();
  useEffect(() => expectBuild(id), [id]);
  useEffect(() => {
    let current = true;
    void takeKeptQueue(id)
      .catch(() => undefined)
      .then((queue) => current && setLeft({ queue }));
    return () => {
      current = false;
    };
  }, [id]);
  const error = build.error ?? catalogue.error;
  if (error && (!build.data || !catalogue.data)) {
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
  if (!build.data || !catalogue.data || !left) return <Loading />;
  return (
    <Opened served={build.data} catalogue={catalogue.data} left={left.queue}>
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

/** Says outside of the frame what is open. */
function Tell() {
  const { id, evaluation, undo, redo, step } = useBuild();
  useEffect(() => tellOpenBuild({ id, evaluation, undo, redo, step }));
  useEffect(() => () => tellOpenBuild(undefined), []);
  return null;
}

function Opened({
  served,
  catalogue,
  left,
  children,
}: {
  served: BuildReply;
  catalogue: OpenBuild['catalogue'];
  left: KeptQueue | undefined;
  children: ReactNode;
}) {
  const edited = useEditedBuild(served, catalogue, left);
  const { reply, document, waiting } = edited;
  const [rippleHidden, setRippleHidden] = useState(true);
  const { evaluated, failed } = useEvaluation(reply.id, document, catalogue);
  const evaluation = evaluated?.evaluation;
  const results = useMemo(() => shownFigures(evaluation), [evaluation]);
  if (failed) {
    return (
      <main className="p-8">
        <h1>This build cannot be evaluated</h1>
        <p className="mt-2">{failed}</p>
      </main>
    );
  }
  if (!evaluated || !evaluation) return <Loading />;

  const open: OpenBuild = {
    id: reply.id,
    revision: reply.revision,
    generation: reply.generation,
    document: readBuild(document),
    stored: document,
    catalogue,
    evaluation,
    ladder: evaluated.ladder ?? noLadder(document),
    results,
    sources: evaluated.sources,
    settling: evaluated.document !== document,
    ripple: rippleHidden ? [] : evaluated.ripple,
    undo: reply.undo,
    redo: reply.redo,
    waiting: waiting.count,
    unreachable: waiting.unreachable,
    edit: (command) => {
      const outcome = edited.edit(command);
      if (outcome.ok) setRippleHidden(false);
      return outcome;
    },
    step: (direction) => {
      setRippleHidden(false);
      edited.step(direction);
    },
    goBack: (revision) => {
      setRippleHidden(false);
      edited.goBack(revision);
    },
    adopt: edited.adopt,
    sendNow: edited.sendNow,
    conflict: edited.conflict,
    reapply: () => edited.settle(true),
    dropConflict: () => edited.settle(false),
    dismissRipple: () => setRippleHidden(true),
  };
  return (
    <BuildContext value={open}>
      <Tell />
      {children}
    </BuildContext>
  );
}
