/** What a thread is given to do: it does the one job it is asked for, and says when it begins. */
import type { MessagePort } from 'node:worker_threads';
import * as jobs from './jobs';

/** A job for a thread. */
export interface Order {
  readonly name: keyof typeof jobs;
  readonly input: unknown;
  /** Told once the thread is there and begins: until then it was only being started. */
  readonly begun: MessagePort;
}

export default function thread({ name, input, begun }: Order): unknown {
  begun.postMessage(null);
  begun.close();
  return (jobs[name] as (input: unknown) => unknown)(input);
}
