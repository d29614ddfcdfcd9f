import { fold, parseColour, plainColour } from '@red-shelf/core';

/** A pasted line taken apart: name, colour, code. */
export interface PastedLine {
  readonly line: string;
  readonly name: string;
  readonly hex: string;
  readonly code: string;
  /** Null when all is well. */
  readonly refusal: string | null;
}

const CODE = /^[0-9]{1,6}$/;
const NONE: ReadonlyMap<string, string> = new Map();
const partsOf = (line: string): string[] => line.split(/\s*[\t;,|]\s*/).filter(Boolean);

/** The words of a pasted list that may be a colour's name, each once: those behind the first part of a line. */
export function colourWords(text: string): string[] {
  const words = text.split(/\r?\n/).flatMap((line) =>
    partsOf(line.trim())
      .slice(1)
      .filter((part) => /^\p{L}/u.test(part) && part.length <= 60 && !parseColour(part).ok),
  );
  return [...new Set(words)];
}

/**
 * Reads a pasted list, one thing a line: `Fern Gate, #4c9a52`, `418; Fern Gate; dusty rose`, tabs from a sheet.
 * The last part that is a colour is the colour, a bare number is the code, the rest is the name.
 * `called` are the colours whose names stand in the list, by folded name; `plain` things need no colour.
 */
export function readPasted(
  text: string,
  called: ReadonlyMap<string, string> = NONE,
  plain = false,
): PastedLine[] {
  const seen = new Set<string>();
  return text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line) => {
      const parts = partsOf(line);
      const hexOf = (part = ''): string => {
        const colour = parseColour(part);
        return colour.ok ? colour.hex : (called.get(fold(part)) ?? '');
      };
      const words = parts.filter((part) => !CODE.test(part)).length;
      const colourAt = findLast(
        parts,
        (part, i) =>
          !CODE.test(part) &&
          parts.length > 1 &&
          // A colour's name may be a thing's own name: where there is no other, it is that.
          (isCoded(part) || (words > 1 && i > 0 && (parseColour(part).ok || called.has(fold(part))))),
      );
      const codeAt = parts.findIndex((part, i) => i !== colourAt && CODE.test(part));
      const name = parts.filter((_, i) => i !== colourAt && i !== codeAt).join(', ');
      const hex = hexOf(parts[colourAt]);
      const code = parts[codeAt] ?? '';
      const key = `${fold(name)} ${code}`;
      const refusal =
        name === ''
          ? 'has no name'
          : hex === '' && !plain
            ? 'has no colour; add a hex or a colour word behind a comma'
            : seen.has(key)
              ? 'is there twice'
              : null;
      seen.add(key);
      return { line, name, code, hex, refusal };
    });
}

/** Whether a part can be nothing but a colour: a hex, or a screen's own way to write one. */
const isCoded = (part: string): boolean => plainColour(part) === null && parseColour(part).ok;

function findLast(parts: readonly string[], test: (part: string, i: number) => boolean): number {
  for (let i = parts.length - 1; i >= 0; i--) if (test(parts[i] ?? '', i)) return i;
  return -1;
}
