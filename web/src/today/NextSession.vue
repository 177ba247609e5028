<script setup lang="ts">
/** The next session, large: its patch, what to do before it, and the buttons to cook and to print. */
import { fillNames } from '@lea/core/plan'
import type { SessionCard } from '@lea/core/session'
import type { StoredSession } from '@lea/core/setting'
import { ShoppingBasket, PackageOpen, TriangleAlert, Clock } from '@lucide/vue'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import Notice from '../parts/Notice.vue'
import PaperLinks from '../parts/PaperLinks.vue'
import WovenPatch from '../parts/pictures/WovenPatch.vue'
import { inWords } from '../shared/api'
import { dayText } from '../shared/dates'
import { paperLink, usePaperSize } from '../shared/paper-link'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'

const props = defineProps<{
  session: StoredSession
  title: string
  /** How many come. */
  people: string
  card?: SessionCard
  fault: string
}>()
const emit = defineEmits<{ copy: [] }>()
const auth = useAuthStore()
const settingStore = useSettingStore()
const router = useRouter()
const refusal = ref('')
const beginning = ref(false)
const printing = ref(false)
const paper = usePaperSize()

const ICONS = {
  fix: TriangleAlert,
  read: PackageOpen,
  buy: ShoppingBasket,
  ready: Clock,
} as const
const cooking = computed(() => props.session.state === 'cooking')
const says = (text: string): string => fillNames(text, settingStore.names, 'an adult')

async function cook(): Promise<void> {
  if (!cooking.value) {
    beginning.value = true
    try {
      // The table's code is read when somebody begins, not with the first page.
      const session = (await import('../stores/session/session')).useSession()
      await session.open(props.session.id)
      refusal.value = (await session.cook()) ?? ''
    } catch (fault) {
      refusal.value = inWords(fault)
    } finally {
      beginning.value = false
    }
    if (refusal.value) return
  }
  await router.push(`/session/${props.session.id}/cook`)
}
</script>

<template>
  <article class="patch mb-8 grid gap-x-6 gap-y-4 p-4 md:grid-cols-[minmax(0,19rem)_1fr]">
    <WovenPatch v-if="card" :patch="card.patch" class="h-44 w-full" />
    <p v-else class="grid h-44 w-full place-items-center border border-line text-soft" role="status">
      {{ fault ? 'No plan yet' : 'Weaving …' }}
    </p>
    <div class="min-w-0">
      <p class="numeral text-lg">
        {{ cooking ? 'At the table now' : `${dayText(session.date)}, ${session.start}`
        }}<template v-if="card"> to {{ card.endsAt }}</template>
      </p>
      <h2 class="text-3xl leading-tight">
        <RouterLink class="hover:underline" :to="`/session/${session.id}/weave`">{{ title }}</RouterLink>
      </h2>
      <p class="text-soft">{{ people }}</p>
      <p
        v-if="!cooking && !fault"
        class="mt-2 min-h-6 font-semibold"
        :class="card && card.mustFix > 0 ? 'text-paprika' : ''"
      >
        {{ card?.stands }}
      </p>
      <Notice v-if="fault" tone="fault" class="mt-2">{{ fault }}</Notice>
      <Notice v-if="refusal" tone="fault" class="mt-2">{{ refusal }}</Notice>
      <div class="mt-3 flex flex-wrap gap-2">
        <button
          v-if="auth.isLeader() || cooking"
          type="button"
          class="btn btn-main min-h-12 px-6"
          :disabled="!cooking && (!card || card.mustFix > 0 || beginning)"
          @click="cook"
        >
          {{ cooking ? 'To the table' : beginning ? 'Opening the table …' : 'Cook' }}
        </button>
        <RouterLink
          v-if="card && card.mustFix > 0 && !cooking"
          class="btn min-h-12"
          :to="`/session/${session.id}/weave`"
          >Fix the problems</RouterLink
        >
        <RouterLink v-else class="btn min-h-12" :to="`/session/${session.id}/weave`"
          >Open the plan</RouterLink
        >
        <a
          v-if="auth.isLeader()"
          class="btn min-h-12"
          :href="paperLink(session.id, 'allergens', paper)"
          target="_blank"
          >Allergy sheet</a
        >
        <button
          v-if="auth.isLeader()"
          type="button"
          class="btn min-h-12"
          :aria-expanded="printing"
          @click="printing = !printing"
        >
          Print
        </button>
        <button
          v-if="auth.isLeader()"
          type="button"
          class="btn min-h-12"
          :aria-label="`Copy ${title}, ${dayText(session.date)}`"
          @click="emit('copy')"
        >
          Copy
        </button>
      </div>
      <PaperLinks v-if="printing" :id="session.id" class="mt-3" />
    </div>
    <!-- Its place is kept while the plan is made: what stands below does not move. -->
    <section v-if="!fault && !cooking" class="md:col-span-2" aria-labelledby="before-it">
      <h3 id="before-it" class="mb-1 text-lg">Before it</h3>
      <ul class="grid min-h-20 content-start gap-x-6 sm:grid-cols-2">
        <li
          v-for="row in card?.before ?? []"
          :key="`${row.at ?? ''}${row.says}`"
          class="border-t border-line py-1.5"
        >
          <RouterLink
            :to="`/session/${session.id}/${row.view}`"
            class="flex items-start gap-2 underline-offset-4 hover:underline"
          >
            <component
              :is="ICONS[row.kind]"
              class="mt-0.5 size-5 shrink-0"
              :class="row.kind === 'fix' ? 'text-paprika' : 'text-soft'"
              aria-hidden="true"
            />
            <span class="min-w-0"
              ><strong v-if="row.at" class="numeral mr-2">{{ row.at }}</strong
              ><span :class="row.kind === 'fix' ? 'font-semibold' : ''">{{ says(row.says) }}</span
              ><span v-if="row.what" class="block text-sm text-soft">{{ row.what }}</span></span
            >
          </RouterLink>
        </li>
      </ul>
    </section>
  </article>
</template>
