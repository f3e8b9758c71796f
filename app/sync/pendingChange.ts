import { clash, merge, same } from '~~/core/job'

/** A version of a document as the server has it. */
export interface Version<Doc> { version: number, doc: Doc }

/** A document with changes that the server does not have yet. */
export interface PendingChange<Doc, Theirs = unknown> {
  /** The server's version that it was made from, and the document as it was in it. */
  version: number
  base: Doc
  doc: Doc
  /** As it was sent and not answered: the server may have it already, so it is sent again before what is newer. */
  sent?: Doc
  /** What another person saved in between: it waits until a person has resolved that. */
  conflict?: Theirs
  /** Why the server refused it: it waits until it is changed. */
  refused?: string
}

/**
 * Where a change is on its way to the server: `saved` (there is none), `waiting` to be sent, `sent` and not answered,
 * `refused` or in `conflict` until a person decides.
 */
export type ChangeState = 'saved' | 'waiting' | 'sent' | 'refused' | 'conflict'

export function changeState<Doc>(change: PendingChange<Doc> | undefined): ChangeState {
  if (!change) return 'saved'
  if (change.conflict) return 'conflict'
  if (change.refused !== undefined) return 'refused'
  return change.sent ? 'sent' : 'waiting'
}

/** What happens to a change. */
export type ChangeEvent<Doc, Theirs>
  /** A person changed `before` to `after`; `from` is what the server had last, where nothing was waiting. */
  = | { kind: 'edited', before: Doc, after: Doc, from: Version<Doc> }
  /** It goes to the server; what was sent and not answered goes first. */
    | { kind: 'sending' }
  /** The server has `sent`, as `kept` (it may have given numbers). */
    | { kind: 'saved', sent: Doc, kept: Version<Doc> }
  /**
   * Another person saved `now` in between. Where both changed the same a person has to decide: between the two states
   * (`conflict`), or whether to send his values in place of the others' (`refused`).
   *
   * @param may whether the two together are a document that may be; absent: always
   */
    | {
      kind: 'overtaken'
      now: Version<Doc>
      aside: { conflict: Theirs } | { refused: string }
      may?: (doc: Doc) => boolean
    }
    | { kind: 'refused', sent: Doc, why: string }
  /** A person decided: from now on it is `doc`, made from the version `now` that the other saved. */
    | { kind: 'resolved', now: Version<Doc>, doc: Doc }
  /** A person has it sent again as it is. */
    | { kind: 'resent' }
    | { kind: 'discarded' }

/** What becomes of a change; `again` where there is more to send, `merged` where it was laid on another's. */
export interface Outcome<Doc, Theirs> {
  change: PendingChange<Doc, Theirs> | undefined
  again?: boolean
  merged?: boolean
}

type Change<Doc, Theirs> = PendingChange<Doc, Theirs>
type Of<Kind, Doc, Theirs> = Extract<ChangeEvent<Doc, Theirs>, { kind: Kind }>

function unsent<Doc, Theirs>({ sent: _, ...change }: Change<Doc, Theirs>): Change<Doc, Theirs> {
  return change
}

function edited<Doc, Theirs>(
  change: Change<Doc, Theirs> | undefined,
  { before, after, from }: Of<'edited', Doc, Theirs>,
): Outcome<Doc, Theirs> {
  const doc = merge(before, after, change?.doc ?? from.doc)
  // Where it is what the server had it is kept all the same: something else may be on its way there.
  if (!change) return { change: same(doc, from.doc) ? undefined : { version: from.version, base: from.doc, doc } }
  const { refused: _, ...waiting } = change
  return { change: { ...waiting, doc }, again: true }
}

/** What was changed and changed back needs no sending; what waits for a person is not sent. */
function sending<Doc, Theirs>(change: Change<Doc, Theirs> | undefined): Outcome<Doc, Theirs> {
  if (change && (change.conflict || change.refused !== undefined)) return { change }
  if (!change || (!change.sent && same(change.doc, change.base))) return { change: undefined }
  return { change: { ...change, sent: change.sent ?? change.doc } }
}

/** What was changed since it was sent is a change of the new version. */
function saved<Doc, Theirs>(
  change: Change<Doc, Theirs> | undefined,
  { sent, kept }: Of<'saved', Doc, Theirs>,
): Outcome<Doc, Theirs> {
  if (!change || same(change.doc, sent)) return { change: undefined }
  return {
    change: { ...unsent(change), version: kept.version, base: kept.doc, doc: merge(sent, change.doc, kept.doc) },
    again: true,
  }
}

/** Two people who changed different places are merged without asking; who changed the same is asked. */
function overtaken<Doc, Theirs>(
  change: Change<Doc, Theirs> | undefined,
  { now, aside, may = () => true }: Of<'overtaken', Doc, Theirs>,
): Outcome<Doc, Theirs> {
  if (!change) return { change }
  const waiting = unsent(change)
  const doc = merge(change.base, change.doc, now.doc)
  const laid = { ...waiting, version: now.version, base: now.doc, doc }
  const isMerged = !clash(change.base, change.doc, now.doc) && may(doc)
  if (isMerged) return { change: laid, again: true, merged: true }
  return { change: { ...('conflict' in aside ? waiting : laid), ...aside } }
}

/** Where only an earlier state of it was refused, the newer one is tried. */
function refused<Doc, Theirs>(
  change: Change<Doc, Theirs> | undefined,
  { sent, why }: Of<'refused', Doc, Theirs>,
): Outcome<Doc, Theirs> {
  if (!change) return { change }
  return same(change.doc, sent)
    ? { change: { ...unsent(change), refused: why } }
    : { change: unsent(change), again: true }
}

/**
 * What becomes of a change of a document by what happens to it: the one machine by which walls and the settings of the
 * programme are saved. Nothing that a person changed is lost on any way through it.
 *
 * @example changeAfter({ version: 1, base, doc }, { kind: 'saved', sent: doc, kept }) // { change: undefined }
 */
export function changeAfter<Doc, Theirs>(
  change: Change<Doc, Theirs> | undefined,
  event: ChangeEvent<Doc, Theirs>,
): Outcome<Doc, Theirs> {
  switch (event.kind) {
    case 'edited': return edited(change, event)
    case 'sending': return sending(change)
    case 'saved': return saved(change, event)
    case 'overtaken': return overtaken(change, event)
    case 'refused': return refused(change, event)
    case 'resolved': {
      const { now: { version, doc: base }, doc } = event
      return { change: same(doc, base) ? undefined : { version, base, doc }, again: true }
    }
    case 'resent': {
      if (!change) return { change }
      const { refused: _, ...waiting } = change
      return { change: waiting, again: true }
    }
    case 'discarded': return { change: undefined }
  }
}
