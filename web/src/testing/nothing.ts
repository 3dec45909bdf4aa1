/** In the place of a style sheet. */
export {};
