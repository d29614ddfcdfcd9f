import type { Attributes } from '../kinds/attributes';
import { MEDIA, paperFor, whyPaper } from './paperFor';

const paper = (id: string, attributes: Attributes) => ({ id, facts: { attributes } });
const gsm = (n: number) => ({ weight: { cgsm: n * 100, basis: null } });
const best = (medium: (typeof MEDIA)[number], papers: ReturnType<typeof paper>[]): string =>
  paperFor(medium, papers)
    .map(({ paper: { id } }) => id)
    .join(' ');

const SHELF = [
  paper('light', { paper: 'plain', surface: 'smooth', ...gsm(120) }),
  paper('smooth', { paper: 'plain', surface: 'smooth', ...gsm(270) }),
  paper('toothy', { paper: 'plain', surface: 'toothy', ...gsm(216) }),
  paper('cold', { paper: 'watercolour', surface: 'cold press', ...gsm(300) }),
  paper('foil', { paper: 'foil', ...gsm(250) }),
  paper('vellum', { paper: 'vellum', ...gsm(110) }),
];

test('what white do I use for this medium', () => {
  expect(best('alcohol marker', SHELF)).toBe('smooth');
  expect(best('water colour', SHELF)).toBe('cold');
  expect(best('card base', SHELF)).toBe('cold foil smooth toothy');
});

test('the person’s own word outweighs every rule', () => {
  const mine = paper('mine', { paper: 'vellum', ...gsm(110), goodFor: 'Alcohol marker, stamping' });
  const [first] = paperFor('alcohol marker', [...SHELF, mine]);
  expect(first?.paper.id).toBe('mine');
  expect(first?.reasons).toContain('you noted it as good for this');
});

test('every medium says why, and an empty shelf has no answer', () => {
  for (const medium of MEDIA) {
    expect(whyPaper(medium)).toMatch(/\.$/);
    expect(paperFor(medium, [])).toEqual([]);
  }
});
