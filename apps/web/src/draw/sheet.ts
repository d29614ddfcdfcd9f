import type { UnitView } from '@red-shelf/contract';
import type { PDFDocument, PDFPage } from 'pdf-lib';
import type { Contents } from '../api/contents';
import { boxesOf, unitSize } from './geometry';
import {
  colourOf,
  fitted,
  INK,
  MARGIN_MM,
  openPaper,
  PAGE_MM,
  PT_PER_MM,
  type PaperFonts,
  type PaperSize,
} from './paper';

const MARGIN = MARGIN_MM * PT_PER_MM;
const BODY = 9.5;
const HEAD = 13;
const TITLE = 18;
const LEADING = 1.35;
const BOX = 8;
const OPEN = colourOf('#b9b9b4');

interface Line {
  /** Small squares to tick, before the words. */
  readonly ticks?: number;
  readonly hex?: string;
  readonly words: string;
  /** At the right end, in the type of labels. */
  readonly aside?: string;
}

/** Pages that are written from top to bottom: headings, lines to tick, places drawn beside one another. */
export class Sheet {
  private page: PDFPage;
  private y: number;

  private constructor(
    private readonly document: PDFDocument,
    private readonly fonts: PaperFonts,
    private readonly size: readonly [number, number],
  ) {
    this.page = this.newPage();
    this.y = size[1] - MARGIN;
  }

  static async open(paper: PaperSize): Promise<Sheet> {
    const { document, fonts } = await openPaper();
    const [w, h] = PAGE_MM[paper];
    return new Sheet(document, fonts, [w * PT_PER_MM, h * PT_PER_MM]);
  }

  private newPage(): PDFPage {
    return this.document.addPage([this.size[0], this.size[1]]);
  }
  private get width(): number {
    return this.size[0] - 2 * MARGIN;
  }
  /** Goes on on a new page where so much does not fit any more. */
  private need(height: number): void {
    if (this.y - height >= MARGIN) return;
    this.page = this.newPage();
    this.y = this.size[1] - MARGIN;
  }

  title(words: string): void {
    this.text(words, TITLE);
    this.y -= 4;
  }
  /** A heading stays with what follows it. */
  heading(words: string, follows = 60): void {
    this.need(HEAD * LEADING + follows);
    this.y -= 8;
    this.text(words, HEAD);
  }
  text(words: string, size = BODY): void {
    this.need(size * LEADING);
    this.y -= size * LEADING;
    const { text: font } = this.fonts;
    this.page.drawText(fitted(words, font, size, this.width), {
      x: MARGIN,
      y: this.y,
      size,
      font,
      color: INK,
    });
  }
  line({ ticks = 0, hex, words, aside = '' }: Line): void {
    const high = BODY * LEADING + 3;
    this.need(high);
    this.y -= high;
    let x = MARGIN;
    for (let i = 0; i < ticks; i++, x += BOX + 5)
      this.page.drawRectangle({ x, y: this.y, width: BOX, height: BOX, borderColor: INK, borderWidth: 0.5 });
    if (hex) {
      this.page.drawRectangle({ x, y: this.y - 1, width: 14, height: BOX + 2, color: colourOf(hex) });
      x += 20;
    }
    const { text: font, tape } = this.fonts;
    const right = tape.widthOfTextAtSize(aside, BODY + 1);
    this.page.drawText(aside, {
      ...{ x: MARGIN + this.width - right, y: this.y, size: BODY + 1, font: tape, color: INK },
    });
    const room = MARGIN + this.width - right - 8 - x;
    this.page.drawText(fitted(words, font, BODY, room), { x, y: this.y, size: BODY, font, color: INK });
  }

  /** Places beside one another, each under its words, to one scale. */
  drawings(
    sides: readonly { readonly words: string; readonly unit: UnitView; readonly slots: Contents }[],
  ): void {
    const each = (this.width - 12 * (sides.length - 1)) / Math.max(1, sides.length);
    const MOST = 190;
    const sizes = sides.map(({ unit }) => unitSize(unit));
    const scale = Math.min(
      ...sizes.map(({ w, h }) => Math.min(each / Math.max(1, w), MOST / Math.max(1, h))),
    );
    const high = Math.max(...sizes.map(({ h }) => h * scale));
    this.need(high + BODY * LEADING + 8);
    this.y -= BODY * LEADING;
    const top = this.y - 4;
    sides.forEach(({ words, unit, slots }, i) => {
      const left = MARGIN + i * (each + 12);
      const { text: font } = this.fonts;
      this.page.drawText(fitted(words, font, BODY, each), {
        x: left,
        y: this.y,
        size: BODY,
        font,
        color: INK,
      });
      const { w, h } = unitSize(unit);
      this.page.drawRectangle({
        ...{ x: left, y: top - h * scale, width: w * scale, height: h * scale },
        ...{ borderColor: INK, borderWidth: 0.6 },
      });
      boxesOf(unit, slots).forEach((box, at) => {
        const there = slots[at];
        this.page.drawRectangle({
          ...{ x: left + box.x * scale, y: top - (box.y + box.h) * scale },
          ...{ width: Math.max(0.5, box.w * scale), height: Math.max(0.5, box.h * scale) },
          ...(there ? { color: colourOf(there.supply.hex) } : { borderColor: OPEN, borderWidth: 0.4 }),
        });
      });
    });
    this.y = top - high - 4;
  }

  async save(): Promise<Blob> {
    return new Blob([(await this.document.save()) as BlobPart], { type: 'application/pdf' });
  }
}
