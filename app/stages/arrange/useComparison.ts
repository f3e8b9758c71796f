/** Whether the alternatives of the wall are looked at side by side. */
export const useComparison = () => ({ comparing: useScreenState('arrange-comparing', () => false) })
