import { lazy, type ComponentType, type LazyExoticComponent, type ReactNode } from 'react';
import { Away } from '../api/client';
import { restOfWords } from '../language/load';
import { t } from '../language/t';
import { Trouble } from './trouble';

type Load<P> = () => Promise<ComponentType<P>>;

/** What stands where a part of the page cannot be fetched: the server is away, or has a newer Hervir than this page. */
function NotFetched(): ReactNode {
  return (
    <div className="room">
      <Trouble what={t('shared.this-part-cannot-be')} error={new Away()} again={() => window.location.reload()} />
    </div>
  );
}

const nothing = (): null => null;

/** Fetched when it is first drawn; where that fails, something else stands in its place and the page goes on. */
function fetched<P>(load: Load<P>, otherwise: ComponentType<P>): LazyExoticComponent<ComponentType<P>> {
  return lazy(async (): Promise<{ default: ComponentType<P> }> => {
    try {
      return { default: await load() };
    } catch {
      return { default: otherwise };
    }
  });
}

/**
 * A part of the page that is fetched when it is opened, with the words for it; where that fails, it says so in its place and
 * everything else stands.
 *
 * @param load gives the component
 */
export const later = <P,>(load: Load<P>): LazyExoticComponent<ComponentType<P>> =>
  fetched(async () => (await Promise.all([load(), restOfWords()]))[0], NotFetched);

/**
 * A part of the first room that is fetched a moment after it: its words are among the first. Where that fails, the room stands
 * without it.
 *
 * @param load gives the component
 * @param otherwise what stands there then; left out, nothing
 */
export const soon = <P,>(load: Load<P>, otherwise: ComponentType<P> = nothing): LazyExoticComponent<ComponentType<P>> =>
  fetched(load, otherwise);
