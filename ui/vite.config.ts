import { sveltekit } from '@sveltejs/kit/vite'
import tailwindcss from '@tailwindcss/vite'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  // Logic is tested as it runs in the browser.
  ...(process.env.VITEST ? { resolve: { conditions: ['browser'] } } : {}),
  // During development the pages come from Vite, the API from ./demo.
  server: { proxy: { '/api': 'http://127.0.0.1:8090' } }
})
