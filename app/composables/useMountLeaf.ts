/** Which part of the mounting is looked at; the drawing beside it follows. */
export const useMountLeaf = () => useState<'plates' | 'otherwise' | 'depth'>('mount-leaf', () => 'plates')
