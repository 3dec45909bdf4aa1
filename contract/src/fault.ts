import { type PlanError } from '@hervir/core';
import type { z } from 'zod';

/** One thing wrong with what came in: where, what, and what would do. */
export interface Fault {
  /** For instance `meat.thicknessCm` or `liquids[0].ml`; empty for the document itself. */
  readonly path: string;
  readonly problem: string;
  readonly allowed: string;
}

/** What a reader gives back: the value, or every fault found. Nothing is half read. */
export type Read<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly faults: readonly Fault[] };

/** Reads what comes in by a schema: the value, or every fault with its place. */
export function readBy<T>(schema: z.ZodType<T>, input: unknown): Read<T> {
  const parsed = schema.safeParse(input);
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, faults: faultsOf(parsed.error, input) };
}

/**
 * Writes a path the way a script would reach it.
 *
 * @example pathOf(['liquids', 0, 'ml']) // 'liquids[0].ml'
 */
export function pathOf(keys: readonly PropertyKey[]): string {
  return keys.reduce<string>(
    (path, key) => (typeof key === 'number' ? `${path}[${key}]` : path === '' ? String(key) : `${path}.${String(key)}`),
    '',
  );
}

function valueAt(input: unknown, keys: readonly PropertyKey[]): unknown {
  return keys.reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null ? (value as Record<PropertyKey, unknown>)[key] : undefined,
    input,
  );
}

/** A value as an error may show it: short, and never markup of its own. */
function shown(value: unknown): string {
  if (value === undefined) return 'missing';
  if (typeof value === 'string') return `"${value.length > 40 ? `${value.slice(0, 40)}…` : value}"`;
  if (typeof value === 'object') return value === null ? 'null' : Array.isArray(value) ? 'a list' : 'an object';
  return typeof value === 'number' || typeof value === 'boolean' ? `${value}` : `a ${typeof value}`;
}

type Issue = z.core.$ZodIssue;

function explain(issue: Issue, value: unknown): { problem: string; allowed: string } {
  const missing = value === undefined;
  switch (issue.code) {
    case 'invalid_type':
      return {
        problem: missing ? 'missing' : `${shown(value)} is no ${issue.expected}`,
        allowed: allowedBy(issue) ?? typeWords(issue.expected),
      };
    case 'too_small':
    case 'too_big': {
      const bound =
        issue.code === 'too_small' ? `at least ${String(issue.minimum)}` : `at most ${String(issue.maximum)}`;
      const counted = issue.origin === 'string' ? 'characters' : issue.origin === 'array' ? 'entries' : '';
      const way = issue.code === 'too_small' ? 'too small' : 'too large';
      const problem =
        counted === ''
          ? `${shown(value)} is ${way}`
          : `has ${issue.code === 'too_small' ? 'too few' : 'too many'} ${counted}`;
      return { problem, allowed: allowedBy(issue) ?? `${bound} ${counted}`.trim() };
    }
    case 'invalid_value':
      return {
        problem: missing ? 'missing' : `${shown(value)} is not known`,
        allowed: issue.values.map(String).join(', '),
      };
    case 'unrecognized_keys':
      return {
        problem: `does not have ${issue.keys.map((key) => `"${key.slice(0, 40)}"`).join(', ')}`,
        allowed: 'the keys of the format',
      };
    case 'invalid_format':
      return {
        problem: `${shown(value)} is not a ${issue.format}`,
        allowed: allowedBy(issue) ?? FORMAT_WORDS[issue.format] ?? issue.format,
      };
    case 'not_multiple_of':
      return { problem: `${shown(value)} is not whole`, allowed: 'a whole number' };
    case 'custom':
      return { problem: issue.message, allowed: allowedBy(issue) ?? 'see the documentation' };
    case 'invalid_union':
    case 'invalid_key':
    case 'invalid_element':
      return {
        problem: missing ? 'missing' : `${shown(value)} is not possible here`,
        allowed: allowedBy(issue) ?? 'see the documentation',
      };
  }
}

const FORMAT_WORDS: Readonly<Record<string, string>> = {
  datetime: 'ISO 8601 with an offset, for instance 2027-01-17T19:00:00+01:00',
  uuid: 'a UUID',
};

function typeWords(expected: string): string {
  return expected === 'number' || expected === 'int'
    ? 'a finite number'
    : expected === 'object'
      ? 'an object'
      : `a ${expected}`;
}

/** A range says its whole extent, not only the end that was passed: schemas leave it in the message. */
function allowedBy(issue: Issue): string | undefined {
  return issue.message.startsWith(ALLOWED) ? issue.message.slice(ALLOWED.length) : undefined;
}

/** Marks a schema's message as the words for what is allowed. */
export const ALLOWED = 'allowed: ';

/**
 * Turns what Zod found into faults.
 *
 * @param error from a failed parse
 * @param input what was parsed
 * @example faultsOf(error, { meat: { grams: -1 } })[0].path // 'meat.grams'
 */
export function faultsOf(error: z.ZodError, input: unknown): Fault[] {
  return error.issues.map((issue) => ({ path: pathOf(issue.path), ...explain(issue, valueAt(input, issue.path)) }));
}

/** The fault of a plan that reads well and cannot be reckoned. */
export function faultOfPlanError(error: PlanError): Fault {
  return { path: error.path, problem: error.problem, allowed: error.allowed };
}

/** One fault a line, as the command prints it. */
export function faultLine(fault: Fault): string {
  return `${fault.path === '' ? '(document)' : fault.path}: ${fault.problem}; allowed: ${fault.allowed}`;
}
