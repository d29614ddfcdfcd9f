import * as schemas from '../api/schemas';
import { schemasFrom } from '../api/later';

schemasFrom(() => Promise.resolve(schemas));

// What a page draws in turn stands at once here: tests are about what is drawn. In turn it is drawn in the browser's tests.
jest.mock('../ui/InTurn', () => ({
  InTurn: ({ children }: { readonly children: unknown }) => children,
  useInTurn: (columns: readonly unknown[]) => columns,
}));
