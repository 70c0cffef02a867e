<!-- A picture as wide as the page it stands on and in its own shape, with how it is drawn under it. -->
<script lang="ts">
  import type { Scene } from './page'
  import Stage from './Stage.svelte'

  interface Props {
    scene: Scene
    label: string
    /** How it is drawn: in which scale, what is enlarged. */
    words: string
    /** One among others: it takes less of the screen. */
    small?: boolean
  }
  let { scene, label, words, small = false }: Props = $props()
</script>

<div
  class="relative w-full {small ? 'max-h-[32vh]' : 'max-h-[42vh]'} border-y border-hairline"
  style:aspect-ratio="{scene.right - scene.left} / {scene.bottom - scene.top}"
  data-picture={small ? 'small' : 'whole'}
>
  <Stage grows {scene} {label} />
</div>
{#if words}<p class="mt-1 text-[15px] text-faded">{words}</p>{/if}
