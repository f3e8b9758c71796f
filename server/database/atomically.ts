const underway = new WeakSet<object>()

interface Transacting { transaction: <Result>(act: () => Result, options: { behavior: 'immediate' }) => Result }

/**
 * Does something whole or not at all. Within something that is done so already it is a part of that: transactions are
 * not nested, as not every engine can.
 */
export function atomically<Result>(db: Transacting & object, act: () => Result): Result {
  if (underway.has(db)) return act()
  underway.add(db)
  try {
    return db.transaction(act, { behavior: 'immediate' })
  }
  finally {
    underway.delete(db)
  }
}
