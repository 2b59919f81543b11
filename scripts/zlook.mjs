import { onDemo } from './demoServer.mjs'
import { writeFileSync } from 'node:fs'
await onDemo(4390, async ({ url, id, browser }) => {
  {
    const p = await browser.newPage(); await p.goto(`${url}/r/${id}/settings`)
    for (;;) { const a = await (await fetch(`${url}/api/refits/${id}`)).json(); if (a.rows.odds.length) break; await p.waitForTimeout(500) }
    await p.close()
  }
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()

  await page.goto(`${url}/r/${id}/today`, { waitUntil: 'commit' })
  await page.getByRole('heading', { level: 1 }).first().waitFor()
  const r = await page.evaluate(() => performance.getEntriesByType('resource').map((e) => [e.name.split('/').pop().slice(0,24), Math.round(e.startTime), Math.round(e.responseEnd), Math.round(e.decodedBodySize/1000)]))
  r.sort((a,b)=>a[1]-b[1]); console.log(r.length, r.reduce((x,y)=>x+y[3],0)); for (const x of r.filter(x=>x[3]>15||/[a-z]{6}/.test(x[0])&&!x[0].endsWith('.js'))) console.log(x.join(' '))
})
