/** Others have their turn: what waits for a touch, and what is to be painted. */
export const othersFirst = (): Promise<void> => new Promise((go) => setTimeout(go));
