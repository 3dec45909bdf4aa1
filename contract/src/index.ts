/** What others may use of the contract. Nobody reaches past this file. */
export * from './fault';
export {
  completeCooker,
  cookerSchema,
  kitchenSchema,
  parsePlan,
  planSchema,
  readPlan,
  text,
  wallClock,
  type PlanInput,
} from './plan';
export * from './kitchen';
export * from './backup';
export * from './braise-record';
export * from './headless';
export * from './cook';
export * from './json-schema';
export * from './rehearsal';
export * from './log';
export * from './recipe';
export * from './kept';
export * from './pages';
export * from './api';
