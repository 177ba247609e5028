import { createPinia } from 'pinia'
import { askEarly } from './shared/api'
import { lastRules } from './shared/last-rules'
import { createApp, type Component } from 'vue'
import App from './App.vue'
import { makeRouter, readPage } from './router'
import { countryText } from './shared/country'
import { sweepCache } from './offline-cache/answers'
import { keepShell } from './offline-cache/shell'
import './styles/main.css'

const app = createApp(App as Component)
app.config.globalProperties['$words'] = countryText
const router = makeRouter()
// Where somebody has signed in before, what every page wants is asked for before it is known who.
if (lastRules() && !router.resolve(window.location.pathname).meta['open'])
  askEarly(['/me', '/setting', '/children', '/recipes', '/sessions', '/packets'])
app.use(createPinia()).use(router).mount('#app')
readPage(router)
keepShell()
void sweepCache()
