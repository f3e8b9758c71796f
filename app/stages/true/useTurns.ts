import { createSharedComposable } from '@vueuse/core'
import type { Move } from '~~/core/true'

const keyOf = ({ screen, adjuster }: Pick<Move, 'screen' | 'adjuster'>) => `${screen} ${adjuster}`
/** Screws are told by eighths of a turn; a slide by tenths of a millimetre. */
const stepOf = ({ turns }: Pick<Move, 'turns'>) => turns === undefined ? 0.1 : 0.125

/**
 * What was turned of what is reported, and what was turned otherwise; and whether the drawing shows the seams as read
 * or as they will be.
 */
export const useTurns = createSharedComposable(() => {
  const { alignment, last } = useTruing()
  /** How far each was turned, turns or mm, by screen and adjuster; absent where it was not. */
  const made = ref<Record<string, number>>({})
  const then = useScreenState('true-then', () => false)
  watch(() => last.value?.id, () => { made.value = {} })
  const told = (move: Move) => move.turns ?? move.mm
  /** What is too little to be turned, or slid by eye, is not told. */
  const moves = computed(() => (alignment.value?.moves ?? []).filter(move => Math.abs(told(move)) >= stepOf(move) / 2))
  const tick = (move: Move, on: boolean) => {
    const { [keyOf(move)]: _, ...others } = made.value
    made.value = on ? { ...others, [keyOf(move)]: told(move) } : others
  }
  const by = (move: Move, steps: number) => {
    made.value = {
      ...made.value,
      [keyOf(move)]: Math.round(((made.value[keyOf(move)] ?? told(move)) + steps * stepOf(move)) * 1000) / 1000,
    }
  }
  const otherwise = (move: Move) =>
    made.value[keyOf(move)] !== undefined && Math.abs(made.value[keyOf(move)]! - told(move)) > 1e-9
  /** As an entry of the log has them. */
  const entries = () =>
    moves.value.flatMap(move =>
      made.value[keyOf(move)] === undefined
        ? []
        : [
            {
              screen: move.screen,
              adjuster: move.adjuster,
              ...(move.turns === undefined ? { mm: made.value[keyOf(move)]! } : { turns: made.value[keyOf(move)]! }),
            },
          ],
    )
  return {
    made,
    then,
    moves,
    keyOf,
    tick,
    by,
    otherwise,
    entries,
    all: () => {
      made.value = Object.fromEntries(moves.value.map(move => [keyOf(move), told(move)]))
    },
    clear: () => {
      made.value = {}
    },
  }
})
