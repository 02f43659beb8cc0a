import { createPinia } from 'pinia'
import PrimeVue from 'primevue/config'
import { createApp } from 'vue'
import App from './App.vue'
import './look/fonts.css'
import './look/tokens.css'
import './look/base.css'
import { spoken } from './look/spoken'
import { theme } from './look/theme'
import { router } from './router'
import { recallClock } from './store/clock'
import { keptByBrowser, newerIsHere, tookOver } from './store/version'

recallClock()
const app = createApp(App)
app.use(createPinia())
app.use(router)
app.use(PrimeVue, { theme, locale: spoken })
app.mount('#app')

if ('serviceWorker' in navigator && import.meta.env.PROD)
  void import('virtual:pwa-register').then(({ registerSW }) => {
    const take = registerSW({
      immediate: true,
      onNeedRefresh: () => newerIsHere(() => take(true)),
      onNeedReload: tookOver,
      onRegisteredSW: (_url, registration) => registration && keptByBrowser(() => registration.update()),
    })
  })
