/** Text of a file whatever it was saved in: UTF-8, UTF-16 either way, else Windows-1252. */
export interface Decoded {
  readonly text: string
  readonly encoding: 'UTF-8' | 'UTF-16' | 'Windows-1252'
}

const startsWith = (bytes: Uint8Array, mark: readonly number[]): boolean =>
  mark.every((byte, index) => bytes[index] === byte)

/** Bytes looked at to see whether every other one is nothing, as UTF-16 of western text has it. */
const looked = 2000

function zeroShare(bytes: Uint8Array, parity: 0 | 1): number {
  const end = Math.min(bytes.length, looked)
  let zeros = 0
  let all = 0
  for (let at = parity; at < end; at += 2) {
    all++
    if (bytes[at] === 0) zeros++
  }
  return all === 0 ? 0 : zeros / all
}

/**
 * Decodes a text file by its mark, by the look of its bytes, or as the old western code page of spreadsheets.
 * Any bytes give some text; whether it is a list is for the reader to say.
 */
export function decodeText(bytes: Uint8Array): Decoded {
  const as = (label: string) => new TextDecoder(label).decode(bytes)
  if (startsWith(bytes, [0xff, 0xfe]) || zeroShare(bytes, 1) > 0.4)
    return { text: as('utf-16le'), encoding: 'UTF-16' }
  if (startsWith(bytes, [0xfe, 0xff]) || zeroShare(bytes, 0) > 0.4)
    return { text: as('utf-16be'), encoding: 'UTF-16' }
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' }
  } catch (error) {
    if (error instanceof TypeError) return { text: as('windows-1252'), encoding: 'Windows-1252' }
    throw error
  }
}
