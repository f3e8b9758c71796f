import type { PaperName } from '~~/core/sheet'

/** Which paper the sheet is for, and whether it is looked at. */
export function useSheetView() {
  const { system } = useUnits()
  return { paper: useScreenState<PaperName>('sheet-paper', () => system.value === 'metric' ? 'a3' : 'letter'), preview: useScreenState('sheet-preview', () => false) }
}
