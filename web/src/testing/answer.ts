/**
 * An answer of the server, as far as the client reads one: jsdom has no Response of its own.
 *
 * @param body what the server says
 * @param status HTTP status
 * @param headers names in lower case
 */
export function answer(body: unknown, status = 200, headers: Readonly<Record<string, string>> = {}): Response {
  return {
    ok: status < 400,
    status,
    headers: { get: (name: string) => headers[name] ?? null },
    json: () => (body === undefined ? Promise.reject(new SyntaxError('not JSON')) : Promise.resolve(body)),
  } as unknown as Response;
}
