import { watch } from 'vue'
import { useRoute } from 'vue-router'
import { useSession } from '../stores/session/session'

/** The session of the page's path, opened, and opened anew when the path names another. */
export function useOpenSession(): ReturnType<typeof useSession> {
  const session = useSession()
  const route = useRoute()
  watch(
    () => String(route.params['id']),
    (id) => void session.open(id),
    { immediate: true },
  )
  return session
}
