import type { QueryClient } from '@tanstack/react-query';
import { api } from '../api/client.ts';

/** A build as the server has it. */
export const buildQuery = (id: string) => ({
  queryKey: ['build', id],
  queryFn: () => api.build(id),
});

/** Every part there is. */
export const catalogueQuery = { queryKey: ['catalogue'], queryFn: api.catalogue };

/** Begins to fetch the build that an address is about, and the catalogue, before its page is there. */
export function fetchAhead(queries: QueryClient, path: string): void {
  const id = /^\/builds\/([^/]+)/.exec(path)?.[1];
  if (id === undefined) return;
  void queries.prefetchQuery(buildQuery(decodeURIComponent(id)));
  void queries.prefetchQuery(catalogueQuery);
}
