<!-- A number with its unit: type it, or step it with a thumb. Shows its limits when the entry can't be used. -->
<script lang="ts">
  import { tick } from 'svelte'

  interface Props {
    label: string
    unit: string
    /** The unit a bare number is read in, where what stands in the entry has its own. */
    typedIn?: string
    hint?: string
    /** What the entry says now, and how typed text becomes a value (NaN: not readable). */
    text: string
    read: (text: string) => number
    step: (direction: 1 | -1) => void
    onvalue: (value: number) => void
    error?: string | undefined
    /** What would do where something typed can't be read. */
    would?: string
  }
  let { label, unit, typedIn = unit, hint = '', text, read, step, onvalue, error, would }: Props = $props()

  const id = $props.id()
  let draft = $state<string | null>(null)
  // What stood there when the entry was entered: an answer that comes just then must not change it under the cursor.
  let held = $state<string | null>(null)
  let unread = $state('')
  const wrong = $derived(
    unread ? `${label}: “${unread}” can’t be read. ${would ?? `Write a number${typedIn && ` in ${typedIn}`}.`}` : error
  )
  /** What was typed, and what stands for it, where that says it less exactly or in another unit. */
  let typed = $state<{ draft: string; text: string } | null>(null)
  const own = $derived(typed?.text === text ? typed.draft : null)
  const ownUnit = $derived(/[^\d.,\s/−-]/.test(draft ?? own ?? ''))

  /** While it is typed, the unit that a bare number is read in; what stands there may have its own. */
  const beside = $derived(held === null && (draft ?? text) ? unit : typedIn)

  /** Take what was typed; also asked for from outside, once it can be read. */
  export function take(): void {
    if (draft === null) return
    const said = draft
    const value = read(said)
    unread = Number.isFinite(value) || !said.trim() ? '' : said
    if (!Number.isFinite(value)) {
      // Nothing is no number either: what stood there stands again.
      if (!said.trim()) draft = held = null
      return
    }
    onvalue(value)
    draft = held = null
    void tick().then(() => (typed = Math.abs(read(text) - value) > 1e-6 ? { draft: said.trim(), text } : null))
  }
  /** One step from what is typed, also where tapping the button leaves the cursor in the entry. */
  function nudge(direction: 1 | -1): void {
    take()
    held = null
    step(direction)
  }
</script>

<div class="min-w-0" data-entry>
  <label class="label block truncate" for={id}>{label}</label>
  <div class="mt-0.5 flex items-stretch">
    <button class="button rounded-r-none px-3" type="button" aria-label="{label}: less" onclick={() => nudge(-1)}
      >−</button
    >
    <div class="relative min-w-0 flex-1">
      <input
        {id}
        class="entry h-full rounded-none border-x-0 text-lg font-semibold {beside && !ownUnit ? 'pr-9' : ''}"
        inputmode={typedIn === unit ? 'decimal' : 'text'}
        autocomplete="off"
        value={draft ?? held ?? own ?? text}
        aria-invalid={wrong ? 'true' : undefined}
        aria-describedby="{id}-hint"
        oninput={(event) => (draft = event.currentTarget.value)}
        onchange={take}
        onfocus={() => (held = own ?? text)}
        onblur={() => (held = null)}
        onkeydown={(event) => {
          if (event.key !== 'Enter') return
          // It takes the number; it does not start what the form around it starts.
          event.preventDefault()
          take()
        }}
      />
      <span class="pointer-events-none absolute inset-y-0 right-2 flex items-center text-faded"
        >{ownUnit ? '' : beside}</span
      >
    </div>
    <button class="button rounded-l-none px-3" type="button" aria-label="{label}: more" onclick={() => nudge(1)}
      >+</button
    >
  </div>
  <p id="{id}-hint" class="mt-0.5 text-[13px] leading-snug {wrong ? 'font-semibold text-danger' : 'text-faded'}">
    {wrong ?? (own === null ? hint : `= ${text}${unit && ` ${unit}`}. ${hint}`)}
  </p>
</div>
