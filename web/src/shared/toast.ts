import type { ReactNode } from 'react';
import { create } from 'zustand';

/** A word on what was just done, over whatever room one is in; it goes by itself. */
export interface Toast {
  /** A second word under the same key takes the place of the first. */
  readonly key?: string;
  readonly kind?: 'success' | 'error';
  readonly content: ReactNode;
  /** s; left out, as long as it takes to read a line. */
  readonly stays?: number;
}

type Asked =
  | { readonly show: Toast }
  /** Stays until it is closed by hand. */
  | { readonly call: { readonly key: string; readonly title: string; readonly words: string } }
  | { readonly dismiss: string };

interface Toasts {
  /** What was asked for and is not on the screen yet: what shows it is fetched with the first. */
  readonly asked: readonly Asked[];
  readonly ever: boolean;
}

export const useToasts = create<Toasts>(() => ({ asked: [], ever: false }));

const ask = (one: Asked): void => useToasts.setState(({ asked }) => ({ asked: [...asked, one], ever: true }));

/** Shows a word on what was just done. */
export const toast = (show: Toast): void => ask({ show });
/** Says that it went well. */
export const toastDone = (content: string): void => toast({ kind: 'success', content });
/** Says what went wrong. */
export const toastTrouble = (content: string): void => toast({ kind: 'error', content });
/** Calls for something: it stays until it is closed by hand. */
export const toastUntilClosed = (key: string, title: string, words: string): void =>
  ask({ call: { key, title, words } });
/** Takes one away before its time. */
export const dismissToast = (key: string): void => ask({ dismiss: key });
