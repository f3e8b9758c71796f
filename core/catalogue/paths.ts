type Tree = Record<string, unknown>

/** The value at a path such as `vesa.offset.x`; undefined where the way ends before. */
export function valueAt(model: object, path: string): unknown {
  return path.split('.').reduce<unknown>((part, key) => (part as Tree | undefined)?.[key], model)
}

/**
 * Sets a value in place, making the objects on the way; `undefined` takes it out, and objects that this leaves empty.
 */
export function setAt(model: object, path: string, value: unknown): void {
  const [first, ...rest] = path.split('.') as [string, ...string[]]
  const tree = model as Tree
  if (rest.length === 0) {
    if (value === undefined) Reflect.deleteProperty(tree, first)
    else tree[first] = value
    return
  }
  if (tree[first] === undefined) {
    if (value === undefined) return
    tree[first] = {}
  }
  const inner = tree[first] as Tree
  setAt(inner, rest.join('.'), value)
  if (Object.keys(inner).length === 0) Reflect.deleteProperty(tree, first)
}
