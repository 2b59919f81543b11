import { setResponseHeader } from 'h3'
import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { exportRefit } from '../../../services/refitFile'

export default handle(async (event) => {
  const { name, bytes } = await exportRefit(pathId(event, 'refit'))
  setResponseHeader(event, 'Content-Type', 'application/zip')
  setResponseHeader(event, 'Content-Disposition', `attachment; filename="${name}"`)
  return Buffer.from(bytes)
})
