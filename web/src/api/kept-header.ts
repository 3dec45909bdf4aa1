/** Says of an answer that it is the last one read, and when that was. */
export const KEPT_HEADER = 'x-hervir-kept';
