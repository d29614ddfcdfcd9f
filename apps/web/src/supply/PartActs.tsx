import { formOf, PARTS } from '@red-shelf/core';
import type { StockRequestBody, SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { order, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { sayParts } from '../copy/supply';
import { useBegun } from '../form/useDraft';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { PART_LABEL } from '../form/PartFields';

const begun = z.object({
  asking: z.enum(['open', 'cut', 'count']),
  typed: z.record(z.string(), z.string()),
});
type Said = z.infer<typeof begun>;
type Asking = Said['asking'] | null;
const USUAL_PACK = 25;

/** Packs, cut bases and scraps of one card colour: open a pack, cut sheets, use a base or a scrap, count. */
export function PartActs({ supply }: { readonly supply: SupplyView }) {
  const [draft, setDraft, clear] = useBegun(`parts.${supply.id}`, begun);
  const [asking, setAsking] = useState<Asking>(draft?.asking ?? null);
  const act = useChange((body: StockRequestBody) => order(routes.actOnSupply, { id: supply.id, body }));
  const { parts } = formOf(supply.kind, supply.form);
  if (!parts) return null;
  const { pack = 0, base = 0, scrap = 0 } = supply.stock.parts;
  const close = (): void => {
    clear();
    setAsking(null);
  };
  const write = (body: StockRequestBody) => act.mutate(body, { onSuccess: close });
  const flip = (what: Asking) => (asking === what ? close() : setAsking(what));
  return (
    <View style={styles.box}>
      <Txt look="quiet">Beside the full sheets: {sayParts(supply) ?? 'no packs, bases or scraps'}</Txt>
      <View style={styles.row}>
        {pack > 0 && <Button label="Open a pack" onPress={() => flip('open')} />}
        {supply.stock.left > 0 && <Button label="Cut" onPress={() => flip('cut')} />}
        {base > 0 && (
          <Button label="Use a base" onPress={() => write({ act: 'use', amount: 1, of: 'base' })} />
        )}
        {scrap > 0 && (
          <Button label="Use a scrap" onPress={() => write({ act: 'use', amount: 1, of: 'scrap' })} />
        )}
        <Button label="Count these" onPress={() => flip('count')} />
      </View>
      {asking && (
        <Ask
          key={asking}
          said={draft?.asking === asking ? draft : startSaid(asking, supply)}
          supply={supply}
          busy={act.isPending}
          onType={setDraft}
          onWrite={write}
        />
      )}
    </View>
  );
}

/** Numbers being said, as typed, by field. */
function startSaid(asking: Said['asking'], { facts, stock }: SupplyView): Said {
  const perPack = facts.attributes?.perPack;
  return {
    asking,
    typed: {
      sheets: asking === 'open' ? String(typeof perPack === 'number' ? perPack : USUAL_PACK) : '1',
      madeBases: '2',
      madeScraps: '0',
      pack: String(stock.parts.pack ?? 0),
      base: String(stock.parts.base ?? 0),
      scrap: String(stock.parts.scrap ?? 0),
    },
  };
}

interface AskProps {
  readonly said: Said;
  readonly onType: (said: Said) => void;
  readonly supply: SupplyView;
  readonly busy: boolean;
  readonly onWrite: (body: StockRequestBody) => void;
}

function Ask({ said, supply, busy, onType, onWrite }: AskProps) {
  const { asking, typed } = said;
  const [refusal, setRefusal] = useState<string | null>(null);
  const field = (id: string, label: string) => (
    <Input
      label={label}
      value={typed[id] ?? ''}
      onChange={(text) => onType({ asking, typed: { ...typed, [id]: text } })}
      numeric
    />
  );
  const numbers = (...ids: string[]): number[] | null => {
    const read = ids.map((id) => (/^\d{1,6}$/.test((typed[id] ?? '').trim()) ? Number(typed[id]) : null));
    const whole = read.filter((n) => n !== null);
    setRefusal(whole.length < read.length ? 'Give whole numbers, from 0 up.' : null);
    return whole.length < read.length ? null : whole;
  };
  const submit = (): void => {
    if (asking === 'open') {
      const read = numbers('sheets');
      if (read) onWrite({ act: 'open', amount: 1, left: read[0] ?? 0 });
    } else if (asking === 'cut') {
      const [amount, items, left] = numbers('sheets', 'madeBases', 'madeScraps') ?? [];
      if (amount !== undefined) onWrite({ act: 'cut', amount, items: items ?? 0, left: left ?? 0 });
    }
  };
  const scarce = supply.facts.status === 'irreplaceable' || supply.facts.status === 'retired';
  if (asking === 'count')
    return (
      <View style={styles.box}>
        {PARTS.map((part) => (
          <View key={part} style={styles.row}>
            {field(part, PART_LABEL[part])}
            <Button
              label="Note it"
              says={`Note the count of ${PART_LABEL[part].toLowerCase()}`}
              busy={busy}
              onPress={() => {
                const read = numbers(part);
                if (read) onWrite({ act: 'count', items: 0, left: read[0] ?? 0, of: part });
              }}
            />
          </View>
        ))}
        {refusal && <Note sort="error">{refusal}</Note>}
      </View>
    );
  return (
    <View style={styles.box}>
      <View style={styles.row}>
        {field('sheets', asking === 'open' ? 'Sheets in the pack' : 'Sheets to cut')}
        {asking === 'cut' && field('madeBases', 'Bases made')}
        {asking === 'cut' && field('madeScraps', 'Scraps kept')}
      </View>
      {refusal && <Note sort="error">{refusal}</Note>}
      {asking === 'cut' && scarce && (
        <Note sort="attention">{`It is ${supply.facts.status} and cannot be bought again. A scrap may do.`}</Note>
      )}
      <Button
        label={asking === 'open' ? 'Note it: opened' : 'Note it: cut'}
        main
        busy={busy}
        onPress={submit}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
});
