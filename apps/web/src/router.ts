import { createRouter, createWebHistory } from 'vue-router'
import QueueScreen from './queue/QueueScreen.vue'

/** The queue is home; every other screen is loaded when it is first opened, and kept by the service worker. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'queue', component: QueueScreen },
    { path: '/bench/:run', name: 'bench', component: () => import('./bench/BenchScreen.vue'), props: true },
    { path: '/bench/:run/sheet', name: 'sheet', component: () => import('./sheet/SheetScreen.vue'), props: true },
    { path: '/cards', name: 'cards', component: () => import('./cards/CardsScreen.vue') },
    { path: '/cards/in', name: 'cards-in', component: () => import('./cardsIn/CardsInScreen.vue') },
    { path: '/cards/:id', name: 'card', component: () => import('./cards/CardScreen.vue'), props: true },
    {
      path: '/cards/:id/write/:revision',
      name: 'write',
      component: () => import('./write/WriteScreen.vue'),
      props: true,
    },
    { path: '/cards/:id/compare', name: 'compare', component: () => import('./cards/CompareScreen.vue'), props: true },
    { path: '/units/:id', name: 'unit', component: () => import('./unit/UnitScreen.vue'), props: true },
    { path: '/tray/:id', name: 'tray', component: () => import('./tray/TrayScreen.vue'), props: true },
    { path: '/kit', name: 'kit', component: () => import('./kit/KitScreen.vue') },
    { path: '/shop', name: 'shop', component: () => import('./shop/ShopScreen.vue') },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./parts/NowhereScreen.vue') },
  ],
})
