import { UNUSED_WHY, type UnusedWhy, type Verdict } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { addYears } from 'date-fns/addYears';
import { format } from 'date-fns/format';
import { order, routes } from '../../api/client';
import { useChange } from '../../api/useChange';
import { ReasonRow } from '../../row/ReasonRow';
import { UseButton } from '../../row/UseButton';
import { useFactsChange } from '../../api/useSupplyChange';
import { Button } from '../../ui/Button';
import { Chip } from '../../ui/Chip';
import type { Look } from '../../judge/lookAt';

const useVerdict = (supply: SupplyView) =>
  useChange((verdict: Verdict) =>
    order(routes.decideSupply, { id: supply.id, body: { version: supply.version, verdict } }),
  );

/** A thing that might leave: keep it, pass it on, let it go. */
export function LeaveRow({ supply, reason }: Look) {
  const decide = useVerdict(supply);
  return (
    <ReasonRow supply={supply} reason={reason}>
      <Button
        label="Pass on"
        says={`Pass on: ${supply.name}`}
        disabled={decide.isPending}
        onPress={() => decide.mutate('pass on')}
      />
      <Button
        label="Let go"
        says={`Let go: ${supply.name}`}
        disabled={decide.isPending}
        onPress={() => decide.mutate('let go')}
      />
    </ReasonRow>
  );
}

/** A trial to decide on. */
export function TrialRow({ supply, reason }: Look) {
  const decide = useVerdict(supply);
  return (
    <ReasonRow supply={supply} reason={reason}>
      <Button
        label="Keep"
        says={`Keep: ${supply.name}`}
        main
        disabled={decide.isPending}
        onPress={() => decide.mutate('keep')}
      />
      <Button
        label="Pass on"
        says={`Pass on: ${supply.name}`}
        disabled={decide.isPending}
        onPress={() => decide.mutate('pass on')}
      />
    </ReasonRow>
  );
}

/** A purpose that may have come back. */
export function DormantRow({ supply, reason }: Look) {
  const change = useFactsChange(supply);
  const { dormant, ...awake } = supply.facts;
  if (!dormant) return null;
  const wakeOn = format(addYears(new Date(), 1), 'yyyy-MM-dd');
  return (
    <ReasonRow supply={supply} reason={reason}>
      <Button
        label="It is back"
        says={`It is back: ${supply.name}`}
        disabled={change.isPending}
        onPress={() => change.mutate(awake)}
      />
      <Button
        label="Another year"
        says={`Sleep another year: ${supply.name}`}
        disabled={change.isPending}
        onPress={() => change.mutate({ ...awake, dormant: { ...dormant, wakeOn } })}
      />
    </ReasonRow>
  );
}

/** Something forgotten: one tap says it was used. */
export function ForgottenRow({ supply, reason }: Look) {
  return (
    <ReasonRow supply={supply} reason={reason}>
      <UseButton supply={supply} />
    </ReasonRow>
  );
}

/** Something never used; the person says why, and "do not like it" puts it up for sorting out. */
export function UnusedRow({ supply, reason }: Look) {
  const change = useFactsChange(supply);
  const { whyUnused, ...rest } = supply.facts;
  const flip = (why: UnusedWhy): void =>
    change.mutate(whyUnused === why ? rest : { ...rest, whyUnused: why });
  return (
    <ReasonRow supply={supply} reason={reason}>
      {UNUSED_WHY.map((why) => (
        <Chip key={why} many label={why} on={whyUnused === why} onPress={() => flip(why)} />
      ))}
    </ReasonRow>
  );
}
