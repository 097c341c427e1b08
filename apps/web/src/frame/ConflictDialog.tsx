import { Dialog } from 'radix-ui';
import { editInWords, fieldInWords, pathText, placeInWords } from '@brookrain/core';
import { useBuild } from '../build/BuildContext.ts';
import { useUnits } from '../ui/preferences.ts';

const MOST_CHANGES = 8;

/** Shown when someone else changed the build first: both versions, and re-apply. */
export function ConflictDialog() {
  const { conflict, stored: build, reapply, dropConflict } = useBuild();
  const [{ numbers }] = useUnits();
  // Nothing that others did lies between: the revisions themselves are others.
  const isRestored = conflict !== undefined && conflict.since.length === 0;
  return (
    <Dialog.Root open={conflict !== undefined} onOpenChange={(open) => !open && dropConflict()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className="fixed left-1/2 top-1/2 z-50 w-[460px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 border border-ink bg-paper p-4">
          <Dialog.Title className="text-[17px] font-medium">
            {isRestored ? 'The data were restored' : 'Someone else changed this build first'}
          </Dialog.Title>
          <Dialog.Description className="mt-1 text-second">
            {isRestored
              ? 'A snapshot was put back after your edit was made. You now see the build as it is; your edit was not made yet.'
              : 'You now see the newest version. Your edit was not made yet; nothing of theirs is lost.'}
          </Dialog.Description>
          {conflict && (
            <dl className="mt-3 space-y-2">
              {!isRestored && (
                <div>
                  <dt className="text-[13px] text-second">Changed meanwhile</dt>
                  {conflict.untold > 0 && (
                    <dd className="text-second">
                      {conflict.untold} earlier {conflict.untold === 1 ? 'edit' : 'edits'}, and then
                    </dd>
                  )}
                  {conflict.since.map((change, i) => (
                    <dd key={i}>
                      {change.words} <span className="text-second">by {change.author}</span>
                      {change.changes.length > 1 && (
                        <ul className="pl-3 text-[13px] text-second">
                          {change.changes.slice(0, MOST_CHANGES).map(({ path, before, after }) => (
                            <li key={pathText(path)}>
                              {placeInWords(build, path) || pathText(path)}:{' '}
                              {fieldInWords(build, path, before, numbers)} →{' '}
                              {fieldInWords(build, path, after, numbers)}
                            </li>
                          ))}
                        </ul>
                      )}
                    </dd>
                  ))}
                </div>
              )}
              {conflict.command && (
                <div>
                  <dt className="text-[13px] text-second">Your edit</dt>
                  <dd>{editInWords(build, conflict.command)}</dd>
                </div>
              )}
            </dl>
          )}
          <div className="mt-4 flex gap-2">
            {conflict?.command && (
              <button type="button" className="act act-main" onClick={reapply}>
                Re-apply my edit
              </button>
            )}
            <button type="button" className="act" onClick={dropConflict}>
              Leave it as it is now
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
