/** The last good answer, kept while a newer one is on its way or refused: no flicker, no empty drawing. */
export function steady<T>(now: () => T | undefined): { readonly value: T | undefined } {
  let last = $state.raw<T>()
  $effect(() => {
    const found = now()
    if (found !== undefined) last = found
  })
  return {
    get value() {
      return now() ?? last
    },
  }
}
