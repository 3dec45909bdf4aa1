/** What others may use of the language. */
export * from './message';
export * from './words';
export * from './quantity';
export * from './fraction';
export * from './letters';
export * from './languages';
export * from './writing';
