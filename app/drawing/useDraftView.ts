import type { InjectionKey, ComputedRef } from 'vue'

/** How the drawing lies on the screen: pixels a millimetre, and where a point of the wall comes to, px. */
export interface DraftView {
  scale: number
  x: (mm: number) => number
  y: (mm: number) => number
  /** The wall's x and y under a pixel. */
  wallX: (px: number) => number
  wallY: (px: number) => number
}

const DRAFT_VIEW: InjectionKey<ComputedRef<DraftView>> = Symbol('draft view')

export const provideDraftView = (view: ComputedRef<DraftView>) => provide(DRAFT_VIEW, view)

/** The view that the drawing around this component uses. */
export function useDraftView(): ComputedRef<DraftView> {
  const view = inject(DRAFT_VIEW)
  if (!view) throw new Error('This component draws inside a drafting view.')
  return view
}
