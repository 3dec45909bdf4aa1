import { randomUUID } from 'node:crypto';
import type { Readable } from 'node:stream';
import type { ImportReport, LogImport } from '@hervir/contract';
import { BadRequestException, ConflictException, Injectable } from '@nestjs/common';
import { Clock } from '../clock';
import { PassingFiles } from '../files/passing-files';
import { DataFolder } from '../database/data-folder';
import { Writes } from '../database/writes';
import { notFound } from '../security/faults';
import { Workers } from '../workers/workers';
import { LogService } from './log.service';
import { say } from '@hervir/language';

/** The largest file, bytes. */
const MOST_BYTES = 64_000_000;
/** Lines that are reckoned in one go. */
const BATCH = 100;
/** So many goes at once. */
const AT_ONCE = 2;
/** A file that nobody keeps or takes back for so long is forgotten, ms. */
const FORGET_AFTER = 30 * 60_000;
/** Files that may be under way at once. */
const MOST_IMPORTS = 4;

interface Import {
  readonly staging: string;
  readonly abort: AbortController;
  state: LogImport;
}

/**
 * Files read into the log: looked through and reckoned beside the requests, shown before anything is kept, kept all or not at
 * all, and taken back at any moment before that.
 */
@Injectable()
export class LogImports {
  private readonly imports = new Map<string, Import>();

  constructor(
    private readonly log: LogService,
    private readonly workers: Workers,
    private readonly writes: Writes,
    private readonly folder: DataFolder,
    private readonly passing: PassingFiles,
    private readonly clock: Clock,
  ) {}

  /**
   * Takes a file in, and begins to read it.
   *
   * @param source the request
   * @param contentType JSON that holds the file as a text, or the file itself
   * @param language of the reader
   */
  async begin(source: Readable, contentType: string, language: string): Promise<LogImport> {
    const file = await this.passing.takeIn(source, MOST_BYTES, '.csv');
    const id = randomUUID();
    const staging = this.passing.name('.sqlite');
    if (this.imports.size >= MOST_IMPORTS) {
      this.passing.drop(file);
      const fault = {
        path: '',
        problem: say('imports.service.other-files-are-being-read'),
        allowed: say('imports.service.one-of-them-kept-or'),
      };
      throw new ConflictException({ faults: [fault] });
    }
    const state: LogImport = { id, phase: 'reading', rows: 0, reckoned: 0, known: 0, first: [], faults: [] };
    const mine: Import = { staging, abort: new AbortController(), state };
    this.imports.set(id, mine);
    setTimeout(() => this.forget(id), FORGET_AFTER).unref();
    void this.read(mine, file, contentType, language);
    return state;
  }

  look(id: string): LogImport {
    return this.find(id).state;
  }

  /** Waits until it has been read, or could not be. */
  async settled(id: string): Promise<LogImport> {
    for (;;) {
      const { state } = this.find(id);
      if (state.phase !== 'reading') return state;
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  }

  /** Keeps all its lines that are not there yet. */
  async keep(id: string): Promise<ImportReport> {
    const mine = this.find(id);
    const { phase, known, faults } = mine.state;
    if (phase === 'refused') throw new BadRequestException({ faults });
    if (phase !== 'ready') {
      const fault = {
        path: 'phase',
        problem: say('imports.service.the-file-is', { phase }),
        allowed: say('imports.service.a-file-that-is-ready'),
      };
      throw new ConflictException({ faults: [fault] });
    }
    mine.state = { ...mine.state, phase: 'writing' };
    const { staging } = mine;
    try {
      const { database } = this.folder;
      const added = await this.writes.alone(() => this.workers.runLong('keepCsv', { staging, database }));
      return { added, known: mine.state.rows - added, faults: [] };
    } catch (error) {
      mine.state = { ...mine.state, phase: 'ready', known };
      throw error;
    } finally {
      this.log.forgetCache();
      if (mine.state.phase === 'writing') this.forget(id);
    }
  }

  /** Takes a file back: nothing of it was kept. */
  cancel(id: string): LogImport {
    const { state } = this.find(id);
    if (state.phase === 'writing') {
      const fault = {
        path: 'phase',
        problem: say('imports.service.is-being-written'),
        allowed: say('imports.service.a-file-that-is-not'),
      };
      throw new ConflictException({ faults: [fault] });
    }
    this.forget(id);
    return { ...state, phase: 'cancelled' };
  }

  private forget(id: string): void {
    const mine = this.imports.get(id);
    if (mine === undefined) return;
    this.imports.delete(id);
    mine.abort.abort();
    this.passing.drop(mine.staging);
  }

  private find(id: string): Import {
    const kept = this.imports.get(id);
    if (kept === undefined) throw notFound('import', id);
    return kept;
  }

  private async read(mine: Import, file: string, contentType: string, language: string): Promise<void> {
    const { staging, abort } = mine;
    const { signal } = abort;
    try {
      const { database } = this.folder;
      const asked = { file, contentType, language, database, staging, nowMs: this.clock.nowMs() };
      const checked = await this.workers.runLong('checkCsv', asked, signal);
      mine.state = { ...mine.state, ...checked };
      if (checked.faults.length > 0) {
        mine.state = { ...mine.state, phase: 'refused' };
        return;
      }
      const fresh = checked.rows - checked.known;
      let next = 1;
      const reckon = async (): Promise<void> => {
        while (next <= fresh) {
          const from = next;
          const to = Math.min(fresh, from + BATCH - 1);
          next = to + 1;
          signal.throwIfAborted();
          await this.workers.run('observeCsv', { staging, from, to });
          mine.state = { ...mine.state, reckoned: mine.state.reckoned + to - from + 1 };
        }
      };
      await Promise.all(Array.from({ length: AT_ONCE }, reckon));
      mine.state = { ...mine.state, phase: 'ready' };
    } catch (error) {
      if (signal.aborted) return;
      const problem = error instanceof Error ? error.message.slice(0, 200) : say('faults.cannot-be-read');
      mine.state = {
        ...mine.state,
        phase: 'refused',
        faults: [{ path: '', problem, allowed: say('imports.service.the-file-once-more') }],
      };
    } finally {
      this.passing.drop(file);
      if (signal.aborted) this.passing.drop(staging);
    }
  }
}
