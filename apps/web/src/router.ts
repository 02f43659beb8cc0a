import { createRouter, createWebHistory } from 'vue-router'
import { screen } from './parts/screen'
import QueueScreen from './queue/QueueScreen.vue'

const bench = screen(() => import('./bench/BenchScreen.vue'))
const sheet = screen(() => import('./sheet/SheetScreen.vue'))

/**
 * Loads what work at the bench needs, so that a part can be begun when the server is gone before anything was opened.
 * @returns whether it is there now
 */
export const loadBench = (): Promise<boolean> =>
  Promise.all([bench(), sheet()]).then(
    () => true,
    () => false,
  )

/** The queue is home; every other screen is loaded when it is first opened, and kept by the service worker. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'queue', component: QueueScreen },
    { path: '/bench/:run', name: 'bench', component: bench, props: true },
    { path: '/bench/:run/sheet', name: 'sheet', component: sheet, props: true },
    { path: '/cards', name: 'cards', component: screen(() => import('./cards/CardsScreen.vue')) },
    { path: '/cards/in', name: 'cards-in', component: screen(() => import('./cardsIn/CardsInScreen.vue')) },
    { path: '/cards/:id', name: 'card', component: screen(() => import('./cards/CardScreen.vue')), props: true },
    {
      path: '/cards/:id/write/:revision',
      name: 'write',
      component: screen(() => import('./write/WriteScreen.vue')),
      props: true,
    },
    {
      path: '/cards/:id/compare',
      name: 'compare',
      component: screen(() => import('./cards/CompareScreen.vue')),
      props: true,
    },
    { path: '/units/:id', name: 'unit', component: screen(() => import('./unit/UnitScreen.vue')), props: true },
    { path: '/tray/:id', name: 'tray', component: screen(() => import('./tray/TrayScreen.vue')), props: true },
    { path: '/kit', name: 'kit', component: screen(() => import('./kit/KitScreen.vue')) },
    { path: '/shop', name: 'shop', component: screen(() => import('./shop/ShopScreen.vue')) },
    { path: '/:rest(.*)*', name: 'nowhere', component: screen(() => import('./parts/NowhereScreen.vue')) },
  ],
})
