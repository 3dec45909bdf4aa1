/** Injection token of the configuration. */
export const CONFIG = Symbol('config');
