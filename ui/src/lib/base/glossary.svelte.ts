/** Which word of the job stands open, and where such words stand in a sentence. */
import type { Shapes } from '$lib/data/client'
import { glossary } from '$lib/data/vocabulary.svelte'

type Term = Shapes['TermOut']

let open = $state.raw<Term | null>(null)
export const openTerm = {
  get now(): Term | null {
    return open
  },
  show(term: Term | null): void {
    open = term
  }
}

interface Known {
  forms: RegExp
  of: Map<string, Term>
}
/** The longest forms first: "the face aims" is one word of the job, not two. */
export function knownIn(terms: readonly Term[]): Known {
  const of = new Map(terms.flatMap((term) => term.forms.map((form) => [form, term] as const)))
  const forms = [...of.keys()].sort((one, other) => other.length - one.length)
  return { forms: new RegExp(`(?<!\\p{L})(?:${forms.join('|')})(?!\\p{L})`, 'giu'), of }
}

/** A sentence in pieces; a word of the job has its term, once: met again it is plain text. */
export function piecesOf(text: string, { forms, of }: Known): { text: string; term: Term | null }[] {
  const found: { text: string; term: Term | null }[] = []
  const met = new Set<string>()
  let at = 0
  if (of.size)
    for (const it of text.matchAll(forms)) {
      const term = of.get(it[0].toLowerCase())
      if (!term || met.has(term.term)) continue
      met.add(term.term)
      if (it.index > at) found.push({ text: text.slice(at, it.index), term: null })
      found.push({ text: it[0], term })
      at = it.index + it[0].length
    }
  if (at < text.length) found.push({ text: text.slice(at), term: null })
  return found
}

let known: Known | null = null
export function pieces(text: string): { text: string; term: Term | null }[] {
  known ??= glossary().length ? knownIn(glossary()) : null
  return known ? piecesOf(text, known) : [{ text, term: null }]
}
