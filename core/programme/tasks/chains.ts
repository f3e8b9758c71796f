import type { Task } from '../programme'

/** What has to be over before something can begin. */
type Linked = Pick<Task, 'id' | 'after'>

/**
 * A loop of tasks each of which waits for the next, or undefined where there is none: the ids in the order in which
 * they wait.
 */
export function loopIn(tasks: Linked[]): string[] | undefined {
  const byId = new Map(tasks.map(task => [task.id, task]))
  const done = new Set<string>()
  for (const { id: start } of tasks) {
    const way: string[] = []
    const on = new Set<string>()
    // By hand and not by calling itself, as a chain can be as long as there are tasks.
    const open: { id: string, next: number }[] = [{ id: start, next: 0 }]
    while (open.length > 0) {
      const at = open.at(-1)!
      const before = byId.get(at.id)?.after.filter(({ task }) => byId.has(task)) ?? []
      if (at.next === 0) {
        way.push(at.id)
        on.add(at.id)
      }
      const { task } = before[at.next++] ?? {}
      if (task === undefined || done.has(at.id)) {
        done.add(at.id)
        on.delete(at.id)
        way.pop()
        open.pop()
      }
      else if (on.has(task)) return way.slice(way.indexOf(task))
      else if (!done.has(task)) open.push({ id: task, next: 0 })
    }
  }
  return undefined
}

/**
 * For each task how long it is from its beginning to the end of the longest chain that follows, waits included, min. Of
 * tasks without a loop.
 */
export function tailsOf(tasks: Task[]): Map<string, number> {
  const followers = new Map<string, { task: Task, wait: number }[]>()
  for (const task of tasks)
    for (const { task: before, wait } of task.after)
      followers.set(before, [...(followers.get(before) ?? []), { task, wait }])
  const tails = new Map<string, number>()
  const order = inOrder(tasks).reverse()
  for (const { id, minutes } of order)
    tails.set(
      id,
      minutes + Math.max(0, ...(followers.get(id) ?? []).map(({ task, wait }) => wait + tails.get(task.id)!)),
    )
  return tails
}

/** Tasks so that none stands before what it waits for; otherwise as they came. Of tasks without a loop. */
export function inOrder(tasks: Task[]): Task[] {
  const byId = new Map(tasks.map(task => [task.id, task]))
  const placed = new Set<string>()
  const ordered: Task[] = []
  const open: Task[] = []
  for (const first of tasks) {
    open.push(first)
    while (open.length > 0) {
      const task = open.at(-1)!
      const before = placed.has(task.id)
        ? undefined
        : task.after.find(({ task: id }) => byId.has(id) && !placed.has(id))
      if (before) open.push(byId.get(before.task)!)
      else {
        open.pop()
        if (!placed.has(task.id)) ordered.push(task)
        placed.add(task.id)
      }
    }
  }
  return ordered
}
