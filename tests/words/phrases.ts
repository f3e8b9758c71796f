/** A phrase that no text on a screen, sheet or command line has, and why. */
export interface Phrase { pattern: RegExp, why: string }

/** Phrases that are wrong in every context; terms that are right in some are in docs/words.md only. */
export const PHRASES: Phrase[] = [
  { pattern: /\b[Ww]hoever\b/, why: 'Name the role or say “anyone who”.' },
  { pattern: /\b[Ss]omebody\b/, why: 'Say “a person” or “another user”.' },
  { pattern: /\b(is|are|was|were) told\b/, why: 'Say what is shown, reported or known.' },
  { pattern: /\bwould just do\b/, why: 'Give the figure: “at least 5.3 mm”.' },
  { pattern: /\bas nobody chose\b/, why: 'Say “default”.' },
  { pattern: /\b[Bb]ring(s|ing)? in\b(?! from| at| the cable)|\bbrought in\b/, why: 'Say “import”.' },
  { pattern: /\b[Tt]ak(e|en|es) (it )?away\b/, why: 'Say “delete” (parts, files) or “remove” (people, days).' },
  { pattern: /\b(worked|working|works|work) (it )?out\b/, why: 'Say “calculate”.' },
  {
    pattern:
      /\bKeep the figures\b|\bGive it up\b|\bLeave it( as it was)?$|\bTake it$|\bEnd it\b|\bIt is done\b|\bDraw it\b/,
    why: 'A button is a verb and its object.',
  },
  { pattern: /\bMake an address\b/, why: 'Say “Create link”.' },
  { pattern: /\bW (as a rule|at most)\b/, why: 'Say “typical power (W)”, “max power (W)”.' },
  { pattern: /\bCame, or\b|\bhold its\b|\bGap across\b|\bGap up\b/, why: 'A field is a noun that is read by itself.' },
  { pattern: /\bof the moment\b/, why: 'Say “current plan”.' },
  { pattern: /\bstops? stands?\b|\bstands against\b/, why: 'Say “a stop is open” or “blocks this plan”.' },
  { pattern: /\bNothing here is\b/, why: 'Say what is missing and what to enter.' },
  { pattern: /\bThere is no .* (of this name )?here\b/, why: 'Say “Not found: …”.' },
  { pattern: /\b(un)?proved\b(?! dead)|\bnot proved\b/, why: 'Say “confirmed”, “unconfirmed”.' },
  { pattern: /\bplates? held\b|\bnot held\b/, why: 'Say “fixed”, “not fixed”.' },
  { pattern: /\bmembers? \d|\bno member\b|\b[Ff]raming member\b/, why: 'Say “stud”, or the piece of this wall.' },
  { pattern: /\b[Ll]ift aids?\b/, why: 'Say “lifting aid”.' },
  { pattern: /\bas a rule\b/, why: 'Say “typical” or “usually”.' },
  { pattern: /\b(upright|level) seams?\b/, why: 'Say “vertical seam”, “horizontal seam”.' },
  { pattern: /\b[Ll]ongest hop\b/, why: 'Say “daisy chain”, “link”.' },
  { pattern: /\btest picture\b/i, why: 'Say “test pattern”.' },
  { pattern: /\b[Pp]hotographs?\b(?!”)/, why: 'Say “photo”.' },
  { pattern: /\bmade ready\b/, why: 'Say “prepared”.' },
  { pattern: /\bretired?\b/i, why: 'Say “archive”, “archived”.' },
  { pattern: /\bSay (what|why|who|where|by when)\b/, why: 'Say “Enter …”.' },
  { pattern: /\bWrite (the|your|who|what)\b/, why: 'Say “Enter …”.' },
]
