<!-- A link as a picture, to be held before a camera: white behind it in either light. -->
<script lang="ts">
  interface Props {
    /** As it was drawn (SVG). */
    picture: string
    alt: string
    class?: string
  }
  let { picture, alt, class: size = 'w-56' }: Props = $props()
</script>

<img class="bg-white p-2 {size}" src="data:image/svg+xml,{encodeURIComponent(picture)}" {alt} data-link-picture />
