import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { sendZip } from '../../../http/sendZip'
import { exportRefit } from '../../../services/refitFile'

export default handle(async (event) => {
  const { name, entries } = await exportRefit(pathId(event, 'refit'))
  await sendZip(event, name, entries)
})
