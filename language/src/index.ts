/** What others may use of the language. */
export * from './message';
export * from './words';
