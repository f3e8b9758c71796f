/** Id of the hole that is worked on; empty for the first. */
export const useCurrentHole = () => useScreenState('hang-current', () => '')
