/** What is worked out of the whole stash and its history. */
export type Answers = 'gaps' | 'figures';

/** Reads and works out one of them, and answers it as JSON, UTF-8; wherever that is done. */
export type Reader = (what: Answers) => Promise<Buffer>;
