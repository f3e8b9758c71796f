/** What a handover pack's own README says: what is in it, and how its log is checked without any product. */
export const packReadme = (site: string, wall: string, made: string): string => `Handover of ${wall}, ${site}
as of ${made} (the last entry of its log)

handover.pdf          what was built compared with the plan, to read and print
job.json              the whole site in an open format (wide-trellis-job, version 1): walls, models, rules, log
drawings/as-built.svg the wall as built; opens in any browser
drawings/as-built.dxf the same for CAD, in millimetres
schedule/holes.csv    every hole as planned and as drilled, mm
schedule/seams.csv    every seam as last read, mm
schedule/cables.csv   the cable schedule
schedule/screens.csv  screens with model, serial number and lock
photos/               photos, unedited
log.json              every entry of the site's log, in order, with its chain

How the log is checked. Each entry has seq, prev and hash. For each entry in turn: seq is one more than that of the
entry before (the first is 1); prev is the hash of the entry before (of the first: an empty text); hash is the SHA-256,
in hexadecimal, of the entry without its hash, written as canonical JSON (RFC 8785) in UTF-8. Where all three hold for
every entry, nothing was changed, removed or added since.

This pack is a plan and a record, not a certificate. Structure, electrical work, fire-rated walls and work at height are
subject to local code and licensed people.
`
