import { labOf, MEDIA, paperFor, whyPaper, type Medium } from '@red-shelf/core';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStash } from '../api/queries';
import { sayStock } from '../copy/supply';
import { many } from '../copy/words';
import { Waiting } from '../ui/Waiting';
import { ReasonRow } from '../row/ReasonRow';
import { space } from '../theme/tokens';
import { Choice } from '../ui/Choice';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { useWhere } from '../api/where';

const WHITES = ['any colour', 'white and cream'] as const;
/** Light and hardly coloured: what passes for white or cream. */
function isWhite(hex: string): boolean {
  const { l, a, b } = labOf(hex);
  return l >= 88 && Math.hypot(a, b) <= 14;
}
const SHOWN = 20;

/** "What do I use for this?": the person's own papers for a medium, with reasons. */
export function PaperScreen() {
  const { stash, error } = useStash();
  const where = useWhere(stash);
  const [medium, setMedium] = useState<Medium>('alcohol marker');
  const [white, setWhite] = useState<string>(WHITES[1]);
  const papers = useMemo(
    () =>
      (stash?.supplies ?? []).filter(
        ({ kind, hex, stock }) =>
          kind === 'cardstock' &&
          (stock.left > 0 || Object.keys(stock.parts).length > 0) &&
          (white === WHITES[0] || isWhite(hex)),
      ),
    [stash, white],
  );
  const found = useMemo(() => paperFor(medium, papers), [medium, papers]);
  if (!stash) return <Waiting error={error} />;
  return (
    <Page title="Paper for…" narrow aside={many(found.length, 'paper')}>
      <Choice
        label="For"
        options={MEDIA}
        value={medium}
        onChange={(word) => setMedium(MEDIA.find((each) => each === word) ?? medium)}
      />
      <Choice label="Of" options={WHITES} value={white} onChange={setWhite} />
      <Note>{`${whyPaper(medium)} What you noted under “Good for” comes first. Try a corner before a whole sheet.`}</Note>
      {found.length === 0 && (
        <Note sort="attention">
          {papers.length === 0
            ? 'You have no such paper left.'
            : 'None of these is known to suit. Note weight, surface or “Good for” on your papers, and they are judged.'}
        </Note>
      )}
      <View role="list" style={styles.list}>
        {found.slice(0, SHOWN).map(({ paper, reasons }) => (
          <ReasonRow
            key={paper.id}
            supply={paper}
            reason={`${reasons.join(', ')} · ${sayStock(paper)} · ${where(paper) ?? 'no place'}`}
          />
        ))}
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({ list: { marginHorizontal: -space.m } });
