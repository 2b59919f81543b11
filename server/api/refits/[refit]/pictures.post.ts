import { handle } from '../../../http/handle'
import { pathId, readBytes } from '../../../http/input'
import { keepPicture, mostPictureBytes } from '../../../services/pictures'
import { wholeRefit } from '../../../services/refits'

export default handle(async (event) => {
  await wholeRefit(pathId(event, 'refit'))
  return keepPicture(await readBytes(event, mostPictureBytes, 'This picture'))
})
