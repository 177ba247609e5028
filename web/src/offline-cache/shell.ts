/**
 * The shell of the application, kept by the browser: pages, pictures and fonts. Browsers do this on https and on the machine itself only;
 * on plain http in a local network a page that is open goes on without a network, but cannot be opened anew (docs/serving.md).
 */
import { ref } from 'vue'
import { registerSW } from 'virtual:pwa-register'

/** A newer Lea is here, and takes over when it is asked. */
export const newerLea = ref<(() => Promise<void>) | null>(null)

export function keepShell(): void {
  if (!('serviceWorker' in navigator)) return
  const update = registerSW({
    onNeedRefresh: () => {
      newerLea.value = () => update(true)
    },
  })
}
