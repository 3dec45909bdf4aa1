import { Injectable } from '@nestjs/common';

/** The one clock of the server: injected, so that tests can set it. */
@Injectable()
export class Clock {
  /** Now, as an ISO 8601 time in UTC. */
  now(): string {
    return new Date().toISOString();
  }
}
