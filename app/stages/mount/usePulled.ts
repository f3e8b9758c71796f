/** How far the chosen row is pulled out, from 0, pushed home, to 1, as far as its mount goes. */
export function usePulled() {
  return { pulled: useScreenState('pulled', () => 0) }
}
