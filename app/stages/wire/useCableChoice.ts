import type { CableModel } from '~~/core/job'
import { isCord } from '~~/core/wire'

/** What is chosen for all boxes and screens that a circuit feeds. */
export const FEEDERS = [
  { key: 'cable', title: 'Power cable', suits: ({ kind }: CableModel) => kind === 'power' },
  { key: 'cord', title: 'Cord', suits: ({ kind }: CableModel) => isCord(kind) },
] as const

/** The power cables and cords of the firm, and having the site hold them. */
export function useCableChoice() {
  const { offeredOf, optionsOf, take } = useModelChoice()
  const AUTOMATIC = { value: '', label: 'automatic' }
  const optionsFor = ({ suits }: typeof FEEDERS[number], used: string | undefined) =>
    [AUTOMATIC, ...optionsOf('cable', used, model => suits(model as CableModel))]
  /** The site holds every power cable and cord of the firm from then on, so that those that fit can be chosen. */
  function bring() {
    for (const model of offeredOf('cable', undefined) as CableModel[]) {
      if (FEEDERS.some(({ suits }) => suits(model))) take('cable', model.id)
    }
  }
  const offersNone = computed(() =>
    FEEDERS.filter(({ suits }) => !(offeredOf('cable', undefined) as CableModel[]).some(suits)).map(
      ({ title }) => title,
    ),
  )
  return { optionsFor, bring, take, offersNone }
}
