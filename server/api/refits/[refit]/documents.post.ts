import { handle } from '../../../http/handle'
import { pathId, readBytes } from '../../../http/input'
import { keepDocument, mostDocumentBytes } from '../../../services/documents'
import { wholeRefit } from '../../../services/refits'

export default handle(async (event) => {
  await wholeRefit(pathId(event, 'refit'))
  return keepDocument(await readBytes(event, mostDocumentBytes, 'This document'))
})
