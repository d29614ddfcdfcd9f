/** What is thinner is drawn so thick that it can be seen and hit, µm. */
const THINNEST_DRAWN_UM = 3000;

/**
 * Lengths one after another as they are drawn: thin ones thick enough to be seen, all of them closer together where that
 * would be more than there is. µm.
 */
export function inTurn(
  lengths: readonly number[],
  roomUm: number,
): readonly { readonly at: number; readonly long: number }[] {
  const drawn = lengths.map((length) => Math.max(THINNEST_DRAWN_UM, length));
  const sum = drawn.reduce((all, length) => all + length, 0);
  const scale = Math.min(1, roomUm / Math.max(1, sum));
  let at = 0;
  return drawn.map((length) => {
    const here = { at, long: length * scale };
    at += here.long;
    return here;
  });
}
