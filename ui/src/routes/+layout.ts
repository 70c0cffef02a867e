import { loadVocabulary } from '$lib/data/vocabulary.svelte'

// One page that finds its own way: there is no server side in front of the API.
export const ssr = false
export const prerender = false
export const load = loadVocabulary
