/** What is kept as a document is told by its bytes, whatever it is called. */
import { strToU8, zipSync } from 'fflate'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { beginFolder, endFolder } from './doorHarness'

const { keepDocument } = await import('../../server/services/documents')
beforeAll(beginFolder)
afterAll(endFolder)

const zip = (entries: Record<string, string>, level: 0 | 6 = 0) =>
  Buffer.from(
    zipSync(
      Object.fromEntries(
        Object.entries(entries).map(([name, text]) => [name, [strToU8(text), { level }] as const]),
      ),
    ),
  )
const contentTypes = (part: string) =>
  `<?xml version="1.0"?><Types><Override PartName="/x.xml" ContentType="application/vnd.openxmlformats-officedocument.${part}.main+xml"/></Types>`

describe('a document', () => {
  it.each([
    [
      'a word-processor file',
      zip({ '[Content_Types].xml': contentTypes('wordprocessingml.document'), 'word/a.xml': 'x' }),
      /wordprocessingml\.document$/,
    ],
    [
      'a spreadsheet',
      zip({ '[Content_Types].xml': contentTypes('spreadsheetml.sheet'), 'xl/a.xml': 'x' }),
      /spreadsheetml\.sheet$/,
    ],
    [
      'an open text',
      zip({ mimetype: 'application/vnd.oasis.opendocument.text', 'content.xml': '<a/>' }),
      /opendocument\.text$/,
    ],
    ['a data sheet', Buffer.from('%PDF-1.7 rest'), /^application\/pdf$/],
    ['a note', Buffer.from('Bedded 4 May, 12 °C\n'), /^text\/plain$/],
    ['a page, which is shown as text', Buffer.from('<html><script>1</script>'), /^text\/plain$/],
  ])('is %s', async (_, bytes, mime) => {
    expect((await keepDocument(bytes)).mime).toMatch(mime)
  })

  it.each([
    ['any other zip', zip({ 'word/nothing.exe': 'MZ', 'a.txt': 'word/ xl/' })],
    ['a program', Buffer.from([0x7f, 0x45, 0x4c, 0x46, 2, 1, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 2, 0])],
    ['text with control marks', Buffer.from('a\u0007b')],
    ['text that is not UTF-8', Buffer.from([0x61, 0xe9, 0x62])],
    ['a script', Buffer.from('#!/bin/sh\nls')],
    ['nothing', Buffer.alloc(0)],
  ])('is not %s', async (_, bytes) => {
    await expect(keepDocument(bytes)).rejects.toMatchObject({ status: 422 })
  })
})
