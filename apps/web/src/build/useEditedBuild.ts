import type { BuildReply, ConflictReply, LiveEvent } from '@brookrain/contract';
import { editIssues } from '@brookrain/contract';
import {
  BadInput,
  type BuildCommand,
  type BuildDocument,
  type Catalogue,
  NotFound,
  applyCommand,
  shareUnchanged,
  withEndsAlong,
} from '@brookrain/core';
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { api } from '../api/client.ts';
import { useConnected, useLiveEvents } from '../live/liveConnection.ts';
import { authorName } from '../ui/preferences.ts';
import type { EditOutcome } from './BuildContext.ts';
import {
  EditQueue,
  type KeptQueue,
  type QueuedEdit,
  type RevisionOf,
  isNewer,
} from './editQueue.ts';
import { keepQueue, newId } from './keptQueue.ts';

/** What the server has, with the edits that are still on their way made on top. */
function withPending(document: BuildDocument, edits: readonly QueuedEdit[]): BuildDocument {
  return edits.reduce((doc, { action }) => {
    if (action.type !== 'command') return doc;
    try {
      return applyCommand(doc, action.command).document;
    } catch {
      // It no longer fits what others made of the build; the server says so when it gets there.
      return doc;
    }
  }, document);
}

const send = (id: string, edit: QueuedEdit, from: RevisionOf): Promise<BuildReply> => {
  const { revision: baseRevision, generation } = from;
  const head = { baseRevision, generation, editId: edit.editId, author: authorName() };
  const { action } = edit;
  switch (action.type) {
    case 'command':
      return api.edit(id, head, action.command);
    case 'go-back':
      return api.goBack(id, head, action.revision);
    case 'undo':
    case 'redo':
      return api.step(id, head, action.type);
  }
};

/** A build as this device sees it: its edits at once, those of others as they happen. */
export function useEditedBuild(
  served: BuildReply,
  catalogue: Catalogue,
  left: KeptQueue | undefined,
) {
  const queries = useQueryClient();
  const { id } = served;
  const server = useRef(served);
  const [shown, setShown] = useState(() => ({
    reply: served,
    document: withPending(served.document, left?.edits ?? []),
  }));
  const latest = useRef(shown.document);
  const [waiting, setWaiting] = useState({ count: left?.edits.length ?? 0, unreachable: false });
  const [conflict, setConflict] = useState<{ reply: ConflictReply; edit: QueuedEdit }>();
  const queueRef = useRef<EditQueue | undefined>(undefined);
  const wake = useRef<(() => void) | undefined>(undefined);

  const show = useCallback(
    (reply: BuildReply) => {
      server.current = reply;
      // What did not change stays the same object, so that nothing is worked out again for it.
      latest.current = shareUnchanged(
        latest.current,
        withPending(reply.document, queueRef.current?.pending ?? []),
      );
      setShown({ reply, document: latest.current });
      queries.setQueryData(['build', id], reply);
      void queries.invalidateQueries({ queryKey: ['builds'] });
      void queries.invalidateQueries({ queryKey: ['revisions', id] });
    },
    [id, queries],
  );

  const refresh = useCallback(
    () =>
      api.build(id).then(
        (reply) => {
          if ((queueRef.current?.pending.length ?? 0) > 0) return;
          queueRef.current?.follow(reply);
          if (isNewer(reply, server.current)) show(reply);
        },
        () => undefined,
      ),
    [id, show],
  );

  const queue = useMemo(() => {
    const made = new EditQueue(
      {
        send: (edit, from) => send(id, edit, from),
        keep: (kept) => keepQueue(id, kept),
        later: (milliseconds, again) => {
          wake.current = again;
          window.setTimeout(again, milliseconds);
        },
      },
      {
        answered: (reply) => {
          show(reply);
        },
        conflict: (reply, edit) => {
          // What is asked of the person rests on the newest version: it is shown first.
          const ask = (): void => setConflict({ reply, edit });
          void api.build(id).then((newest) => {
            show(newest);
            ask();
          }, ask);
        },
        refused: (error) => {
          toast.error(error instanceof Error ? error.message : String(error));
          void api.build(id).then(show, () => undefined);
        },
        changed: () => setWaiting({ count: made.pending.length, unreachable: made.waiting }),
      },
      left ?? { baseRevision: served.revision, generation: served.generation, edits: [] },
    );
    return made;
    // One queue for as long as the build is open.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id]);
  queueRef.current = queue;

  useEffect(() => {
    queue.retry();
    const online = (): void => wake.current?.();
    window.addEventListener('online', online);
    return () => window.removeEventListener('online', online);
  }, [queue]);

  const connected = useConnected();
  useEffect(() => {
    if (!connected) return;
    queue.retry();
    void refresh();
  }, [connected, queue, refresh]);

  useLiveEvents(
    useCallback(
      (event: LiveEvent) => {
        if (event.type !== 'build' || event.id !== id) return;
        if (event.revision <= server.current.revision || queue.pending.length > 0) return;
        toast(`${event.author}: ${event.words}`);
        void refresh();
      },
      [id, queue, refresh],
    ),
  );

  const edit = useCallback(
    (asked: BuildCommand): EditOutcome => {
      let applied;
      const command = withEndsAlong(latest.current, asked, catalogue);
      try {
        applied = applyCommand(latest.current, command);
      } catch (error) {
        if (error instanceof BadInput || error instanceof NotFound) {
          return { ok: false, issues: [{ path: error.where, message: error.message }] };
        }
        throw error;
      }
      const { document: next, patch } = applied;
      if (next === latest.current) return { ok: true };
      const issues = editIssues(next, patch, catalogue);
      if (issues.length > 0) return { ok: false, issues };
      // Shown at once; the server's answer replaces it.
      latest.current = next;
      setShown((now) => ({ ...now, document: next }));
      queue.add({ editId: newId(), action: { type: 'command', command } });
      return { ok: true };
    },
    [catalogue, queue],
  );

  return {
    reply: shown.reply,
    document: shown.document,
    waiting,
    conflict: conflict?.reply,
    edit,
    step: (direction: 'undo' | 'redo') =>
      queue.add({ editId: newId(), action: { type: direction } }),
    goBack: (revision: number) =>
      queue.add({ editId: newId(), action: { type: 'go-back', revision } }),
    adopt: (reply: BuildReply) => {
      queue.follow(reply);
      show(reply);
    },
    sendNow: () => queue.retry(),
    settle: (again: boolean) => {
      const edited = conflict?.edit;
      setConflict(undefined);
      queue.settle(again && edited ? { ...edited, editId: newId() } : undefined);
      // What was held back, and what is made again, shows at once.
      latest.current = shareUnchanged(
        latest.current,
        withPending(server.current.document, queue.pending),
      );
      setShown({ reply: server.current, document: latest.current });
    },
  };
}
