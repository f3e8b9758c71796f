import type { PaperName } from '~~/core/sheet'

/** Which part of Mark is worked on, which paper and scale the sheet is for, and whether it is looked at. */
export function useSheetView() {
  const { system } = useUnits()
  return {
    panel: useScreenState<'marking' | 'issue' | 'sheets'>('mark-panel', () => 'marking'),
    paper: useScreenState<PaperName>('sheet-paper', () => system.value === 'metric' ? 'a3' : 'letter'),
    scale: useScreenState<number | undefined>('sheet-scale', () => undefined),
    preview: useScreenState('sheet-preview', () => false),
    /** Whether a draft of the plan of the moment is wanted though a revision was issued. */
    draft: useScreenState('sheet-draft', () => false),
    /** Letters of the revision against which the one after it is looked at; empty for none. */
    compared: useScreenState('mark-compared', () => ({ from: '', to: '' })),
  }
}
