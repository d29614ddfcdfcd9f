import { Children, cloneElement, Fragment, isValidElement, type ReactNode } from 'react';
import { useGradually } from './useGradually';

interface InTurnProps {
  readonly children: ReactNode;
  /** So many stand at once. */
  readonly first?: number;
  /** So many more each time the page is free. */
  readonly step?: number;
}

/** The parts of what is to be drawn, those of fragments too, each with a key of its own. */
const partsOf = (children: ReactNode): ReactNode[] =>
  Children.toArray(children).flatMap((part) => {
    if (!isValidElement<{ readonly children?: ReactNode }>(part) || part.type !== Fragment) return [part];
    return partsOf(part.props.children).map((inner) =>
      isValidElement(inner) ? cloneElement(inner, { key: `${part.key}${inner.key}` }) : inner,
    );
  });

/** What is drawn by now of columns, one after another: the first at once, the others while the page is free. */
export function useInTurn(columns: readonly ReactNode[], first = 1, step = 1): ReactNode[][] {
  const parts = columns.map(partsOf);
  const all = parts.reduce((sum, each) => sum + each.length, 0);
  let left = first + step * useGradually(Math.ceil(Math.max(0, all - first) / step));
  return parts.map((each) => {
    const now = each.slice(0, Math.max(0, left));
    left -= each.length;
    return now;
  });
}

/** Draws its parts in turn, so that a long page answers a touch while it is drawn. */
export function InTurn({ children, first, step }: InTurnProps) {
  return useInTurn([children], first, step)[0];
}
