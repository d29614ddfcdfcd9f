import { lineOf } from '@red-shelf/core';
import { z } from 'zod';

/** Shortest passphrase that opens a stash to other devices, in characters. */
export const LEAST_PASSPHRASE = 10;
/** Longer is not read. */
export const MOST_PASSPHRASE = 200;

const TOO_SHORT = `A passphrase has at least ${LEAST_PASSPHRASE} characters: four words that do not belong together are easy to keep in mind.`;
/** A passphrase as it is set. Spaces at its ends are a slip of the thumb. */
export const newPassphrase = z
  .string('A passphrase is a text.')
  .trim()
  .min(LEAST_PASSPHRASE, TOO_SHORT)
  .max(MOST_PASSPHRASE, `A passphrase has at most ${MOST_PASSPHRASE} characters.`);
const deviceName = lineOf('A device’s name', 60).min(1, 'Give this device a name.');

export const setPassphrase = z.object({ passphrase: newPassphrase });
export const namedDevice = z.object({ name: deviceName });
/** What a device says to be let in. */
export const enter = z.object({
  passphrase: z.string('Type the passphrase.').trim().min(1, 'Type the passphrase.').max(MOST_PASSPHRASE),
  name: deviceName,
});

/** A phone or another computer that was let in. */
const device = z.object({
  id: z.string(),
  name: z.string(),
  /** When it was let in, and when it last asked for something (UTC). */
  since: z.string(),
  seen: z.string(),
});
export type DeviceView = z.infer<typeof device>;

/** Whether the stash can be reached from the house's network, where, and by whom. */
export const shareView = z.object({
  /** `off`: this computer alone. `passphrase`: one has to be set first. `on`: reachable. */
  state: z.enum(['off', 'passphrase', 'on']),
  /** Why it cannot be reached although it was asked for, in a sentence. */
  because: z.string().nullable(),
  /** Addresses in the house's network, `https://…`. */
  addresses: z.array(z.string()),
  /** SHA-256 of the authority's certificate, in pairs of hexadecimal digits. */
  fingerprint: z.string().nullable(),
  /** Which device asks; null on the computer that holds the stash, or before it was let in. */
  asking: z.string().nullable(),
  /** Who was let in; a device sees itself alone. */
  devices: z.array(device),
});
export type ShareView = z.infer<typeof shareView>;
