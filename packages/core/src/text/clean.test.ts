import fc from 'fast-check';
import { beginningOf, cleanLine, cleanText } from './clean';

/** Anything a clipboard may hold: control characters, halves of characters, every sort of line break. */
const anything = fc
  .array(fc.integer({ min: 0, max: 0xffff }), { maxLength: 40 })
  .map((codes) => String.fromCharCode(...codes));
const isWhole = (text: string): boolean => {
  try {
    encodeURIComponent(text);
    return true;
  } catch {
    return false;
  }
};

test('what is kept of a text can be shown, has one sort of line break, and is not changed by cleaning it again', () => {
  fc.assert(
    fc.property(anything, (text) => {
      const kept = cleanText(text);
      expect(isWhole(kept)).toBe(true);

      expect(kept).not.toMatch(/[\u0000-\u0008\u000b-\u001f\u007f-\u009f]/);
      expect(kept).toBe(kept.trim());
      expect(cleanText(kept)).toBe(kept);
    }),
  );
  expect(cleanText(' a\r\nb\rc\n')).toBe('a\nb\nc');
});

test('a line has no breaks, and one space between words', () => {
  fc.assert(
    fc.property(anything, (text) => {
      const line = cleanLine(text);
      expect(line).not.toMatch(/\n|\t| {2}/);
      expect(cleanLine(line)).toBe(line);
    }),
  );
  expect(cleanLine('  Reed \t\n Pond ')).toBe('Reed Pond');
});

test('the beginning of a text is no longer than is asked, begins as it does, and ends with no half character', () => {
  const whole = fc.string({ unit: 'grapheme', maxLength: 30 });
  fc.assert(
    fc.property(whole, fc.nat(30), (text, most) => {
      const beginning = beginningOf(text, most);
      expect(beginning.length).toBeLessThanOrEqual(most);
      expect(text.startsWith(beginning)).toBe(true);
      expect(isWhole(beginning)).toBe(true);
      expect(text.length > most || beginning === text).toBe(true);
      // At most half of one character is left off.
      expect(beginning.length).toBeGreaterThanOrEqual(Math.min(most, text.length) - 1);
    }),
  );
});
