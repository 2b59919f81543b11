/** Measures the letters of the drawing's typeface in Chromium and writes core/sequence/letters.ts. Run it when the typeface changes. */
import { readFileSync, writeFileSync } from 'node:fs'
import { chromium } from '@playwright/test'

const weights = [500, 600]
const characters = [
  ...Array.from({ length: 95 }, (_, index) => String.fromCharCode(32 + index)),
  ...Array.from({ length: 95 }, (_, index) => String.fromCharCode(161 + index)),
  ...'–—‘’“”…€°·×²³ĐđĀāĄąĆćČčĎďĒēĘęĚěĞğİıŁłŃńŇňŌōŐőŒœŘřŚśŞşŠšŤťŪūŮůŰűŹźŻżŽžȘșȚț',
].filter((one, index, all) => all.indexOf(one) === index)

const face = (weight, part) => {
  const file = `node_modules/@fontsource/barlow-condensed/files/barlow-condensed-${part}-${weight}-normal.woff2`
  return `@font-face{font-family:"b${part}";font-weight:${weight};src:url(data:font/woff2;base64,${readFileSync(file).toString('base64')})}`
}
const css = weights.flatMap((one) => [face(one, 'latin'), face(one, 'latin-ext')]).join('')
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' })
const page = await browser.newPage()
await page.setContent(
  `<style>${css} span{font:1000px blatin,"blatin-ext",sans-serif;font-variant-numeric:tabular-nums;white-space:pre;position:absolute}</style><body></body>`,
)
const widths = await page.evaluate(
  async ({ characters, weights }) => {
    const spans = weights.map((weight) => {
      const span = document.createElement('span')
      span.style.fontWeight = String(weight)
      document.body.append(span)
      return span
    })
    spans.forEach((span) => (span.textContent = characters.join('')))
    await document.fonts.ready
    return spans.map((span) =>
      characters.map((one) => {
        span.textContent = one
        return Math.ceil(span.getBoundingClientRect().width)
      }),
    )
  },
  { characters, weights },
)
await browser.close()
const rows = widths.map((list) => {
  const byWidth = new Map()
  list.forEach((width, index) => byWidth.set(width, (byWidth.get(width) ?? '') + characters[index]))
  return [...byWidth].sort((a, b) => a[0] - b[0])
})
const code = (list) =>
  list.map(([width, letters]) => `    [${width}, ${JSON.stringify(letters)}],`).join('\n')
writeFileSync(
  'core/sequence/letters.ts',
  `/** Written by scripts/letters.mjs: widths of the letters of Barlow Condensed, thousandths of the size, figures all of one width. */
export const letterWidths: Readonly<Record<${weights.join(' | ')}, readonly (readonly [number, string])[]>> = {
${weights.map((weight, index) => `  ${weight}: [\n${code(rows[index])}\n  ],`).join('\n')}
}
`,
)
