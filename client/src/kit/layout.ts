import { useWindowDimensions } from 'react-native';

/** From here on list and detail stand side by side, with the stages in a column. */
const WIDE_PX = 900;

export const useWide = (): boolean => useWindowDimensions().width >= WIDE_PX;
