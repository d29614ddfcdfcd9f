/**
 * What writes PDF, with its library of 1.3 MB: one piece, fetched when something is printed. It names nothing that only later
 * screens have: what two later pieces share would be fetched before the first screen.
 */
export { labelPdf, labelsOnPage } from './labelPdf';
export { Sheet } from './sheet';
