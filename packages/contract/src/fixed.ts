/** Names that both sides know by heart. */

/** Headers that name a command. */
export const COMMAND_ID = 'Command-Id';
export const COMMAND_AT = 'Command-At';

/** The one record of preferences there is. */
export const PREFERENCES_ID = 'preferences';
