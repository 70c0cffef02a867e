<!-- As usual, or otherwise: what was done before is a tap; of a new name what it is that differs is asked with it. -->
<script lang="ts">
  import Choice from '$lib/base/Choice.svelte'
  import NameChoice from '$lib/base/NameChoice.svelte'
  import { choices, pictured } from '$lib/data/vocabulary.svelte'
  import { USUAL, type Under } from './under'

  interface Props {
    label: string
    offered: Under[]
    value: Under
    /** What is not asked here: it is chosen elsewhere on the page, or cannot be. */
    without?: string[]
    small?: boolean
    /** Whether as usual is offered. */
    usual?: boolean
    /** What differs was asked before: what is typed is of that. */
    of?: string
    /** Whether another can be typed. */
    another?: boolean
  }
  let {
    label,
    offered,
    value = $bindable(),
    without = [],
    small = false,
    usual = true,
    of,
    another = true
  }: Props = $props()

  const FACTORS = choices<string>('factor')
    .filter((it) => !without.includes(it.value))
    .map((it) => ({ ...it, picture: pictured('factor', it.value) }))
  /** Typed here just now: what it is that differs is asked with it. */
  let typed = $state('')
  const isNew = $derived(Boolean(typed) && value.name === typed)
  const factor = $derived(of ?? Object.keys(value.factors)[0] ?? 'trial')
  function named(name: string): void {
    typed = name && !offered.some((it) => it.name === name) ? name : ''
    value = offered.find((it) => it.name === name) ?? (name ? { name, factors: { [factor]: name } } : USUAL)
  }
</script>

<div class="grid gap-2" data-under-choice>
  <NameChoice
    {label}
    names={offered.map((it) => it.name)}
    bind:value={() => value.name, named}
    another={another ? 'Something else…' : ''}
    {usual}
    {small}
    kind="set_up"
  />
  {#if isNew && !of}
    <Choice
      label="What differs in “{value.name}”"
      options={FACTORS}
      bind:value={() => factor, (it) => (value = { name: value.name, factors: { [it]: value.name } })}
    />
  {/if}
</div>
