import { QueryClient } from '@tanstack/react-query';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { refused, served } from '../tests/served.ts';
import { buildQuery, catalogueQuery, fetchAhead } from './buildQueries.ts';

afterEach(() => void vi.unstubAllGlobals());

const lantern = { id: 'lantern', revision: 3 };
const catalogue = { items: [] };
const answers = { 'GET /builds/lantern': lantern, 'GET /catalogue': catalogue };
const client = () => new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });

describe('what is fetched before its page is there', () => {
  test.each(['/builds/lantern/brief', '/builds/lantern', '/builds/lantern/map?of=feed'])(
    'of %s the build and the catalogue, once each',
    async (path) => {
      const asked = served(answers);
      const queries = client();
      fetchAhead(queries, path.split('?')[0]!);
      // The page asks for the same, and gets what is on its way.
      expect(await queries.fetchQuery(buildQuery('lantern'))).toEqual(lantern);
      expect(await queries.fetchQuery(catalogueQuery)).toEqual(catalogue);
      expect(asked.map((each) => each.path).sort()).toEqual(['/builds/lantern', '/catalogue']);
    },
  );

  test.each(['/', '/catalogue/pump', '/settings', '/new', '/builds'])(
    'of %s nothing: there is no build in it',
    (path) => {
      const asked = served(answers);
      fetchAhead(client(), path);
      expect(asked).toEqual([]);
    },
  );

  test('a name with a sign in it is the build of that name', async () => {
    const asked = served({ ...answers, 'GET /builds/my%20car': { id: 'my car' } });
    const queries = client();
    fetchAhead(queries, '/builds/my%20car/brief');
    expect(await queries.fetchQuery(buildQuery('my car'))).toEqual({ id: 'my car' });
    expect(asked.filter(({ path }) => path.startsWith('/builds'))).toHaveLength(1);
  });

  test('what cannot be fetched yet is asked for again by the page, which tells why', async () => {
    served({ 'GET /builds/lantern': refused(500, 'The disk does not answer') });
    const queries = client();
    fetchAhead(queries, '/builds/lantern/brief');
    await expect(queries.fetchQuery({ ...buildQuery('lantern'), retry: false })).rejects.toThrow(
      'The disk does not answer',
    );
  });
});
