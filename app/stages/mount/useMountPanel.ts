/** Which part of the mounting is looked at; the drawing beside it follows. */
export const useMountPanel = () => useScreenState<'plates' | 'remedies' | 'depth'>('mount-panel', () => 'plates')
