/** What is pointed at and what is chosen on the drawing: `member-3`, `departures-r1c2`, a hole's id. */
export const useSelection = () => ({
  hovered: useState<string>('hovered', () => ''),
  selected: useState<string>('selected', () => ''),
})
