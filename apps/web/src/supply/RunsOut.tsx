import { forecastRunOut, leftInAll, usesIn } from '@red-shelf/core';
import type { LedgerView, SupplyView } from '@red-shelf/contract';
import { useMemo } from 'react';
import { sayAbout } from '../copy/when';
import { Txt } from '../ui/Txt';

interface RunsOutProps {
  readonly supply: SupplyView;
  readonly ledger: readonly LedgerView[];
}

/** When it is used up at the pace it is used, with how sure that is; nothing where that is not in sight. */
export function RunsOut({ supply, ledger }: RunsOutProps) {
  const { id, createdAt } = supply;
  const left = leftInAll(supply);
  const runsOut = useMemo(
    () =>
      left > 0
        ? forecastRunOut(usesIn(ledger, id), left, new Date().toISOString(), { since: createdAt }).runsOut
        : null,
    [ledger, id, createdAt, left],
  );
  if (!runsOut) return null;
  return (
    <Txt look="quiet">{`Used up ${sayAbout(runsOut)}, if it goes on as it went; so in four of five cases.`}</Txt>
  );
}
