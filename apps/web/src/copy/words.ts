/** Words the app says, in one place: plain, short, never blaming. */
export const words = {
  search: 'Colour, name, code or place',
  clearSearch: 'Clear the search',
  dismiss: 'Put this message away',
  undo: 'Undo',
  historyAway: 'Its history is with Red Shelf, which cannot be reached now.',
  loading: 'Fetching your stash…',
  offline: 'Red Shelf does not answer. Check that it is still running, then try again.',
  notUnderstood: 'Red Shelf answered something this page does not understand. Load the page again.',
  emptyWall: 'No racks yet. Put one up, and your stash has somewhere to stand.',
  emptyStash: 'Nothing here yet. Take one pile, say once what it is, and name its colours one after another.',
  nothingFound: 'Nothing matches. Try fewer words.',
  heavy:
    'Tall or wall-hung storage: fix it to studs or proper anchors and keep to the maker’s load. Paper is heavy. Do not climb furniture. The maker’s instructions and a qualified person come before this app.',
  tallAndFree:
    'Tall furniture that nothing holds can be pulled over: fix it to the wall, with what its maker gives for that and what suits your wall; ask somebody qualified where you are not sure. Heavy things go lowest.',
  solvent:
    'Alcohol inks, solvents and sprays: air the room, keep them from flames and heat tools, and out of children’s reach. Follow the maker’s instructions.',
  blade:
    'Punches and cutters have blades: use the guard, cut away from your hand, and keep them from children. Follow the maker’s instructions.',
  heat: 'Powders and foils are set with heat: tools and metal stay hot and burn. Let them cool, air the room, and follow the maker’s instructions.',
  small: 'Small parts can be swallowed. Keep gems, buttons, beads and magnets from small children and pets.',
} as const;

/** `12,345`; the browser's own way takes a noticeable while to start. */
export const thousands = (n: number): string => String(n).replace(/\B(?=(?:\d{3})+$)/g, ',');

/** `1 supply`, `2 supplies`. */
export const many = (n: number, one: string, more = `${one}s`): string =>
  `${thousands(n)} ${n === 1 ? one : more}`;

/** "red, orange and yellow". */
export function listOf(said: readonly string[]): string {
  const last = said.at(-1) ?? '';
  return said.length > 1 ? `${said.slice(0, -1).join(', ')} and ${last}` : last;
}
