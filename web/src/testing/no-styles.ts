/** In the place of what the component library writes its styles into the page with: a style that is nowhere. */
const nowhere = (): HTMLStyleElement => document.createElement('style');

export const injectCSS = nowhere;
export const updateCSS = nowhere;
export const removeCSS = (): void => undefined;
export const clearContainerCache = (): void => undefined;
