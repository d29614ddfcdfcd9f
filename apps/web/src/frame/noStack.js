/** Stands in for what draws a stack and tabs of screens; the app draws neither. */
export const createNativeStackNavigator = () => ({ Navigator: () => null });
export const isNativeTabTrigger = () => false;
