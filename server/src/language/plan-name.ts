import { cutById, cutTitle, type Plan } from '@hervir/core';
import { upperFirst } from '@hervir/language';
import { inWords } from './speech';

/** What a plan is called, in lists and in its cook; without a name, by its meat. */
export function nameOf(plan: Plan): string {
  if (plan.name !== '') return plan.name;
  return upperFirst(inWords(cutTitle(cutById(plan.meat.cut))));
}
