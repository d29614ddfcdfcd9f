import * as schemas from '../api/schemas';
import { schemasFrom } from '../api/later';

schemasFrom(() => Promise.resolve(schemas));

// What a page draws in turn stands at once here: tests are about what is drawn. In turn it is drawn in the browser's tests.
jest.mock('../ui/InTurn', () => ({
  InTurn: ({ children }: { readonly children: unknown }) => children,
  useInTurn: (columns: readonly unknown[]) => columns,
}));

// Looking for a role asks of every element whether a style sheet hides it, which takes jsdom half of a test. What is hidden
// here is not drawn, or says so itself.
if (typeof window !== 'undefined') window.getComputedStyle = (element) => (element as HTMLElement).style;
