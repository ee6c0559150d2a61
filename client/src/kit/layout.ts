import { useWindowDimensions } from 'react-native';

/** From here on list and detail stand side by side, with the stages in a column. In rem, so that large text gets the narrow layout. */
const WIDE_REM = 56;

export function useWide(): boolean {
  const { width } = useWindowDimensions();
  const rem = typeof document === 'undefined' ? 16 : Number.parseFloat(getComputedStyle(document.documentElement).fontSize) || 16;
  return width / rem >= WIDE_REM;
}
