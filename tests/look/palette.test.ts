/** Every pair of ink and ground that the pages use, by day and in low light, at the contrast WCAG calls AAA. */
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

const css = readFileSync(new URL('../../app/assets/main.css', import.meta.url), 'utf8')
const block = (selector: string): Map<string, string> => {
  const from = css.indexOf(`${selector} {`)
  const body = css.slice(from, css.indexOf('}', from))
  return new Map(
    [...body.matchAll(/--([\w-]+):\s*(#[0-9a-f]{6})/g)].map(([, name, value]) => [
      name ?? '',
      value ?? '',
    ]),
  )
}
const lights = { day: block(':root'), low: block(":root[data-light='low']") }

/** WCAG 2.2, relative luminance and contrast ratio. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const share = parseInt(hex.slice(at, at + 2), 16) / 255
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
  }) as [number, number, number]
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
const contrast = (a: string, b: string): number => {
  const [high, low] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number]
  return (high + 0.05) / (low + 0.05)
}

const grounds = ['paper', 'sheet']
const pairs: readonly (readonly [ink: string, ground: string])[] = [
  ...['ink', 'ink2', 'redlead', 'verdigris', 'brass-deep', 'water-deep'].flatMap((ink) =>
    grounds.map((ground) => [ink, ground] as const),
  ),
  ...['brass-tint', 'redlead-tint', 'verdigris-tint'].map((ground) => ['ink', ground] as const),
  ['ink2', 'brass-tint'],
  ['verdigris', 'verdigris-tint'],
  ...['ink', 'ink2', 'redlead', 'verdigris', 'water-deep'].map((g) => ['sheet', g] as const),
  ['on-brass', 'brass'],
]

describe('the palette', () => {
  it('is read: black on white is 21, and both lights have every colour', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21)
    expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2)
    expect([...lights.low.keys()].sort()).toEqual([...lights.day.keys()].sort())
    expect(lights.day.size).toBeGreaterThan(15)
  })

  it.each(Object.entries(lights))('reads at 7 to 1 in %s light', (_, colours) => {
    const faint = pairs
      .map(([ink, ground]) => {
        const ratio = contrast(colours.get(ink) ?? '', colours.get(ground) ?? '')
        return `${ink} on ${ground} ${ratio.toFixed(1)}`
      })
      .filter((said) => !(Number(said.split(' ').at(-1)) >= 7))
    expect(faint).toEqual([])
  })
})
