import { createPinia } from 'pinia'
import PrimeVue from 'primevue/config'
import { createApp } from 'vue'
import App from './App.vue'
import './look/fonts.css'
import './look/tokens.css'
import './look/base.css'
import { theme } from './look/theme'
import { router } from './router'

const app = createApp(App)
app.use(createPinia())
app.use(router)
app.use(PrimeVue, { theme })
app.mount('#app')

if ('serviceWorker' in navigator && import.meta.env.PROD)
  void import('virtual:pwa-register').then(({ registerSW }) => registerSW({ immediate: true }))
