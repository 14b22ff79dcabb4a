/**
 * Returns the text with a capital first letter.
 * @example capital('a bed') // 'A bed'
 */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
