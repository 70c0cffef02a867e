import { describe, expect, it } from 'vitest'
import type { Shapes } from '$lib/data/client'
import { knownIn, piecesOf } from './glossary.svelte'

const term = (name: string, ...forms: string[]) =>
  ({ term: name, name, forms, says: '', picture: null }) as unknown as Shapes['TermOut']
const known = knownIn([
  term('face_aim', 'the face aims'),
  term('line', 'the line'),
  term('window', 'window', 'windows')
])
const told = (text: string) =>
  piecesOf(text, known)
    .map((it) => (it.term ? `[${it.text}]` : it.text))
    .join('')

describe('words of the job in a sentence', () => {
  it('marks each once, whole words only, as they are written', () => {
    expect(told('The line lies in the windows; the line again.')).toBe(
      '[The line] lies in the [windows]; the line again.'
    )
    expect(told('A windowsill near the liner')).toBe('A windowsill near the liner')
  })
  it('takes the longest form and loses no letter', () => {
    const text = 'So the face aims left of the line, clear.'
    expect(told(text)).toBe('So [the face aims] left of [the line], clear.')
    expect(
      piecesOf(text, known)
        .map((it) => it.text)
        .join('')
    ).toBe(text)
  })
  it('leaves a sentence alone where nothing is known yet', () => {
    expect(piecesOf('the line', knownIn([]))).toEqual([{ text: 'the line', term: null }])
  })
})
