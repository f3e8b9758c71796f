import type { WallLine } from '~~/core/api/walls'

/** A wall in a list, with the next visit to it. */
export type ListedWall = WallLine & { next?: { crew: string, startsAt: string, zone: string } }

/** While states are being calculated, the list is asked for again after so long, ms. */
const AGAIN = 1_500

/** Every wall that is seen here, with its state; asked for again as long as any is being calculated. */
export function useWalls() {
  const walls = shallowRef<ListedWall[]>()
  const pending = ref(0)
  const failed = ref('')
  let timer: ReturnType<typeof setTimeout> | undefined
  async function load(): Promise<void> {
    try {
      const answer = await api<{ walls: ListedWall[], pending: number }>('/walls')
      walls.value = answer.walls
      pending.value = answer.pending
      failed.value = ''
      if (answer.pending > 0) timer = setTimeout(load, AGAIN)
    }
    catch (error) {
      failed.value = (error as Error).message
    }
  }
  onScopeDispose(() => clearTimeout(timer))
  return { walls, pending, failed, load }
}
