/** Files and addresses kept beside the work. */
import { choice, fileHash, instant, integer, maybe, note, record, ref, text } from '../field'
import { kind } from '../kind'

/** A file kept beside a job or a product: never opened or run by the program. */
export const document = kind('document', {
  title: text('Document', 300),
  fileName: text('File', 300),
  hash: fileHash('File', 'documents'),
  mime: text('Type', 100),
  sizeBytes: integer('Size', { min: 1, max: 1e9, unit: 'B' }),
  jobId: maybe(ref('Job', 'job', { onDelete: 'goes' })),
  productId: maybe(ref('Product', 'product', { onDelete: 'goes' })),
})

/** An address written beside a job or a product. */
export const webLink = kind('link', {
  title: text('Link', 300),
  url: text('Address', 2000),
  jobId: maybe(ref('Job', 'job', { onDelete: 'goes' })),
  productId: maybe(ref('Product', 'product', { onDelete: 'goes' })),
})

/** An arrow or a ring drawn on a picture; shares of its width and height from the upper left. */
export interface PictureMark {
  readonly kind: 'arrow' | 'ring'
  readonly from: readonly [number, number]
  readonly to: readonly [number, number]
  readonly text: string
}

export const picture = kind('picture', {
  hash: fileHash('Picture', 'pictures'),
  mime: text('Type', 40),
  widthPx: integer('Width', { min: 1, max: 100_000, unit: 'px' }),
  heightPx: integer('Height', { min: 1, max: 100_000, unit: 'px' }),
  caption: note('Caption', 500),
  moment: choice('Moment', ['before', 'open', 'after', 'found', 'drawing'], 'found'),
  findingId: maybe(ref('Finding', 'finding')),
  jobId: maybe(ref('Job', 'job')),
  sheetId: maybe(ref('Sheet', 'asBuiltSheet')),
  bagId: maybe(ref('Bag', 'bag')),
  spendId: maybe(ref('Receipt of', 'spend', { onDelete: 'goes' })),
  signId: maybe(ref('Seen when signing', 'readySign', { onDelete: 'goes' })),
  /** Pictures of one spot are laid beside each other: before, open, after. */
  spot: note('Spot', 120),
  /** Notes on it, kept apart from the picture. */
  marks: record<readonly PictureMark[]>('Marks', []),
  takenAt: instant('Taken at'),
})
