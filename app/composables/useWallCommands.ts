import { ROOMS } from '~/stages'

/** What can be done on a wall whatever stage is worked on. */
export function useWallCommands(site: string, base: string): void {
  const store = useWallStore()
  const { toggle } = useUnits()
  useCommands([
    {
      id: 'undo',
      title: 'Undo',
      group: 'Everywhere',
      keys: ['ctrl+z'],
      when: () => store.history.past.length > 0,
      run: () => store.undo(),
    },
    {
      id: 'redo',
      title: 'Redo',
      group: 'Everywhere',
      keys: ['ctrl+shift+z', 'ctrl+y'],
      when: () => store.history.future.length > 0,
      run: () => store.redo(),
    },
    { id: 'units', title: 'Switch between mm and feet and inches', group: 'Everywhere', keys: ['u'], run: toggle },
    ...ROOMS.map((stage, index) => ({
      id: `go-${stage.id}`,
      title: stage.title,
      group: 'Go to' as const,
      keys: [String(index + 1)],
      run: () => void navigateTo(`${base}/${stage.id}`),
    })),
    { id: 'go-site', title: 'Walls of this site', group: 'Go to', run: () => void navigateTo(`/sites/${site}`) },
  ])
}
