<!-- A sheet laid over the page: a question or a few entries. It hangs from its top: nothing on it moves away under a tap as it grows. -->
<script lang="ts">
  import { Dialog } from 'bits-ui'
  import { beforeNavigate } from '$app/navigation'
  import type { Snippet } from 'svelte'
  import { markSheet } from './keys.svelte'

  interface Props {
    open: boolean
    title: string
    /** For a sheet with much to choose on it. */
    wide?: boolean
    children: Snippet
  }
  let { open = $bindable(), title, wide = false, children }: Props = $props()
  markSheet()

  // Back closes what lies over the page, not the page.
  beforeNavigate(({ type, cancel }) => {
    if (type !== 'popstate' || !open) return
    cancel()
    open = false
  })

  /** What had the focus as it opened: it has it again, so that keys go on where they were. */
  let before: HTMLElement | null = null
  function giveBack(event: Event): void {
    event.preventDefault()
    // What it was opened from may be gone with its work done: then the page's own heading takes its place.
    const there = before && before !== document.body && before.isConnected && before.checkVisibility()
    const to = there ? before : document.querySelector<HTMLElement>('main h1')
    if (to && !to.matches('button, a, input, textarea, select, [tabindex]')) to.tabIndex = -1
    to?.focus({ preventScroll: true })
  }

  let body = $state<HTMLElement | null>(null)
  /** Ready to type, or to choose: the first field has the focus, not the cross that closes it. */
  function focusFirst(event: Event): void {
    before = document.activeElement as HTMLElement | null
    const first = body?.querySelector<HTMLElement>(
      'input:not([type=file]):not([disabled]), textarea, select, [role=radio], button:not([disabled]), a[href]'
    )
    if (!first) return
    event.preventDefault()
    const chosen =
      first.matches('[role=radio]') && first.parentElement?.querySelector<HTMLElement>('[aria-checked=true]')
    ;(chosen || first).focus()
  }
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-20 bg-black/45" />
    <Dialog.Content
      onOpenAutoFocus={focusFirst}
      onCloseAutoFocus={giveBack}
      class="fixed top-[4dvh] left-1/2 z-30 max-h-[92dvh] {wide
        ? 'w-[min(720px,94vw)]'
        : 'w-[min(560px,94vw)]'} -translate-x-1/2 overflow-y-auto border-2 border-ink bg-paper p-5"
    >
      <div class="mb-3 flex items-start justify-between gap-3">
        <Dialog.Title class="wide text-xl">{title}</Dialog.Title>
        <Dialog.Close class="button plain -mt-2 -mr-2" aria-label="Close">✕</Dialog.Close>
      </div>
      <div bind:this={body}>{@render children()}</div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
