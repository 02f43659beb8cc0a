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
    { path: '/cards/:id', name: 'card', component: () => import('./cards/CardScreen.vue'), props: true },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./parts/NowhereScreen.vue') },
  ],
})
