import { createRouter, createWebHistory, START_LOCATION, type Router } from 'vue-router'
import { useAuthStore } from './stores/auth'

export function makeRouter(): Router {
  const router = createRouter({
    history: createWebHistory(),
    // A page that is just opened stands at its top already.
    scrollBehavior: (to, from, saved) =>
      saved ?? (to.path === from.path || from === START_LOCATION ? undefined : { top: 0 }),
    routes: [
      { path: '/', redirect: '/today' },
      { path: '/diary/:rest*', redirect: (to) => to.path.replace('/diary', '/today') },
      {
        path: '/sign-in',
        component: () => import('./auth/SignIn.vue'),
        meta: { open: true, title: 'Sign in' },
      },
      {
        path: '/first-visit',
        component: () => import('./auth/FirstVisit.vue'),
        meta: { open: true, title: 'First visit' },
      },
      {
        path: '/welcome',
        component: () => import('./auth/WelcomeLink.vue'),
        meta: { open: true, title: 'A one-time link' },
      },
      {
        path: '/locked',
        component: () => import('./auth/Locked.vue'),
        meta: { open: true, title: 'Code of this device' },
      },
      {
        path: '/show',
        component: () => import('./table/show/SecondScreen.vue'),
        meta: { open: true, title: 'For the children' },
      },
      {
        path: '/emergency',
        component: () => import('./table/EmergencyPage.vue'),
        meta: { open: true, title: 'Emergency' },
      },
      { path: '/today', component: () => import('./today/Today.vue'), meta: { title: 'Today' } },
      {
        path: '/today/new',
        component: () => import('./choose/NewSession.vue'),
        meta: { title: 'New session' },
      },
      {
        path: '/today/term',
        component: () => import('./choose/HalfTerm.vue'),
        meta: { title: 'Plan several weeks' },
      },
      { path: '/recipes', component: () => import('./recipes/Recipes.vue'), meta: { title: 'Recipes' } },
      {
        path: '/recipes/read',
        component: () => import('./recipes/RecipeReader.vue'),
        meta: { title: 'Read a recipe in' },
      },
      {
        path: '/recipes/new',
        component: () => import('./recipes/RecipeEdit.vue'),
        meta: { title: 'New recipe' },
      },
      {
        path: '/recipes/:id',
        component: () => import('./recipes/RecipePage.vue'),
        meta: { title: 'Recipe' },
      },
      {
        path: '/recipes/:id/edit',
        component: () => import('./recipes/RecipeEdit.vue'),
        meta: { title: 'Change a recipe' },
      },
      { path: '/children', component: () => import('./children/Children.vue'), meta: { title: 'Children' } },
      { path: '/cupboard', component: () => import('./cupboard/Cupboard.vue'), meta: { title: 'Cupboard' } },
      { path: '/record', component: () => import('./record/Record.vue'), meta: { title: 'Record' } },
      {
        path: '/record/sessions/:id',
        component: () => import('./record/SessionRecord.vue'),
        meta: { title: 'Record of a session' },
      },
      {
        path: '/record/children/:id',
        component: () => import('./record/ChildRecord.vue'),
        meta: { title: 'Record of a child' },
      },
      {
        path: '/setting/devices',
        component: () => import('./setting/devices/DevicesPage.vue'),
        meta: { title: 'Devices' },
      },
      { path: '/me', component: () => import('./auth/MySignIn.vue'), meta: { title: 'Your sign-in' } },
      { path: '/setting', component: () => import('./setting/Setting.vue'), meta: { title: 'Setting' } },
      {
        path: '/session/:id',
        component: () => import('./session/SessionPage.vue'),
        children: [
          { path: '', redirect: (to) => `/session/${String(to.params['id'])}/weave` },
          { path: 'weave', component: () => import('./session/weave/Weave.vue'), meta: { title: 'Plan' } },
          { path: 'who', component: () => import('./session/who/Who.vue'), meta: { title: 'Who' } },
          { path: 'check', component: () => import('./session/check/Check.vue'), meta: { title: 'Check' } },
          {
            path: 'amounts',
            component: () => import('./session/amounts/Amounts.vue'),
            meta: { title: 'Amounts' },
          },
          { path: 'jobs', component: () => import('./session/jobs/Jobs.vue'), meta: { title: 'Jobs' } },
          { path: 'talk', component: () => import('./session/talk/Talk.vue'), meta: { title: 'Talk' } },
          { path: 'ready', component: () => import('./session/ready/Ready.vue'), meta: { title: 'Ready' } },
        ],
      },
      {
        path: '/session/:id/cook',
        component: () => import('./table/Cook.vue'),
        meta: { title: 'Cook', table: true },
      },
      {
        path: '/session/:id/show',
        component: () => import('./table/show/Show.vue'),
        meta: { title: 'For the children', table: true },
      },
      {
        path: '/session/:id/sheet',
        component: () => import('./print/WallSheet.vue'),
        meta: { title: 'Allergy sheet' },
      },
      {
        path: '/session/:id/run',
        component: () => import('./print/RunSheet.vue'),
        meta: { title: 'Run sheet' },
      },
      {
        path: '/session/:id/cards',
        component: () => import('./print/JobCards.vue'),
        meta: { title: 'Job cards' },
      },
      {
        path: '/session/:id/pictures',
        component: () => import('./print/PictureSheet.vue'),
        meta: { title: 'Pictures for the children' },
      },
      {
        path: '/session/:id/words',
        component: () => import('./print/WordCards.vue'),
        meta: { title: 'Word cards' },
      },
      {
        path: '/session/:id/talk-sheet',
        component: () => import('./print/TalkSheet.vue'),
        meta: { title: 'Talk sheet' },
      },
      {
        path: '/session/:id/finish',
        component: () => import('./finish/Finish.vue'),
        meta: { title: 'Finish' },
      },
      {
        path: '/session/:id/family',
        component: () => import('./finish/Family.vue'),
        meta: { title: 'For the family' },
      },
      { path: '/:path(.*)*', component: () => import('./auth/NotFound.vue'), meta: { title: 'Not here' } },
    ],
  })
  router.beforeEach(async (to) => {
    if (to.meta['open']) return true
    const auth = useAuthStore()
    await auth.look()
    if (auth.person) return true
    if (auth.locked) return { path: '/locked', query: { to: to.fullPath } }
    return auth.firstVisit ? '/first-visit' : { path: '/sign-in', query: { to: to.fullPath } }
  })
  router.afterEach((to) => {
    const title = to.meta['title']
    document.title = typeof title === 'string' ? `${title} · Lea` : 'Lea'
  })
  return router
}

/** The page's own code comes while it is asked who is there. */
export function readPage(router: Router): void {
  for (const { components } of router.resolve(window.location.pathname).matched)
    for (const part of Object.values(components ?? {}))
      if (typeof part === 'function') void (part as () => Promise<unknown>)().catch(() => undefined)
}
