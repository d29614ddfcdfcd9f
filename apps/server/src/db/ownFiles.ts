/** Where the program that has a stash open says how it is reached. */
export const openedBeside = (file: string): string => `${file}-open.json`;

/** The lock that holds a stash for one program. */
export const lockBeside = (file: string): string => `${file}-lock`;

/** What SQLite keeps beside a database while it is open. */
const withSqlites = (file: string): string[] => [file, `${file}-wal`, `${file}-shm`, `${file}-journal`];

/**
 * Every file of a stash. While the stash is open nobody of this process may open one of them by another way than SQLite, but for the
 * log (`-wal`), on which SQLite holds no lock: closing it again would let go the locks the whole process has on it (POSIX advisory locks, fcntl(2)), and the next process
 * to join would make the index of the log anew under the one that reads it, which ends that with a bus error.
 */
export const ownFiles = (file: string): string[] => [
  ...withSqlites(file),
  ...withSqlites(lockBeside(file)),
  openedBeside(file),
];
