import type { ShareView } from '@red-shelf/contract';
import { renderUnicodeCompact } from 'uqr';

const HOUSE_ONLY = 'Share it in your own house’s network only, not in a café or a hotel.';

/** What the terminal says when the house's network cannot reach the stash; `because` is a sentence. */
export const notShared = (because: string): string =>
  `Phones cannot reach this stash; on this computer it works as always. ${because}`;

/** What the terminal says of sharing; `local` is where this computer reaches the stash. */
export function saidOfSharing({ state, because, addresses }: ShareView, local: string): string {
  if (because) return notShared(because);
  if (state === 'passphrase') return `To share it, set a passphrase first: ${local}/settings/phone`;
  const [first = ''] = addresses;
  return [
    `Shared in the house’s network: ${addresses.join('  ')}`,
    '',
    renderUnicodeCompact(first, { border: 2 }),
    '',
    `How a phone comes to trust it, and which devices were let in: ${local}/settings/phone`,
    HOUSE_ONLY,
  ].join('\n');
}
