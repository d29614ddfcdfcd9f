import { useWindowDimensions } from 'react-native';
import { WIDE_FROM } from '../theme/tokens';

/** True where the list and the thing stand side by side. */
export const useWide = (): boolean => useWindowDimensions().width >= WIDE_FROM;
