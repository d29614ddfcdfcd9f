/** Control characters but line breaks and tabs. */
const CONTROLS = /[\u0000-\u0008\u000b-\u001f\u007f-\u009f]/g;
/** Halves of characters without their other half. */
const HALVES = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;

/** Text of several lines as it is kept: line breaks of one sort, nothing that cannot be shown, no space around it. */
export const cleanText = (text: string): string =>
  text.replace(/\r\n?/g, '\n').replace(CONTROLS, '').replace(HALVES, '').trim();

/** Text of one line as it is kept: as above, and what parts words is one space. */
export const cleanLine = (text: string): string => cleanText(text).replace(/\s+/g, ' ');

/** The beginning of a text, at most so many characters of it, never half a character. */
export const beginningOf = (text: string, most: number): string =>
  text.length <= most ? text : text.slice(0, most).replace(/[\ud800-\udbff]$/, '');
