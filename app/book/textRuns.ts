/** Fonts of the printed book, and which of them has a sign. */

/** Text, its letters with accents beyond western ones, and everything else; the narrow face for headings likewise. */
export type BookFont = 'Text' | 'TextMore' | 'Narrow' | 'NarrowMore' | 'Rest'

export interface TextRun {
  readonly text: string
  readonly font: BookFont
}

// The two faces come in two files each; what neither has is set in a third face, which knows Greek and Cyrillic.
const western =
  /^[\n\t\u0020-\u00ff\u0131\u0152\u0153\u02c6\u02da\u02dc\u2000-\u206f\u20ac\u2122]$/u
const more = /^[\u0100-\u02af\u1e00-\u1eff\u2113]$/u

/** A text in runs of one font each, so that no sign is left out for want of its letter. */
export function textRuns(text: string, isNarrow = false): TextRun[] {
  const [own, ownMore]: readonly BookFont[] = isNarrow
    ? ['Narrow', 'NarrowMore']
    : ['Text', 'TextMore']
  const runs: { text: string; font: BookFont }[] = []
  for (const sign of text) {
    const font = (western.test(sign) ? own : more.test(sign) ? ownMore : 'Rest') as BookFont
    const last = runs.at(-1)
    if (last?.font === font) last.text += sign
    else runs.push({ text: sign, font })
  }
  return runs
}
