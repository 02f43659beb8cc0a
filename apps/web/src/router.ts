import { createRouter, createWebHistory } from 'vue-router'
import { screen } from './screen/lazyScreen'
import { benchScreen, sheetScreen } from './screen/loadable'
import QueueScreen from './queue/QueueScreen.vue'

/** The queue is home; every other screen is loaded when it is first opened, and kept by the service worker.
 * Where somebody works, no newer version takes over. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'queue', component: QueueScreen },
    { path: '/bench/:run', name: 'bench', component: benchScreen, props: true, meta: { work: true } },
    { path: '/bench/:run/sheet', name: 'sheet', component: sheetScreen, props: true },
    { path: '/cards', name: 'cards', component: screen(() => import('./cards/CardsScreen.vue')) },
    {
      path: '/cards/in',
      name: 'cards-in',
      component: screen(() => import('./cardsIn/CardsInScreen.vue')),
      meta: { work: true },
    },
    { path: '/cards/:id', name: 'card', component: screen(() => import('./cards/CardScreen.vue')), props: true },
    {
      path: '/cards/:id/write/:revision',
      name: 'write',
      component: screen(() => import('./write/WriteScreen.vue')),
      props: true,
      meta: { work: true },
    },
    {
      path: '/cards/:id/compare',
      name: 'compare',
      component: screen(() => import('./cards/CompareScreen.vue')),
      props: true,
    },
    { path: '/units/:id', name: 'unit', component: screen(() => import('./unit/UnitScreen.vue')), props: true },
    { path: '/tray/:id', name: 'tray', component: screen(() => import('./tray/TrayScreen.vue')), props: true },
    {
      path: '/rewinds/:id',
      name: 'rewind',
      component: screen(() => import('./winder/WinderScreen.vue')),
      props: true,
      meta: { work: true },
    },
    {
      path: '/rewinds/:id/sheet',
      name: 'rewind-sheet',
      component: screen(() => import('./winder/WinderSheet.vue')),
      props: true,
    },
    { path: '/aside', name: 'aside', component: screen(() => import('./aside/AsideScreen.vue')) },
    { path: '/kit', name: 'kit', component: screen(() => import('./kit/KitScreen.vue')) },
    { path: '/shop', name: 'shop', component: screen(() => import('./shop/ShopScreen.vue')) },
    { path: '/:rest(.*)*', name: 'nowhere', component: screen(() => import('./screen/NowhereScreen.vue')) },
  ],
})
