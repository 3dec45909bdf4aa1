import type { Form } from '../larder/cuts';
import { inTen } from './odds-words';

/** Something that brings dinner nearer: a code, and what it costs. */
export type MendFact =
  | { readonly code: 'sear-quickly' | 'cut-later'; readonly values: Readonly<Record<string, never>> }
  | { readonly code: 'valve-at-once'; readonly values: { readonly minutes: number } }
  | { readonly code: 'take-a-chance'; readonly values: { readonly chance: number; readonly insteadOf: number } }
  | { readonly code: 'cut-smaller'; readonly values: { readonly form: SmallerForm; readonly minutes: number } };

const FORM_WORDS = {
  chunks: 'Cut it into chunks',
  'bite-size': 'Cut it bite-size',
  slices: 'Cut it into slices',
  pieces: 'Have it in pieces',
} as const satisfies Readonly<Partial<Record<Form, string>>>;

/** Ways to cut a roast that cook sooner. */
export type SmallerForm = keyof typeof FORM_WORDS;

export const isSmallerForm = (form: Form): form is SmallerForm => form in FORM_WORDS;

function says(fact: MendFact): string {
  switch (fact.code) {
    case 'sear-quickly':
      return 'Sear quickly, two sides: less brown, less deep a sauce';
    case 'cut-later':
      return 'Cut what goes in later while the pot works, on a washed board';
    case 'valve-at-once':
      return `Open the valve at once, with ${fact.values.minutes} min under pressure for the same tenderness: juicier is letting down`;
    case 'take-a-chance':
      return `Take a chance: ${inTen(fact.values.chance)} that it is tender, not ${inTen(fact.values.insteadOf)}`;
    case 'cut-smaller':
      return `${FORM_WORDS[fact.values.form]}: ${fact.values.minutes} min under pressure`;
  }
}

/** A change that wins so many minutes, in words. */
export const mendText = (fact: MendFact, sooner: number): string => `${says(fact)}. ${Math.round(sooner)} min sooner.`;
