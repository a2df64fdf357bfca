<script lang="ts">
  /** What stands further down a page is drawn a turn after the frame that shows the rest: all at once would keep the page from answering. */
  import type { Snippet } from 'svelte';

  let { children }: { children: Snippet } = $props();
  let drawn = $state(false);

  $effect(() => {
    let turn: ReturnType<typeof setTimeout> | undefined;
    const frame = requestAnimationFrame(() => {
      turn = setTimeout(() => (drawn = true));
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(turn);
    };
  });
</script>

<!-- Paper has no frames to wait for. -->
<svelte:window onbeforeprint={() => (drawn = true)} />

{#if drawn}{@render children()}{/if}
