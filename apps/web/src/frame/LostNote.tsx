import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api } from '../api/client.ts';
import { shownTime } from '../ui/shownTime.ts';

/** Edits that are missing from the data: how many, until when, where to look; until it was read. */
export function LostNote() {
  const queries = useQueryClient();
  const { data } = useQuery({ queryKey: ['snapshots'], queryFn: api.snapshots });
  const understood = useMutation({
    mutationFn: api.understoodLost,
    onSuccess: (reply) => queries.setQueryData(['snapshots'], reply),
  });
  if (!data?.lost) return null;
  const { edits, until, kept } = data.lost;
  return (
    <div role="alert" className="mb-4 border-l-[3px] border-signal bg-panel p-3">
      <p className="font-medium text-signal">
        {edits === 1 ? 'One edit is missing' : `${edits} edits are missing`}
      </p>
      <p className="mt-1">
        The log of the data was damaged. The last edit that is known of was made {shownTime(until)};
        look through the newest revisions of your builds. The data as they were found are kept in{' '}
        <span className="break-all">{kept}</span>. If a snapshot has more, put it back: stop the
        program, then <code className="break-all">{data.restoreCommand}</code>
      </p>
      <button type="button" className="act mt-2" onClick={() => understood.mutate()}>
        I have read this
      </button>
    </div>
  );
}
