/** `data-…` attributes of an element, by which other code finds it again. */
export const marked = (dataSet: Readonly<Record<string, string>>): object => ({ dataSet });
