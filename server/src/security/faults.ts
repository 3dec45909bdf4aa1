import { speaking } from '../language/speech';
import type { Fault, Read } from '@hervir/contract';
import { UniqueConstraintViolationException } from '@mikro-orm/core';
import {
  BadRequestException,
  Catch,
  ConflictException,
  HttpException,
  NotFoundException,
  type ArgumentsHost,
  type ExceptionFilter,
} from '@nestjs/common';
import type { Response } from 'express';
import { PinoLogger } from 'nestjs-pino';
import { FolderGone } from '../database/data-folder';
import { isBusy } from '../database/handle';
import { UnkeepableRow } from '../database/kept-rows';
import { say, type Text } from '@hervir/language';

/** What a reader found, or a 400 with every fault. */
export function orBadRequest<T>(read: Read<T>): T {
  if (read.ok) return read.value;
  throw new BadRequestException({ faults: read.faults });
}

/** A request that is refused as a whole: the status says how, the words what would do. */
export function refused(status: number, problem: Text, allowed: Text): HttpException {
  return new HttpException({ faults: [{ path: '', problem, allowed }] }, status);
}

export function notFound(what: string, id: string): NotFoundException {
  return new NotFoundException({
    faults: [
      {
        path: 'id',
        problem: say('faults.no', { what, id: id.slice(0, 40) }),
        allowed: say('faults.an-id-of-a', { what }),
      },
    ],
  });
}

/** Somebody else saved in between: the answer carries what is there now. */
export function conflict(revision: number, current: unknown): ConflictException {
  return new ConflictException({
    faults: [{ path: 'revision', problem: say('faults.was-saved-elsewhere-in-between'), allowed: String(revision) }],
    current,
  });
}

interface BodyParserError {
  readonly type?: string;
  readonly status?: number;
  readonly limit?: number;
}

/** Errors of the body parser say what was wrong with the request, not with us. */
function bodyFault(error: BodyParserError): { status: number; fault: Fault } | undefined {
  switch (error.type) {
    case 'entity.too.large':
      return {
        status: 413,
        fault: {
          path: '',
          problem: say('faults.the-request-is-too-large'),
          allowed: say('faults.up-to-kb', { limit: Math.round((error.limit ?? 0) / 1000) }),
        },
      };
    case 'entity.parse.failed':
      return {
        status: 400,
        fault: { path: '', problem: say('faults.is-not-json'), allowed: say('faults.a-json-document') },
      };
    case 'encoding.unsupported':
    case 'charset.unsupported':
      return { status: 415, fault: { path: '', problem: say('faults.is-in-an-unknown-encoding'), allowed: 'UTF-8' } };
    default:
      return typeof error.status === 'number' && error.status >= 400 && error.status < 500
        ? {
            status: error.status,
            fault: { path: '', problem: say('faults.cannot-be-read'), allowed: say('faults.a-json-document') },
          }
        : undefined;
  }
}

interface DiskError {
  readonly code?: string;
  readonly message?: string;
}

/**
 * Errors of the disk, or of the database on it: not the request's fault, and no reason to throw it away. The client keeps
 * what it wanted to send, and sends it again.
 */
export function diskFault(error: unknown): { status: number; fault: Fault } | undefined {
  if (error instanceof FolderGone) {
    return {
      status: 503,
      fault: {
        path: '',
        problem: say('faults.the-data-folder-of-hervirs'),
        allowed: say('faults.the-folder-put-back-and'),
      },
    };
  }
  const { code = '', message = '' } = error as DiskError;
  const says = (pattern: RegExp): boolean => pattern.test(code) || pattern.test(message);
  if (says(/SQLITE_FULL|ENOSPC|EDQUOT|disk is full/)) {
    return {
      status: 507,
      fault: {
        path: '',
        problem: say('faults.the-disk-of-hervirs-machine'),
        allowed: say('faults.some-free-space-then-again'),
      },
    };
  }
  if (says(/SQLITE_READONLY|SQLITE_IOERR|SQLITE_CANTOPEN|EROFS|EACCES|EPERM|readonly database|disk I\/O error/)) {
    return {
      status: 507,
      fault: {
        path: '',
        problem: say('faults.the-data-folder-of-hervirs-machine'),
        allowed: say('faults.a-folder-that-can-be'),
      },
    };
  }
  if (isBusy(error)) {
    return {
      status: 503,
      fault: {
        path: '',
        problem: say('faults.the-database-is-busy-nothing'),
        allowed: say('faults.again-in-a-moment'),
      },
    };
  }
  return undefined;
}

/** Every error leaves as `{ faults: [...] }`: path, what is wrong, what is allowed. */
@Catch()
export class FaultFilter implements ExceptionFilter {
  constructor(private readonly log: PinoLogger) {}

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    if (error instanceof HttpException) {
      const body = error.getResponse();
      const known = typeof body === 'object' && 'faults' in body;
      // The framework turns a body that does not parse into a bare 400.
      const problem =
        error.getStatus() === 404
          ? say('faults.there-is-nothing-at-this')
          : error.getStatus() === 400
            ? say('faults.is-not-json')
            : error.message;
      response
        .status(error.getStatus())
        .json(known ? body : { faults: [{ path: '', problem, allowed: say('faults.see-api-openapi-json') }] });
      return;
    }
    if (error instanceof UniqueConstraintViolationException) {
      response.status(409).json({
        faults: [{ path: 'id', problem: say('faults.is-taken-by-something-else'), allowed: say('faults.a-new-uuid') }],
      });
      return;
    }
    if (error instanceof UnkeepableRow) {
      this.log.error({ err: error }, 'something was not kept that could not be read back');
      response.status(422).json({ faults: error.faults });
      return;
    }
    const disk = diskFault(error);
    if (disk) this.log.error({ err: error }, speaking('en-GB').text(disk.fault.problem));
    const fault = disk ?? bodyFault(error as BodyParserError);
    if (fault) {
      response.status(fault.status).json({ faults: [fault.fault] });
      return;
    }
    this.log.error({ err: error }, 'request failed');
    response.status(500).json({
      faults: [{ path: '', problem: say('faults.something-failed-on-our-side'), allowed: say('faults.try-again') }],
    });
  }
}
