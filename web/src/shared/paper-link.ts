/** Where a paper of a session is fetched as PDF: by the clock of this device, in the size that lies in the printer. */
import { useLocalStorage, type RemovableRef } from '@vueuse/core'

const zone = encodeURIComponent(Intl.DateTimeFormat().resolvedOptions().timeZone)

/** The size that was chosen last on this device. */
export const usePaperSize = (): RemovableRef<string> => useLocalStorage('lea-paper', 'A4')

export const paperLink = (session: string, paper: string, size: string): string =>
  `/api/sessions/${session}/papers/${paper}.pdf?paper=${size}&zone=${zone}`
