<script setup lang="ts">
/** The shelf: every recipe, those first that the next group can make, with what stands against the others. */
import { countText } from '@lea/core/amount'
import { computed, onMounted, ref, watch } from 'vue'
import { type ShelfFilter, isWanted } from '@lea/core/choose'
import { pictureOf } from '@lea/core/recipe'
import Notice from '../parts/Notice.vue'
import Picture from '../parts/pictures/Picture.vue'
import StillLife from '../parts/pictures/StillLife.vue'
import FitLine from '../choose/FitLine.vue'
import RecipeFacts from '../choose/RecipeFacts.vue'
import ShelfFilters from '../choose/ShelfFilters.vue'
import ShelfWaiting from '../choose/ShelfWaiting.vue'
import { useGroup } from '../choose/useGroup'
import { usePieces } from '../choose/usePieces'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { useShelf } from '../stores/shelf'
import { startPool } from '../workers/pool'

const settingStore = useSettingStore()
const auth = useAuthStore()
const shelf = useShelf()
const group = useGroup()
const filter = ref<ShelfFilter>({})

/** What stands on the shelf is of this group. */
const ours = ref(false)
startPool()
async function look(): Promise<void> {
  const wish = group.isEmpty.value ? null : shelf.wishOf(group.session.value)
  ours.value = true
  if (wish) await shelf.look(wish)
}
onMounted(async () => {
  await settingStore.load()
  await look()
})
watch(
  () => JSON.stringify(group.session.value),
  () => settingStore.loaded && void look(),
)

const waiting = computed(() => !group.isEmpty.value && (!ours.value || shelf.looking))
const byId = computed(() => new Map(shelf.standing.map((s) => [s.row.id, s])))
/** In the order of the shelf; what could not be looked at stands behind. */
const rows = computed(() => {
  const looked = shelf.standing.map((s) => s.row)
  const rest = settingStore.recipes.filter((r) => !byId.value.has(r.id))
  if (waiting.value && looked.length === 0) return []
  return [...looked, ...rest].filter((r) =>
    isWanted(r.recipe, r.facts, filter.value, byId.value.get(r.id)?.look),
  )
})
const { shown, next, more } = usePieces(rows)
</script>

<template>
  <main id="main" class="mx-auto max-w-6xl px-5 py-4">
    <div class="mb-3 flex flex-wrap items-end justify-between gap-3">
      <div>
        <h1 class="text-3xl">Recipes</h1>
        <p v-if="settingStore.loaded && !group.isEmpty.value" class="text-soft">
          In the order in which they fit {{ group.words.value }}.
        </p>
      </div>
      <span v-if="auth.isLeader()" class="flex flex-wrap gap-2">
        <RouterLink class="btn" to="/recipes/read">Read one in</RouterLink>
        <RouterLink class="btn btn-main" to="/recipes/new">Write a new one</RouterLink>
      </span>
    </div>
    <Notice v-if="settingStore.fault" tone="fault">{{ settingStore.fault }}</Notice>
    <p v-else-if="!settingStore.loaded" role="status">Opening the recipes …</p>
    <Notice v-else-if="settingStore.recipes.length === 0"
      >No recipe yet. Write your first one, or read one in: paste its words, or open a page that you
      saved.</Notice
    >
    <template v-else>
      <ShelfFilters v-model="filter" :rows="settingStore.recipes" :with-group="!group.isEmpty.value" />
      <Notice v-if="shelf.fault" tone="fault">{{ shelf.fault }}</Notice>
      <p class="mb-2 text-sm text-soft" role="status">
        {{
          waiting
            ? `Looked at ${shelf.done} of ${countText(settingStore.recipes.length, 'recipe')} with this group …`
            : `${rows.length} of ${countText(settingStore.recipes.length, 'recipe')}.`
        }}
      </p>
      <ShelfWaiting v-if="waiting && rows.length === 0" />
      <Notice v-else-if="rows.length === 0">
        None is like that.
        <button type="button" class="underline" @click="filter = {}">Show all again</button>
      </Notice>
      <ul class="grid gap-3 lg:grid-cols-2">
        <li v-for="r in shown" :key="r.id" class="patch relative flex items-start gap-3 p-4 max-sm:flex-col">
          <StillLife v-if="r.look" :look="r.look" class="!w-28 shrink-0" />
          <Picture v-else :name="pictureOf(r.recipe)" class="size-14 shrink-0" />
          <div class="min-w-0 flex-1">
            <h2 class="text-xl leading-tight">
              <RouterLink :to="`/recipes/${r.id}`" class="underline-offset-4 hover:underline">{{
                r.recipe.title
              }}</RouterLink>
            </h2>
            <p>{{ r.recipe.about }}</p>
            <FitLine
              v-if="byId.get(r.id)"
              :standing="byId.get(r.id)!"
              class="mt-1.5"
              :class="waiting ? 'invisible' : ''"
            />
            <RecipeFacts v-else :recipe="r.recipe" :facts="r.facts" />
          </div>
        </li>
      </ul>
      <button v-if="next > 0" type="button" class="btn mt-3" @click="more">Show {{ next }} more</button>
    </template>
  </main>
</template>
