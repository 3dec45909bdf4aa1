import { say, type Text } from '@hervir/language/message';
import type { Form } from '../catalog/cuts';
import { inTen } from './odds-words';

/** Something that brings dinner nearer: a code, and what it costs. */
export type TimeSaverFact =
  | { readonly code: 'sear-quickly' | 'cut-later'; readonly values: Readonly<Record<string, never>> }
  | { readonly code: 'valve-at-once'; readonly values: { readonly minutes: number } }
  | { readonly code: 'take-a-chance'; readonly values: { readonly chance: number; readonly insteadOf: number } }
  | { readonly code: 'cut-smaller'; readonly values: { readonly form: SmallerForm; readonly minutes: number } };

const FORM_WORDS = {
  chunks: say('time-saver.cut-it-into-chunks'),
  'bite-size': say('time-saver.cut-it-bite-size'),
  slices: say('time-saver.cut-it-into-slices'),
  pieces: say('time-saver.have-it-in-pieces'),
} as const satisfies Readonly<Partial<Record<Form, Text>>>;

/** Ways to cut a roast that cook sooner. */
export type SmallerForm = keyof typeof FORM_WORDS;

export const isSmallerForm = (form: Form): form is SmallerForm => form in FORM_WORDS;

function says(fact: TimeSaverFact): Text {
  switch (fact.code) {
    case 'sear-quickly':
      return say('time-saver.sear-quickly-two-sides-less');
    case 'cut-later':
      return say('time-saver.cut-what-goes-in-later');
    case 'valve-at-once':
      return say('time-saver.open-the-valve-at-once', { minutes: fact.values.minutes });
    case 'take-a-chance':
      return say('time-saver.take-a-chance-that-it', {
        odds: inTen(fact.values.chance),
        insteadOf: inTen(fact.values.insteadOf),
      });
    case 'cut-smaller':
      return say('time-saver.min-under-pressure', {
        formWords: FORM_WORDS[fact.values.form],
        minutes: fact.values.minutes,
      });
  }
}

/** A change that wins so many minutes, in words. */
export const timeSaverText = (fact: TimeSaverFact, sooner: number): Text =>
  say('time-saver.min-sooner', { says: says(fact), sooner: Math.round(sooner) });
