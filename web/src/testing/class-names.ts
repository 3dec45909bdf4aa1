/** In the place of a sheet with names of its own: each name stands for itself. */
export default new Proxy({} as Readonly<Record<string, string>>, { get: (_, name) => String(name) });
