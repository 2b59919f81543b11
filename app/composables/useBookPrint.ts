import { onScopeDispose, ref, shallowRef } from 'vue'
import type { Block } from '#core/book/blocks'
import { printBook, printPages } from '~/workers/bookLink'
import type { OwnWork } from '~/workers/ownWorker'

/** The book on its way to paper: how far it is, how it ended; ends with the view. */
export function useBookPrint() {
  const store = useRefitStore()
  const { refitAddress } = usePageAddress()
  const printing = shallowRef<OwnWork<Uint8Array> | null>(null)
  const said = ref('')
  const share = ref(0)
  const wrong = ref('')

  /** Waits for pages under way and saves them under a name; what was under way before is left. */
  async function save(first: string, begin: () => OwnWork<Uint8Array>, name: string) {
    stop()
    wrong.value = ''
    share.value = 0
    said.value = first
    const own = begin()
    printing.value = own
    try {
      const bytes = await own.done
      if (printing.value === own)
        saveFile(name, bytes as Uint8Array<ArrayBuffer>, 'application/pdf')
    } catch (error) {
      if (printing.value === own) wrong.value = sentenceOf(error)
    } finally {
      if (printing.value === own) printing.value = null
    }
  }
  /** `query`: which book, as the server reads it. */
  const print = (query: string, name: string): Promise<void> =>
    save(
      'Reading the sheets',
      () =>
        printBook(
          `/api/refits/${store.refitId}/book${query}`,
          refitAddress(),
          ({ pictures, of }) => {
            share.value = pictures / of
            said.value = pictures < of ? `Picture ${pictures} of ${of}` : 'Laying the pages'
          },
        ),
      name,
    )
  /** Pages of text and tables that are known already. */
  const printBlocks = (title: string, blocks: readonly Block[], name: string): Promise<void> =>
    save('Laying the pages', () => printPages(title, blocks), name)
  function stop(): void {
    printing.value?.stop()
    printing.value = null
  }
  onScopeDispose(stop)
  return { printing, said, share, wrong, print, printBlocks, stop }
}
