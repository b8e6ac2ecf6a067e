/**
 * Explains what it is put on in a few words: shown where the pointer rests, where the keyboard is, and where a finger is held;
 * read out after the name.
 */
export const tip = (text: string | undefined): { 'data-tip'?: string; 'aria-description'?: string } =>
  text === undefined ? {} : { 'data-tip': text, 'aria-description': text };
