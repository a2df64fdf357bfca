<script lang="ts" generics="P extends Record<string, unknown>">
  /** A part that is loaded when it is first wanted; where it cannot be, that is said. */
  import type { Component } from 'svelte';

  interface Props {
    /** Whether it is wanted. */
    open: boolean;
    load: () => Promise<{ readonly default: Component<P> }>;
    /** Of the part. */
    given: P;
  }

  let { open, load, given }: Props = $props();
</script>

{#if open}
  {#await load() then { default: Part }}
    <Part {...given} />
  {:catch}
    <p class="sheet-of-paper border-2 p-3" role="alert">
      This part could not be loaded: the network is gone. Nothing is lost; try again once it is back.
    </p>
  {/await}
{/if}
