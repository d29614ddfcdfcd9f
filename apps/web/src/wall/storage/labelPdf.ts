import { inkOn, type SlotLabel } from '@red-shelf/core';
import { Asset } from 'expo-asset';
import fontkit from '@pdf-lib/fontkit';
import regular from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf';
import tape from '@expo-google-fonts/barlow-condensed/600SemiBold/BarlowCondensed_600SemiBold.ttf';
import { PDFDocument, rgb, type PDFFont, type PDFPage } from 'pdf-lib';

const PT_PER_MM = 72 / 25.4;
const PAGE_MM = { a4: [210, 297], letter: [215.9, 279.4] } as const;
export type PaperSize = keyof typeof PAGE_MM;
/** Printers cannot reach closer to the edge than this. */
const MARGIN_MM = 10;
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

const colourOf = (hex: string) => {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) / 255);
  return rgb(r ?? 0, g ?? 0, b ?? 0);
};
const INK = colourOf('#1e1f21');

/** Cuts a text so that it fits a width, in points. */
function fitted(text: string, font: PDFFont, size: number, width: number): string {
  if (font.widthOfTextAtSize(text, size) <= width) return text;
  let cut = text;
  while (cut.length > 1 && font.widthOfTextAtSize(`${cut}…`, size) > width) cut = cut.slice(0, -1);
  return `${cut.trimEnd()}…`;
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
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  const bytes = async (font: number) => (await fetch(Asset.fromModule(font).uri)).arrayBuffer();
  const fonts = {
    text: await document.embedFont(await bytes(regular), { subset: true }),
    tape: await document.embedFont(await bytes(tape), { subset: true }),
  };
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
