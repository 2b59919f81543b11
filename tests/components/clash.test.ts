import { describe, expect, it, vi } from 'vitest'
import { emptyRefit, job } from '#core/testing/build'
import { problem } from '#shared/problems'
import { api } from '../../app/utils/api'
import { openOn } from './fakeServer'

const patch = (title: string) =>
  ({ op: 'patch', entity: 'job', id: 'deck', baseVersion: 1, patch: { title } }) as const

describe('a clash', () => {
  it('keeps mine on top of what was shown as theirs, and not of what nobody saw', async () => {
    const rows = emptyRefit()
    job(rows, 'deck', { title: 'Deck' })
    job(rows, 'mast', { title: 'Mast' })
    const { server, store } = await openOn(rows)
    const theirs = {
      entity: 'job',
      id: 'deck',
      field: 'title',
      label: 'title',
      yours: 'Mine',
      theirs: 'Theirs',
      theirVersion: 4,
    } as const
    server.refusal = { status: 409, problem: problem('clash', 'Twice', { clashes: [theirs] }) }
    const other = { ...patch('Mizzen'), id: 'mast' }
    expect(await store.attempt('Call it', [patch('Mine'), other])).toBe(false)
    expect(store.clash?.clashes).toEqual([theirs])
    store.setClashAside()
    expect([store.clash, store.aside.length]).toEqual([null, 1])
    store.takeUpClash()
    server.refusal = null
    await store.keepMine()
    expect(server.changes.at(-1)?.items).toEqual([{ ...patch('Mine'), baseVersion: 4 }, other])
    expect([store.clash, store.aside.length]).toEqual([null, 0])
  })

  it('takes an answer that breaks off for none', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('{"seq": 1', { status: 200 })))
    await expect(api('/api/refits/r')).rejects.toMatchObject({ status: 0 })
  })
})
