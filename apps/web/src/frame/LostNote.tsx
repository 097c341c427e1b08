import { missingInWords } from '@brookrain/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api } from '../api/client.ts';
import { shownTime } from '../ui/shownTime.ts';

/** What is missing from the data: how much, until when, where to look; until it was read. */
export function LostNote() {
  const queries = useQueryClient();
  const { data } = useQuery({ queryKey: ['snapshots'], queryFn: api.snapshots });
  const understood = useMutation({
    mutationFn: api.understoodLost,
    onSuccess: (reply) => queries.setQueryData(['snapshots'], reply),
  });
  if (!data?.lost) return null;
  const { until, kept } = data.lost;
  return (
    <div role="alert" className="mb-4 border-l-[3px] border-signal bg-panel p-3">
      <p className="font-medium text-signal">{missingInWords(data.lost)}</p>
      <p className="mt-1">
        The log of the data was damaged. The last entry that is known of was made {shownTime(until)}
        . Look through the newest revisions and entries of your builds. The data as they were found
        are in <span className="break-all">{kept}</span>. If a snapshot has more, put it back: stop
        the program, then <code className="break-all">{data.restoreCommand}</code>
      </p>
      <button type="button" className="act mt-2" onClick={() => understood.mutate()}>
        I have read this
      </button>
    </div>
  );
}
