import { allBlocks } from './blocks'
import type { Block, DrawingBlock } from './blocks'

/** Marks that would be read as anything but themselves. */
const plain = (text: string): string =>
  text
    .replace(/[\\`*_[\]<>|#]/g, (mark) => `\\${mark}`)
    .replace(/\s*\n\s*/g, ' ')
    .trim()

const row = (cells: readonly string[]): string => `| ${cells.map(plain).join(' | ')} |`

const ending: Readonly<Record<string, string>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
}

/** Name of a picture's file beside the text. */
export const pictureName = (hash: string, mime: string): string =>
  `pictures/${hash}.${ending[mime] ?? 'jpg'}`

/** Drawings of a book with the names of their files, in order. */
export function drawingFiles(blocks: readonly Block[]): Map<DrawingBlock, string> {
  const drawings = allBlocks(blocks).flatMap((one) => (one.kind === 'drawing' ? [one] : []))
  return new Map(drawings.map((one, index) => [one, `drawings/${index + 1}.svg`]))
}

/** The blocks as Markdown. `isHere`: whether the file of a picture is there; one that is not is named as missing. */
export function markdownOf(blocks: readonly Block[], isHere: (hash: string) => boolean): string {
  const drawings = drawingFiles(blocks)
  const say = (block: Block): string => {
    switch (block.kind) {
      case 'heading':
        return `${'#'.repeat(block.level)} ${plain(block.text)}`
      case 'text':
        return plain(block.text)
      case 'list':
        return block.items.map((one) => `- ${plain(one)}`).join('\n')
      case 'sheets':
        return block.sheets.map((one) => `- ${plain(`${one.number} ${one.title}`)}`).join('\n')
      case 'table':
        return [
          row(block.head),
          row(block.head.map((_, at) => (block.sums?.includes(at) ? '---:' : '---'))),
          ...block.rows.map(row),
        ].join('\n')
      case 'picture':
        return isHere(block.hash)
          ? `![${plain(block.caption)}](${pictureName(block.hash, block.mime)})\n\n${plain(block.caption)}`
          : `(The file of this picture is missing: ${plain(block.caption) || block.hash.slice(0, 8)}.)`
      case 'drawing':
        return `![${plain(block.caption)}](${drawings.get(block) ?? ''})\n\n${plain(block.caption)}`
      case 'sheet':
        return [
          `### ${plain(`${block.number} ${block.title}`)}`,
          plain(block.facts),
          ...block.sections.flatMap((one) => [`#### ${plain(one.title)}`, ...one.blocks.map(say)]),
        ]
          .filter(Boolean)
          .join('\n\n')
    }
  }
  return `${blocks.map(say).join('\n\n')}\n`
}
