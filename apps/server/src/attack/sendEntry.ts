/** An entry of the record with a number of its own, sent to a build. */
export const sendEntry = (buildUrl: string, n: number): Promise<Response> =>
  fetch(`${buildUrl}/record`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      entries: [
        {
          id: `entry-${String(n).padStart(8, '0')}`,
          kind: 'cut',
          subject: `wire-${n}`,
          said: { length: 1 },
          revision: 1,
          time: new Date(0).toISOString(),
        },
      ],
    }),
  });
