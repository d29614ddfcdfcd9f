/** Whether a script only has to show that it runs: FIGURES=small, as the tests set it. */
const isSmall = process.env.FIGURES === 'small';

/** What a script measures with, or the least that shows it still runs. */
export const sized = <T,>(full: T, least: T): T => (isSmall ? least : full);
