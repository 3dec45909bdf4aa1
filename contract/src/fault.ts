import { say, type Text } from '@hervir/language/message';
import { type PlanError } from '@hervir/core';
import type { z } from 'zod';

/** Puts every message of a document into words. */
export type Spell = <T>(document: T) => T;

/** One thing wrong with what came in: where, what, and what would do. */
export interface Fault {
  /** For instance `meat.thicknessCm` or `liquids[0].ml`; empty for the document itself. */
  readonly path: string;
  readonly problem: Text;
  readonly allowed: Text;
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
function shown(value: unknown): Text {
  if (value === undefined) return say('fault.missing');
  if (typeof value === 'string') return `"${value.length > 40 ? `${value.slice(0, 40)}…` : value}"`;
  if (value === null) return 'null';
  if (typeof value === 'object') return Array.isArray(value) ? say('fault.a-list') : say('fault.an-object');
  return typeof value === 'number' || typeof value === 'boolean' ? `${value}` : typeof value;
}

type Issue = z.core.$ZodIssue;

function explain(issue: Issue, value: unknown): { problem: Text; allowed: Text } {
  const missing = value === undefined;
  switch (issue.code) {
    case 'invalid_type':
      return {
        problem: missing ? say('fault.missing') : say('fault.is-no', { shown: shown(value), expected: issue.expected }),
        allowed: allowedBy(issue) ?? typeWords(issue.expected),
      };
    case 'too_small':
    case 'too_big': {
      const small = issue.code === 'too_small';
      const counted = issue.origin === 'string' ? 'characters' : issue.origin === 'array' ? 'entries' : 'other';
      const bound = String(issue.code === 'too_small' ? issue.minimum : issue.maximum);
      return {
        problem:
          counted === 'other'
            ? say('fault.is-too', { shown: shown(value), small })
            : say('fault.has-too-many', { small, counted }),
        allowed: allowedBy(issue) ?? say('fault.bound', { small, bound, counted }),
      };
    }
    case 'invalid_value':
      return {
        problem: missing ? say('fault.missing') : say('fault.is-not-known', { shown: shown(value) }),
        allowed: issue.values.map(String).join(', '),
      };
    case 'unrecognized_keys':
      return {
        problem: say('fault.does-not-have', { keys: issue.keys.map((key) => `"${key.slice(0, 40)}"`).join(', ') }),
        allowed: say('fault.the-keys-of-the-format'),
      };
    case 'invalid_format':
      return {
        problem: say('fault.is-not-a', { shown: shown(value), format: issue.format }),
        allowed: allowedBy(issue) ?? FORMAT_WORDS[issue.format] ?? issue.format,
      };
    case 'not_multiple_of':
      return { problem: say('fault.is-not-whole', { shown: shown(value) }), allowed: say('fault.a-whole-number') };
    case 'custom':
      return { problem: allowedBy(issue) ?? issue.message, allowed: say('fault.see-the-documentation') };
    case 'invalid_union':
    case 'invalid_key':
    case 'invalid_element':
      return {
        problem: missing ? say('fault.missing') : say('fault.is-not-possible-here', { shown: shown(value) }),
        allowed: allowedBy(issue) ?? say('fault.see-the-documentation'),
      };
  }
}

const FORMAT_WORDS: Readonly<Record<string, Text>> = {
  datetime: say('fault.iso-8601-with-an-offset'),
  uuid: say('fault.a-uuid'),
};

const typeWords = (expected: string): Text =>
  expected === 'number' || expected === 'int'
    ? say('fault.a-finite-number')
    : expected === 'object'
      ? say('fault.an-object')
      : say('fault.a-type', { expected });

/** What marks a schema's message as the words for what is allowed. */
const ALLOWED = 'allowed: ';

/**
 * A schema's message that says what is allowed: schemas carry strings only.
 *
 * @example allowedWords('1 to 5 kg') // 'allowed: "1 to 5 kg"'
 */
export const allowedWords = (text: Text): string => ALLOWED + JSON.stringify(text);

/** A range says its whole extent, not only the end that was passed: schemas leave it in the message. */
const allowedBy = (issue: Issue): Text | undefined =>
  issue.message.startsWith(ALLOWED) ? (JSON.parse(issue.message.slice(ALLOWED.length)) as Text) : undefined;

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

/**
 * One fault a line, as the command prints it.
 *
 * @param spell puts every message of a document into words: the contract knows codes only
 */
export function faultLine(fault: Fault, spell: Spell): string {
  const { path, problem, allowed } = spell(fault);
  return `${path === '' ? '(document)' : path}: ${problem as string}; allowed: ${allowed as string}`;
}
