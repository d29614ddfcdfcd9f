import { Asset } from 'expo-asset';
import fontkit from '@pdf-lib/fontkit';
import regular from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf';
import tape from '@expo-google-fonts/barlow-condensed/600SemiBold/BarlowCondensed_600SemiBold.ttf';
import { PDFDocument, rgb, type PDFFont } from 'pdf-lib';

export const PT_PER_MM = 72 / 25.4;
export const PAGE_MM = { a4: [210, 297], letter: [215.9, 279.4] } as const;
export type PaperSize = keyof typeof PAGE_MM;
/** Printers cannot reach closer to the edge than this. */
export const MARGIN_MM = 10;

/** A colour of a page. */
export const colourOf = (hex: string) => {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) / 255);
  return rgb(r ?? 0, g ?? 0, b ?? 0);
};
export const INK = colourOf('#1e1f21');

/** Cuts a text so that it fits a width, in points. */
export function fitted(text: string, font: PDFFont, size: number, width: number): string {
  if (font.widthOfTextAtSize(text, size) <= width) return text;
  let cut = text;
  while (cut.length > 1 && font.widthOfTextAtSize(`${cut}…`, size) > width) cut = cut.slice(0, -1);
  return `${cut.trimEnd()}…`;
}

export interface PaperFonts {
  readonly text: PDFFont;
  readonly tape: PDFFont;
}

/** A new document with the app's own fonts in it. */
export async function openPaper(): Promise<{ document: PDFDocument; fonts: PaperFonts }> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  const bytes = async (font: number) => (await fetch(Asset.fromModule(font).uri)).arrayBuffer();
  const fonts = {
    text: await document.embedFont(await bytes(regular), { subset: true }),
    tape: await document.embedFont(await bytes(tape), { subset: true }),
  };
  return { document, fonts };
}
