import { KEPT_HEADER } from '../api/kept-header';
import { isKept, marked } from './kept';

describe('what is kept for when the server is away', () => {
  const id = '3f0c2a1e-7a3b-4b61-9c1d-2f6f5f2a9b10';
  test.each([
    '/api/settings',
    '/api/cookers',
    '/api/braises',
    `/api/braises/${id}`,
    '/api/cooks/running',
    `/api/cooks/${id}`,
    `/api/log/${id}`,
    '/api/log?limit=50&sort=newest',
    '/api/log?limit=3',
  ])('%s is', (address) => expect(isKept(address)).toBe(true));

  // A stream that is answered from what was read would never tell anything new; a file may be as large as the kitchen.
  test.each([
    '/api/cooks/stream',
    '/api/backup',
    '/api/log/file.csv',
    '/api/log?limit=50&text=shin',
    `/api/log/${id}/photo`,
    `/api/rehearsals/${id}/stream`,
    '/api/clock',
    '/api/lan',
    '/settings',
    '/api/settings?x=1',
  ])('%s is not', (address) => expect(isKept(address)).toBe(false));

  test('it is handed on as it was, and says since when', async () => {
    const kept = new Response('{"a":1}', { status: 200, headers: { date: 'Sun, 17 Jan 2027 15:00:00 GMT' } });
    const handed = marked(kept);
    expect(handed?.headers.get(KEPT_HEADER)).toBe('Sun, 17 Jan 2027 15:00:00 GMT');
    expect(await handed?.json()).toEqual({ a: 1 });
    expect(marked(undefined)).toBeNull();
  });
});
