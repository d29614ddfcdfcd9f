import { statSync } from 'node:fs';

/** Which file a path leads to, whatever links lead there: device and inode. Undefined where there is none. */
export function fileIdentity(path: string): string | undefined {
  const found = statSync(path, { bigint: true, throwIfNoEntry: false });
  return found && `${found.dev}-${found.ino}`;
}

/** The file of an open stash was removed or replaced: what would be written now would be gone with the next start. */
export class StashGone extends Error {
  constructor(
    readonly file: string,
    /** Where the stash as it was last known was saved, if it could be. */
    readonly rescued: string | null = null,
  ) {
    super(
      `The file of the stash, ${file}, was removed or replaced while Red Shelf was running. Nothing is written any more. ${
        rescued
          ? `Everything up to now is saved in ${rescued}: end Red Shelf, put that file in its place, and start again.`
          : 'End Red Shelf, put the file back, and start again.'
      }`,
    );
    this.name = 'StashGone';
  }
}
