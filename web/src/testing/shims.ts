import { messages as first } from '@hervir/language/en/first';
import { messages as rest } from '@hervir/language/en/rest';
import { TextDecoder, TextEncoder } from 'node:util';
import { speak } from '../language/t';

speak('en-GB', [first, rest]);

// What jsdom lacks and rooms ask for. A test that runs without a page is left alone.
// A room is hundreds of lines: a failed look prints its beginning.
process.env['DEBUG_PRINT_LIMIT'] = '1500';

if (typeof window !== 'undefined') {
  Object.assign(globalThis, { TextEncoder, TextDecoder });
  window.matchMedia = (query) =>
    ({
      // No motion: components show their end at once.
      matches: query.includes('reduced-motion'),
      media: query,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
      addListener: () => undefined,
      removeListener: () => undefined,
    }) as unknown as MediaQueryList;
  window.ResizeObserver = class {
    private readonly tell: ResizeObserverCallback;
    constructor(tell: ResizeObserverCallback) {
      this.tell = tell;
    }
    observe(): void {
      this.tell([{ contentRect: { width: 900, height: 400 } } as ResizeObserverEntry], this);
    }
    unobserve(): void {}
    disconnect(): void {}
  };
  // Weighing every rule of the component library for every element takes seconds; no test asks how a thing looks, only
  // whether it is hidden by its own style.
  window.getComputedStyle = (element) => {
    const own = (element as HTMLElement).style as CSSStyleDeclaration | undefined;
    return new Proxy({} as CSSStyleDeclaration, {
      get: (_, key) => {
        if (key === 'getPropertyValue') return (name: string) => own?.getPropertyValue(name) ?? '';
        if (key === 'display') return own?.display === '' || own === undefined ? 'block' : own.display;
        if (key === 'visibility') return own?.visibility === '' || own === undefined ? 'visible' : own.visibility;
        return own?.[key as 'color'] ?? '';
      },
    });
  };
  window.scrollTo = () => undefined;
  Element.prototype.scrollIntoView = () => undefined;
  globalThis.EventSource = class {
    onerror = null;
    addEventListener(): void {}
    close(): void {}
  } as unknown as typeof EventSource;
  globalThis.BroadcastChannel ??= class {
    onmessage = null;
    postMessage(): void {}
    close(): void {}
  } as unknown as typeof BroadcastChannel;
  globalThis.MessageChannel ??= class {
    port1 = { onmessage: null as (() => void) | null, close: () => undefined };
    port2 = { postMessage: () => setTimeout(() => this.port1.onmessage?.(), 0), close: () => undefined };
  } as unknown as typeof MessageChannel;
}
