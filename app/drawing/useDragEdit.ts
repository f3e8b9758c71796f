import type { Wall } from '~~/core/job'

/** What a hand on the drawing is doing to the wall: shown as it goes, and one edit when it lets go. */
export function useDragEdit() {
  const store = useWallStore()
  let preview: { label: string, recipe: (wall: Wall) => void } | undefined
  return {
    show(label: string, recipe: (wall: Wall) => void) {
      preview = { label, recipe }
      store.tryOut(recipe)
    },
    letGo() {
      if (preview) store.edit(preview.label, preview.recipe)
      preview = undefined
    },
  }
}
