import { getQuery } from 'h3'
import { database } from '../../../db/connect'
import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { changedRowsSince } from '../../../services/journal'
import { lastSeq } from '../../../services/rows'

/** Catching up: rows touched after `?since=`, as they are now. */
export default handle(async (event) => {
  const { models } = await database()
  const refitId = pathId(event, 'refit')
  const since = Number(getQuery(event).since ?? 0) || 0
  const seq = await lastSeq(models, refitId)
  return { seq, rows: since < seq ? await changedRowsSince(models, refitId, since) : [] }
})
