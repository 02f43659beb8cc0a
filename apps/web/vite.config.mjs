import { fileURLToPath, URL } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [
    vue(),
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Sure Spool',
        short_name: 'Sure Spool',
        description: 'The other half of the bench for technicians who measure wound components',
        start_url: '/',
        display: 'standalone',
        background_color: '#f4efe4',
        theme_color: '#f4efe4',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/healthz/, /^\/readyz/],
        cleanupOutdatedCaches: true,
        clientsClaim: true,
      },
    }),
  ],
  define: { __VUE_OPTIONS_API__: true, __VUE_PROD_DEVTOOLS__: false },
  build: { assetsInlineLimit: 0, target: 'es2022', sourcemap: false, chunkSizeWarningLimit: 400 },
  server: { proxy: { '/api': 'http://127.0.0.1:4180' } },
})
