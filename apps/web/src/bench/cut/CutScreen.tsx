import { isCutToSize } from '@red-shelf/core';
import { router, useLocalSearchParams } from 'expo-router';
import { useStash } from '../../api/queries';
import { words } from '../../copy/words';
import { useBegun } from '../../form/useDraft';
import { Caution } from '../../ui/Caution';
import { Note } from '../../ui/Note';
import { Page } from '../../ui/Page';
import { Waiting } from '../../ui/Waiting';
import { CardCuts } from './CardCuts';
import { CardPicker } from './CardPicker';
import { cutChoice, newCard, type CardChoice } from './choice';
import { Trimmer } from './Trimmer';

/** Which panels are wanted of which card; scraps first, then sheets; each cut drawn, and what remains kept. */
export function CutScreen() {
  const { supply: asked } = useLocalSearchParams<{ supply?: string }>();
  const { stash, error } = useStash();
  const [begun, setBegun] = useBegun('cut', cutChoice);
  if (!stash) return <Waiting error={error} />;
  const known = (begun?.cards ?? []).filter(({ supplyId }) => stash.byId.get(supplyId));
  const one = asked ? stash.byId.get(asked) : undefined;
  const isNew = one && isCutToSize(one);
  const cards =
    isNew && known.every(({ supplyId }) => supplyId !== one.id) ? [newCard(one.id), ...known] : known;
  const keep = (next: readonly CardChoice[]): void => setBegun({ cards: [...next] });
  return (
    <Page title="Cut" aside="Scraps first, then sheets">
      <Caution id="blade.trimmer">{words.blade}</Caution>
      <Trimmer />
      {cards.length === 0 && (
        <Note>
          Choose a card, say which panels you want of it, and see how they come out of what you have.
        </Note>
      )}
      {cards.map((card) => (
        <CardCuts
          key={card.supplyId}
          card={card}
          stash={stash}
          onChange={(next) => keep(cards.map((each) => (each === card ? next : each)))}
          onRemove={() => {
            keep(cards.filter((each) => each !== card));
            router.setParams({ supply: undefined });
          }}
        />
      ))}
      <CardPicker
        stash={stash}
        chosen={new Set(cards.map(({ supplyId }) => supplyId))}
        onPick={(id) => keep([...cards, newCard(id)])}
      />
    </Page>
  );
}
