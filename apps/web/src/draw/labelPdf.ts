import { inkOn, type SlotLabel } from '@red-shelf/core';
import type { PDFFont, PDFPage } from 'pdf-lib';
import { colourOf, fitted, INK, MARGIN_MM, openPaper, PAGE_MM, PT_PER_MM, type PaperSize } from './paper';

const GAP_MM = 2;
const PAD_MM = 1.5;
const SWATCH_MM = 6;
const LINE = 0.3;
const SMALL = 7;
const BIG = 11;

export interface LabelSize {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** How many labels of a size go on one page: columns and rows. */
export function labelsOnPage(
  { widthMm, heightMm }: LabelSize,
  paper: PaperSize,
): { columns: number; rows: number } {
  const [w, h] = PAGE_MM[paper];
  const fit = (room: number, side: number): number =>
    Math.max(0, Math.floor((room - 2 * MARGIN_MM + GAP_MM) / (side + GAP_MM)));
  return { columns: fit(w, widthMm), rows: fit(h, heightMm) };
}

function drawLabel(
  page: PDFPage,
  { address, name, detail: known, lot, number, hex }: SlotLabel,
  fonts: { text: PDFFont; tape: PDFFont },
  box: { x: number; y: number; w: number; h: number },
): void {
  const pad = PAD_MM * PT_PER_MM;
  const detail = [lot, known].filter(Boolean).join(' · ');
  const swatch = hex ? SWATCH_MM * PT_PER_MM : 0;
  page.drawRectangle({
    x: box.x,
    y: box.y,
    width: box.w,
    height: box.h,
    borderColor: INK,
    borderWidth: LINE,
  });
  if (hex) {
    page.drawRectangle({ x: box.x, y: box.y, width: swatch, height: box.h, color: colourOf(hex) });
    if (number !== null)
      page.drawText(fitted(String(number), fonts.tape, SMALL, swatch), {
        x: box.x + 1,
        y: box.y + pad,
        size: SMALL,
        font: fonts.tape,
        color: colourOf(inkOn(hex)),
      });
  }
  const x = box.x + swatch + pad;
  const room = box.w - swatch - 2 * pad;
  const lines: [string, PDFFont, number][] = [
    [address, fonts.tape, BIG],
    [name, fonts.text, SMALL],
    [detail, fonts.text, SMALL - 1],
  ];
  let y = box.y + box.h - pad;
  for (const [text, font, size] of lines) {
    y -= size;
    if (text === '' || y < box.y + 1) continue;
    page.drawText(fitted(text, font, size, room), { x, y, size, font, color: INK });
    y -= 1;
  }
}

/** A PDF of labels in slot order, drawn to size; throws when a single label is larger than the page. */
export async function labelPdf(
  labels: readonly SlotLabel[],
  size: LabelSize,
  paper: PaperSize,
): Promise<Uint8Array> {
  const { columns, rows } = labelsOnPage(size, paper);
  if (columns === 0 || rows === 0) throw new RangeError('The label is larger than the page');
  const { document, fonts } = await openPaper();
  const [w, h] = PAGE_MM[paper].map((mm) => mm * PT_PER_MM) as [number, number];
  const step = (mm: number): number => (mm + GAP_MM) * PT_PER_MM;
  for (let from = 0; from < labels.length; from += columns * rows) {
    const page = document.addPage([w, h]);
    labels.slice(from, from + columns * rows).forEach((label, i) =>
      drawLabel(page, label, fonts, {
        x: MARGIN_MM * PT_PER_MM + (i % columns) * step(size.widthMm),
        y:
          h -
          MARGIN_MM * PT_PER_MM -
          size.heightMm * PT_PER_MM -
          Math.floor(i / columns) * step(size.heightMm),
        w: size.widthMm * PT_PER_MM,
        h: size.heightMm * PT_PER_MM,
      }),
    );
  }
  return document.save();
}
