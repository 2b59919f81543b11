/** Every route of the server, and what may be sent there. A route without its row here fails a test. */
export type BodyKind = 'none' | 'change' | 'undo' | 'bytes' | 'name'

export interface Route {
  readonly method: 'GET' | 'POST' | 'DELETE'
  readonly path: string
  /** The file under server/api. */
  readonly file: string
  readonly body: BodyKind
  /** Words that stand behind the question mark. */
  readonly query?: readonly string[]
  /** Never asked at random: it would take away what the others ask for, or never ends. */
  readonly notAtRandom?: true
  /** A whole book or table takes as long as dozens of others. */
  readonly isHeavy?: true
}

const get = (path: string, file: string, query?: readonly string[]): Route => ({
  method: 'GET',
  path,
  file,
  body: 'none',
  ...(query ? { query } : {}),
})
const post = (path: string, file: string, body: BodyKind, query?: readonly string[]): Route => ({
  method: 'POST',
  path,
  file,
  body,
  ...(query ? { query } : {}),
})

export const routes: readonly Route[] = [
  get('/api/clock', 'clock.get.ts'),
  get('/api/copies', 'copies/index.get.ts'),
  post('/api/copies/put-back', 'copies/put-back.post.ts', 'name'),
  { ...post('/api/demo', 'demo.post.ts', 'none'), notAtRandom: true },
  get('/api/documents/:hash', 'documents/[hash].get.ts', ['name']),
  post('/api/import', 'import.post.ts', 'bytes', ['preview', 'replace']),
  get('/api/pictures/:hash', 'pictures/[hash].get.ts', ['small', 'print']),
  get('/api/refits', 'refits/index.get.ts'),
  get('/api/refits/:refit', 'refits/[refit]/index.get.ts'),
  {
    ...get('/api/refits/:refit', 'refits/[refit]/index.delete.ts'),
    method: 'DELETE',
    notAtRandom: true,
  },
  get('/api/refits/:refit/book', 'refits/[refit]/book.get.ts', ['system', 'copy']),
  {
    ...get('/api/refits/:refit/book.zip', 'refits/[refit]/book.zip.get.ts', ['system', 'copy']),
    isHeavy: true,
  },
  get('/api/refits/:refit/calendar.ics', 'refits/[refit]/calendar.ics.get.ts'),
  get('/api/refits/:refit/changes', 'refits/[refit]/changes.get.ts', ['since', 'epoch']),
  post('/api/refits/:refit/changes', 'refits/[refit]/changes.post.ts', 'change'),
  post('/api/refits/:refit/documents', 'refits/[refit]/documents.post.ts', 'bytes'),
  get('/api/refits/:refit/elsewhere', 'refits/[refit]/elsewhere.get.ts'),
  { ...get('/api/refits/:refit/events', 'refits/[refit]/events.get.ts'), notAtRandom: true },
  { ...get('/api/refits/:refit/export', 'refits/[refit]/export.get.ts'), isHeavy: true },
  get('/api/refits/:refit/history', 'refits/[refit]/history.get.ts'),
  get('/api/refits/:refit/hours.csv', 'refits/[refit]/hours.csv.get.ts'),
  get('/api/refits/:refit/jobs.csv', 'refits/[refit]/jobs.csv.get.ts'),
  get('/api/refits/:refit/missing', 'refits/[refit]/missing.get.ts'),
  get('/api/refits/:refit/money.csv', 'refits/[refit]/money.csv.get.ts'),
  get('/api/refits/:refit/parts.csv', 'refits/[refit]/parts.csv.get.ts'),
  { ...get('/api/refits/:refit/parts.xlsx', 'refits/[refit]/parts.xlsx.get.ts'), isHeavy: true },
  post('/api/refits/:refit/pictures', 'refits/[refit]/pictures.post.ts', 'bytes'),
  post('/api/refits/:refit/undo', 'refits/[refit]/undo.post.ts', 'undo'),
  get('/api/refits/:refit/weather', 'refits/[refit]/weather.get.ts'),
  get('/api/:anything', '[...path].ts'),
]
