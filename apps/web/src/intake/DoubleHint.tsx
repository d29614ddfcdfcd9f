import { doIOwn, isSame, parseColour, sparesOf, type Kind } from '@red-shelf/core';
import { useDeferredValue, useMemo } from 'react';
import { useStash } from '../api/queries';
import { sayStock } from '../copy/supply';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { useWhere } from '../api/where';

interface DoubleHintProps {
  readonly name: string;
  readonly hex: string;
  readonly kind: Kind;
}

/** Before something is added: is it here already? Said, never refused: doubles can be meant. */
export function DoubleHint({ name, hex, kind }: DoubleHintProps) {
  const { stash } = useStash();
  const where = useWhere(stash);
  const [askedName, askedHex] = [useDeferredValue(name.trim()), useDeferredValue(hex.trim())];
  const answer = useMemo(() => {
    const pile = (stash?.supplies ?? []).filter((supply) => supply.kind === kind);
    const byName =
      askedName.length > 2
        ? doIOwn(askedName, pile).answers.find(({ reason }) => reason.sort === 'exact')
        : undefined;
    if (byName) return byName;
    const colour = parseColour(askedHex);
    const near = colour.ok ? doIOwn(colour.hex, pile).answers[0] : undefined;
    return near?.reason.sort === 'near colour' && isSame(near) ? near : undefined;
  }, [stash, askedName, askedHex, kind]);
  if (!answer || !stash) return null;
  const { item, reason } = answer;
  const { have, meant } = sparesOf(item);
  const why = reason.sort === 'near colour' ? reason.difference.words : 'the same name';
  return (
    <Note sort="attention">
      <Txt>
        You have {item.name} already ({why}): {sayStock(item)} at {where(item) ?? 'no place'}.
        {have < meant ? ' A spare is still wanted.' : ''}
      </Txt>
    </Note>
  );
}
