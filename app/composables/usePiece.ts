import { pieceOf } from '~~/core/survey'

/** What the open wall is fixed to, in a word: studs, battens of a furring, or joints to keep clear of. */
export function usePiece() {
  const store = useWallStore()
  const { drawn } = useWallPlan()
  const piece = computed(() => drawn.value?.piece ?? (store.shown && pieceOf(store.shown)) ?? 'stud')
  const Piece = computed(() => piece.value.replace(/^./, letter => letter.toUpperCase()))
  return { piece, Piece, pieces: computed(() => `${piece.value}s`) }
}
