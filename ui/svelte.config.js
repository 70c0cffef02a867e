import adapter from '@sveltejs/adapter-static'

/** @type {import('@sveltejs/kit').Config} */
export default {
  kit: {
    adapter: adapter({ fallback: 'index.html' }),
    version: { name: 'libella' },
    // One file: a page begins with one answer in place of seventy, also on a phone whose network is slow to answer.
    output: { bundleStrategy: 'single' },
    // Brought by `lib/away/worker`, which also brings a new version.
    serviceWorker: { register: false }
  }
}
