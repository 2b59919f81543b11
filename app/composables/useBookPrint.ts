import { onScopeDispose, ref, shallowRef } from 'vue'
import { printBook } from '~/workers/bookLink'
import type { OwnWork } from '~/workers/ownWorker'

/** The book on its way to paper: how far it is, how it ended; ends with the view. */
export function useBookPrint() {
  const store = useRefitStore()
  const { refitAddress } = usePageAddress()
  const printing = shallowRef<OwnWork<Uint8Array> | null>(null)
  const said = ref('')
  const share = ref(0)
  const wrong = ref('')

  /** `query`: which book, as the server reads it. */
  async function print(query: string, name: string): Promise<void> {
    stop()
    wrong.value = ''
    share.value = 0
    said.value = 'Reading the sheets'
    const own = printBook(
      `/api/refits/${store.refitId}/book${query}`,
      refitAddress(),
      ({ pictures, of }) => {
        share.value = pictures / of
        said.value = pictures < of ? `Picture ${pictures} of ${of}` : 'Laying the pages'
      },
    )
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
  function stop(): void {
    printing.value?.stop()
    printing.value = null
  }
  onScopeDispose(stop)
  return { printing, said, share, wrong, print, stop }
}
