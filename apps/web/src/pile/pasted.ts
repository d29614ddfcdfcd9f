import { fold, parseColour } from '@red-shelf/core';

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

/**
 * Reads a pasted list, one thing a line: `Fern Gate, #4c9a52`, `418; Fern Gate; teal`, tabs from a sheet.
 * The part that is a colour is the colour, a bare number is the code, the rest is the name.
 */
export function readPasted(text: string): PastedLine[] {
  const seen = new Set<string>();
  return text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line) => {
      const parts = line.split(/\s*[\t;,|]\s*/).filter(Boolean);
      const colourAt = findLast(
        parts,
        (part) => parts.length > 1 && parseColour(part).ok && !CODE.test(part),
      );
      const codeAt = parts.findIndex((part, i) => i !== colourAt && CODE.test(part));
      const name = parts.filter((_, i) => i !== colourAt && i !== codeAt).join(', ');
      const colour = parseColour(parts[colourAt] ?? '');
      const code = parts[codeAt] ?? '';
      const key = `${fold(name)} ${code}`;
      const refusal =
        name === ''
          ? 'has no name'
          : !colour.ok
            ? 'has no colour; add a hex or a colour word behind a comma'
            : seen.has(key)
              ? 'is there twice'
              : null;
      seen.add(key);
      return { line, name, code, hex: colour.ok ? colour.hex : '', refusal };
    });
}

function findLast(parts: readonly string[], test: (part: string) => boolean): number {
  for (let i = parts.length - 1; i >= 0; i--) if (test(parts[i] ?? '')) return i;
  return -1;
}
