import type { Operation } from '../model/words'

/** What the first words of a job most likely mean; the first line that fits counts. */
const hints: readonly (readonly [RegExp, Operation])[] = [
  [/\b(anti-?foul\w*|bottom paint)\b/, 'antifoul'],
  [/\bbarrier\b/, 'barrier'],
  [/\b(varnish\w*|oil(?:ing)? (?:the )?(?:teak|wood\w*))\b/, 'varnish'],
  [/\bprim(?:e|ing|er)\b/, 'prime'],
  [/\b(paint\w*|gelcoat)\b/, 'paint'],
  [/\b(re-?bed\w*|bed(?:ding)?|re-?seal\w*|seal(?:ing)?|caulk\w*)\b/, 'bed'],
  [/\b(re-?core\w*|laminat\w*|glass(?:ing)? (?:over|in|up)|fib(?:re|er) ?glass)\b/, 'laminate'],
  [/\b(sand\w*|grind\w*)\b/, 'grind'],
  [/\bfair(?:ing)?\b/, 'fair'],
  [/\b(fill(?:ing)?|inject\w*)\b/, 'fill'],
  [/\bdrill\w*\b/, 'drill'],
  [/\b(cut|cutting|saw)\b/, 'cut'],
  [/\bweld\w*\b/, 'weld'],
  [/\b(check\w*|inspect\w*|survey\w*|look at|measure\w*|find)\b/, 'survey'],
  [/\b(test\w*|prove|try|commission\w*)\b/, 'test'],
  [/\b(clean\w*|wash\w*|polish\w*|scrub\w*)\b/, 'clean'],
  [/\b(remov\w*|strip\w*|take (?:out|off|down)|un-?step\w*)\b/, 'strip'],
  [/\b(buy|order|get|source)\b/, 'buy'],
  [
    /\b(wir(?:e|es|ing)|electr\w*|light\w*|batter\w*|solar|cabl\w*|fuse\w*|switch\w*|radio|instrument\w*)\b/,
    'wire',
  ],
  [
    /\b(hose\w*|pip(?:e|es|ing)|pump\w*|tank\w*|valve\w*|sea ?cock\w*|toilet|heads?|plumb\w*|drain\w*)\b/,
    'plumb',
  ],
  [/\blabel\w*\b/, 'label'],
]

/** The kind of work a job's words speak of; 'fit' where they say nothing else. A guess that is shown and can be changed. */
export function guessOperation(title: string): Operation {
  const said = title.toLowerCase()
  return hints.find(([words]) => words.test(said))?.[1] ?? 'fit'
}
